import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** Tablets that belong to a kitchen, wrong PINs counted by tablet, and shifts that end when their tablet does. */
export class Migration0011Tablets extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table tablet (
     kitchen_id uuid not null references kitchen,
     id uuid not null,
     name text not null,
     secret_hash text not null,
     enrolled_at timestamptz not null,
     enrolled_by uuid not null,
     seen_at timestamptz,
     forgotten_at timestamptz,
     primary key (kitchen_id, id)
   )`,
  `create unique index tablet_secret on tablet (kitchen_id, secret_hash)`,
  ...perKitchen('tablet'),

  // Where: a tablet of the kitchen by its id, or 'strangers' for all others together.
  `create table pin_try (
     kitchen_id uuid not null references kitchen,
     person_id uuid not null,
     place text not null,
     wrong integer not null,
     last_at timestamptz not null,
     locked_until timestamptz,
     primary key (kitchen_id, person_id, place)
   )`,
  ...perKitchen('pin_try'),
  `create table lock_out (
     kitchen_id uuid not null references kitchen,
     at timestamptz not null,
     person_id uuid not null,
     place text not null,
     wrong integer not null,
     until timestamptz not null
   )`,
  `create index lock_out_at on lock_out (kitchen_id, at)`,
  ...perKitchen('lock_out'),

  `alter table person add column pin_digits smallint not null default 4,
     drop column wrong_tries, drop column locked_until`,
  `alter table shift add column tablet_id uuid, add column ended_at timestamptz`,
  `create index shift_device on shift (kitchen_id, device_id) where ended_at is null`,
  // As the logbook says; before it says who is there, everybody on the list works here.
  `create function works_here(in_kitchen uuid, who uuid) returns boolean language sql stable as $$
     select coalesce(
       (select who::text in (select p ->> 'id' from jsonb_array_elements(k.state -> 'people') p)
        from kitchen_state k where k.kitchen_id = in_kitchen and k.id = in_kitchen
          and jsonb_typeof(k.state -> 'people') = 'array'), true) $$`,
  `drop function shift_of(uuid, text)`,
  `create function shift_of(in_kitchen uuid, with_token text)
     returns table (person_id uuid, device_id uuid, tablet_id uuid, opened_at timestamptz, locked_at timestamptz)
     language plpgsql as $$
   begin
     perform set_config('lt.kitchen', in_kitchen::text, true);
     return query select s.person_id, s.device_id, s.tablet_id, s.opened_at, s.locked_at
       from shift s where s.kitchen_id = in_kitchen and s.token_hash = with_token and s.ended_at is null
         and works_here(in_kitchen, s.person_id)
         and not exists (select from tablet t
           where t.kitchen_id = s.kitchen_id and t.id = s.tablet_id and t.forgotten_at is not null);
   end $$`,
  // Nobody's role is on the door.
  `drop function door()`,
  `create function door()
     returns table (kitchen_id uuid, kitchen text, id uuid, name text, job text, digits smallint)
     language plpgsql as $$
   declare each record;
   begin
     for each in select k.id, k.name from kitchen k order by k.name, k.id loop
       perform set_config('lt.kitchen', each.id::text, true);
       return query select each.id, each.name, p.id, p.name, p.job, p.pin_digits
         from person p where p.kitchen_id = each.id and works_here(each.id, p.id) order by p.name, p.id;
     end loop;
   end $$`,
]
