import { Migration } from '@mikro-orm/migrations'

/** A kitchen is founded in the browser, by whoever read the set-up code off the server's console. */
export class Migration0013SetUp extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // One code at a time, known by its hash; none: nothing can be founded.
  `create table set_up (code_hash text primary key)`,
  // The code is good once, for the first kitchen of the installation.
  `create function found_kitchen(hash text, new_id uuid, called text, in_zone text, in_unit text, with_limits uuid, genesis text)
     returns boolean language plpgsql security definer set search_path = pg_catalog, public, pg_temp as $$
   begin
     delete from public.set_up where code_hash = hash;
     if not found or exists (select from public.kitchen) then return false; end if;
     insert into public.kitchen (id, name, zone, unit, limits_id) values (new_id, called, in_zone, in_unit, with_limits);
     insert into public.chain_head (kitchen_id, seq, hash) values (new_id, 0, genesis);
     return true;
   end $$`,
  `revoke all on function found_kitchen(text, uuid, text, text, text, uuid, text) from public`,
]
