import { Migration } from '@mikro-orm/migrations'

/** What whoever opened a shift may do is known with the shift: an auditor's enters nothing. */
export class Migration0014ShiftRole extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // As the logbook says; before it says who is there, as the list does. Null: works here no more.
  `create function role_here(in_kitchen uuid, who uuid) returns text language sql stable as $$
     select case when jsonb_typeof(k.state -> 'people') = 'array'
       then (select p ->> 'role' from jsonb_array_elements(k.state -> 'people') p where p ->> 'id' = who::text)
       else l.role end
     from person l left join kitchen_state k on k.kitchen_id = l.kitchen_id and k.id = l.kitchen_id
     where l.kitchen_id = in_kitchen and l.id = who $$`,
  `drop function shift_of(uuid, text)`,
  `create function shift_of(in_kitchen uuid, with_token text)
     returns table (person_id uuid, role text, device_id uuid, tablet_id uuid, opened_at timestamptz, locked_at timestamptz)
     language plpgsql as $$
   begin
     perform set_config('lt.kitchen', in_kitchen::text, true);
     return query select s.person_id, role_here(in_kitchen, s.person_id), s.device_id, s.tablet_id, s.opened_at, s.locked_at
       from shift s where s.kitchen_id = in_kitchen and s.token_hash = with_token and s.ended_at is null
         and role_here(in_kitchen, s.person_id) is not null
         and not exists (select from tablet t
           where t.kitchen_id = s.kitchen_id and t.id = s.tablet_id and t.forgotten_at is not null);
   end $$`,
]
