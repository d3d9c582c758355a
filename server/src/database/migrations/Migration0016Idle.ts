import { Migration } from '@mikro-orm/migrations'

/** When hands last touched the tablet of a shift: one that nobody touches locks. */
export class Migration0016Idle extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `alter table shift add column touched_at timestamptz`,
  `drop function shift_of(uuid, text)`,
  `create function shift_of(in_kitchen uuid, with_token text)
     returns table (person_id uuid, role text, device_id uuid, tablet_id uuid, opened_at timestamptz, locked_at timestamptz,
       touched_at timestamptz)
     language plpgsql as $$
   begin
     perform set_config('lt.kitchen', in_kitchen::text, true);
     return query select s.person_id, role_here(in_kitchen, s.person_id), s.device_id, s.tablet_id, s.opened_at, s.locked_at,
         coalesce(s.touched_at, s.opened_at)
       from shift s where s.kitchen_id = in_kitchen and s.token_hash = with_token and s.ended_at is null
         and role_here(in_kitchen, s.person_id) is not null
         and not exists (select from tablet t
           where t.kitchen_id = s.kitchen_id and t.id = s.tablet_id and t.forgotten_at is not null);
   end $$`,
]
