import { Migration } from '@mikro-orm/migrations'

/** The names on the door, of every kitchen, in one round trip: each kitchen's rows are seen only inside that kitchen. */
export class Migration0009Door extends Migration {
  override up(): void {
    this.addSql(`create function door()
      returns table (kitchen_id uuid, kitchen text, id uuid, name text, role text, job text)
      language plpgsql as $$
    declare each record;
    begin
      for each in select k.id, k.name from kitchen k order by k.name, k.id loop
        perform set_config('lt.kitchen', each.id::text, true);
        return query select each.id, each.name, p.id, p.name, p.role, p.job
          from person p where p.kitchen_id = each.id order by p.name, p.id;
      end loop;
    end $$`)
  }
}
