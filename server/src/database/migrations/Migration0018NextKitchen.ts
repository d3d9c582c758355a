import { Migration } from '@mikro-orm/migrations'

/** A code for another kitchen beside those that are there, given on the server alone and good for a day. */
export class Migration0018NextKitchen extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // For the first kitchen no end: without one nothing else can be done here.
  `alter table set_up add column another boolean not null default false, add column good_until timestamptz`,
  `create or replace function found_kitchen(hash text, new_id uuid, called text, in_zone text, in_unit text, with_limits uuid, genesis text)
     returns boolean language plpgsql security definer set search_path = pg_catalog, public, pg_temp as $$
   declare
     code public.set_up;
   begin
     delete from public.set_up where code_hash = hash returning * into code;
     if code.code_hash is null or code.good_until < now() then return false; end if;
     if not code.another and exists (select from public.kitchen) then return false; end if;
     insert into public.kitchen (id, name, zone, unit, limits_id) values (new_id, called, in_zone, in_unit, with_limits);
     insert into public.chain_head (kitchen_id, seq, hash) values (new_id, 0, genesis);
     return true;
   end $$`,
]
