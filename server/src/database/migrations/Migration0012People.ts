import { Migration } from '@mikro-orm/migrations'

/** People come one by one while the kitchen works: the serving role adds a row, and never takes one away. */
export class Migration0012People extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // The logbook says who works here and as what; a row alone opens no door.
  `create function add_person(in_kitchen uuid, new_id uuid, called text, as_role text, with_job text, hash text, digits smallint)
     returns void language sql security definer set search_path = pg_catalog, public, pg_temp as $$
     insert into public.person (kitchen_id, id, name, role, job, pin_hash, pin_digits)
       values (in_kitchen, new_id, called, as_role, with_job, hash, digits) $$`,
  `revoke all on function add_person(uuid, uuid, text, text, text, text, smallint) from public`,
]
