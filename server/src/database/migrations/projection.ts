/** Every table of a kitchen's own is seen only inside that kitchen; unset means no rows. */
export const perKitchen = (table: string) => [
  `alter table ${table} enable row level security`,
  `alter table ${table} force row level security`,
  `create policy in_kitchen on ${table}
     using (kitchen_id = nullif(current_setting('lt.kitchen', true), '')::uuid)
     with check (kitchen_id = nullif(current_setting('lt.kitchen', true), '')::uuid)`,
]

/** A table of folded states, a row a subject. */
export const projection = (table: string, generated = '') => [
  `create table ${table} (
     kitchen_id uuid not null references kitchen,
     id uuid not null,
     seq bigint not null,
     state jsonb not null,
     ${generated}
     primary key (kitchen_id, id)
   )`,
  ...perKitchen(table),
]
