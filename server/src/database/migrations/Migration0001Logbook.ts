import { Migration } from '@mikro-orm/migrations'
import { perKitchen, projection } from './projection'

/** Kitchens, people, shifts, the append-only logbook and what is folded from it. */
export class Migration0001Logbook extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // A kitchen's name, zone and unit are on its door: no secret, so no row-level security.
  `create table kitchen (
     id uuid primary key,
     name text not null,
     zone text not null,
     unit text not null check (unit in ('C', 'F')),
     limits_id uuid not null
   )`,

  `create table person (
     kitchen_id uuid not null references kitchen,
     id uuid not null,
     name text not null,
     role text not null check (role in ('cook', 'chef', 'lead', 'inspector')),
     job text not null,
     pin_hash text not null,
     wrong_tries integer not null default 0,
     locked_until timestamptz,
     primary key (kitchen_id, id)
   )`,
  ...perKitchen('person'),

  `create table shift (
     kitchen_id uuid not null references kitchen,
     token_hash text not null,
     person_id uuid not null,
     device_id uuid not null,
     opened_at timestamptz not null,
     locked_at timestamptz,
     primary key (kitchen_id, token_hash)
   )`,
  ...perKitchen('shift'),
  // One statement, so that the check at every request is one round trip.
  `create function shift_of(in_kitchen uuid, with_token text)
     returns table (person_id uuid, device_id uuid, opened_at timestamptz, locked_at timestamptz)
     language plpgsql as $$
   begin
     perform set_config('lt.kitchen', in_kitchen::text, true);
     return query select s.person_id, s.device_id, s.opened_at, s.locked_at
       from shift s where s.kitchen_id = in_kitchen and s.token_hash = with_token;
   end $$`,

  `create table chain_head (
     kitchen_id uuid primary key references kitchen,
     seq bigint not null,
     hash text not null
   )`,
  ...perKitchen('chain_head'),

  // canon holds the very bytes that were hashed; all else is generated from it and cannot disagree.
  `create table entry (
     kitchen_id uuid not null references kitchen,
     seq bigint not null,
     hash text not null,
     canon text not null,
     id uuid not null generated always as (((canon::jsonb) #>> '{claim,id}')::uuid) stored,
     kind text not null generated always as ((canon::jsonb) #>> '{claim,kind}') stored,
     about_id uuid not null generated always as (((canon::jsonb) #>> '{claim,about,id}')::uuid) stored,
     moved_to uuid generated always as (((canon::jsonb) #>> '{claim,body,now,batch}')::uuid) stored,
     body jsonb not null generated always as ((canon::jsonb) #> '{claim,body}') stored,
     primary key (kitchen_id, seq),
     unique (kitchen_id, id),
     check (kitchen_id = ((canon::jsonb) #>> '{claim,kitchen}')::uuid),
     check (seq = ((canon::jsonb) #>> '{seal,seq}')::bigint)
   )`,
  `create index entry_about on entry (kitchen_id, about_id, seq)`,
  `create index entry_moved_to on entry (kitchen_id, moved_to, seq) where moved_to is not null`,
  ...perKitchen('entry'),
  `create function entry_is_append_only() returns trigger language plpgsql as $$
   begin
     raise exception 'the logbook is append only: % refused', tg_op using errcode = 'insufficient_privilege';
   end $$`,
  `create trigger entry_rows before update or delete on entry
     for each row execute function entry_is_append_only()`,
  `create trigger entry_table before truncate on entry
     for each statement execute function entry_is_append_only()`,

  ...projection('kitchen_state'),
  ...projection('limit_set'),
  ...projection('method'),
  ...projection('instrument'),
  ...projection(
    'batch',
    `code text not null generated always as (state ->> 'code') stored,
     closed boolean not null generated always as
       (coalesce(state #>> '{disposition,value,decision}', '') = 'discard') stored,`,
  ),
  `create index batch_running on batch (kitchen_id) where not closed`,
]
