import { Migration } from '@mikro-orm/migrations'

/** A kitchen is called otherwise, or reads in other degrees: its own, and nothing else of its row. */
export class Migration0015NameKitchen extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // The table is every kitchen's: whoever serves one may change that one alone.
  `create function name_kitchen(called text, in_unit text)
     returns void language sql security definer set search_path = pg_catalog, public, pg_temp as $$
     update public.kitchen set name = called, unit = in_unit
       where id = nullif(current_setting('lt.kitchen', true), '')::uuid $$`,
  `revoke all on function name_kitchen(text, text) from public`,
]
