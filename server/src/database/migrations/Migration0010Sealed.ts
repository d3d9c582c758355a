import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/**
 * The logbook is added to through one function, which checks each entry against the one before; the serving role may
 * write to it in no other way. Heads that were signed are kept beside it.
 */
export class Migration0010Sealed extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `alter table chain_head add column recorded_at bigint not null default 0`,
  // Rows are seen kitchen by kitchen, by the owner too.
  `do $$
   declare each record;
   begin
     for each in select id from kitchen loop
       perform set_config('lt.kitchen', each.id::text, true);
       update chain_head set recorded_at = coalesce(
         (select max(((canon::jsonb) #>> '{seal,recordedAt}')::bigint) from entry where kitchen_id = each.id), 0)
         where kitchen_id = each.id;
     end loop;
   end $$`,

  `create function append_entries(in_kitchen uuid, canons text[]) returns bigint
   language plpgsql security definer set search_path = pg_catalog, public, pg_temp as $$
   declare
     last_seq bigint;
     last_hash text;
     last_time bigint;
     each text;
     sealed jsonb;
   begin
     select h.seq, h.hash, h.recorded_at into strict last_seq, last_hash, last_time
       from public.chain_head h where h.kitchen_id = in_kitchen for update;
     foreach each in array canons loop
       sealed := each::jsonb -> 'seal';
       if (sealed ->> 'seq')::bigint is distinct from last_seq + 1 then
         raise exception 'entry %: not the next number', sealed ->> 'seq' using errcode = 'integrity_constraint_violation';
       end if;
       if sealed ->> 'prev' is distinct from last_hash then
         raise exception 'entry %: not linked to the one before', sealed ->> 'seq' using errcode = 'integrity_constraint_violation';
       end if;
       if coalesce((sealed ->> 'recordedAt')::bigint < last_time, true) then
         raise exception 'entry %: recorded before the one before it', sealed ->> 'seq' using errcode = 'integrity_constraint_violation';
       end if;
       last_seq := last_seq + 1;
       last_hash := encode(sha256(convert_to(each, 'UTF8')), 'hex');
       last_time := (sealed ->> 'recordedAt')::bigint;
       insert into public.entry (kitchen_id, seq, hash, canon) values (in_kitchen, last_seq, last_hash, each);
     end loop;
     update public.chain_head set seq = last_seq, hash = last_hash, recorded_at = last_time where kitchen_id = in_kitchen;
     perform pg_notify('lt_entry', in_kitchen || ':' || last_seq);
     return last_seq;
   end $$`,
  `revoke all on function append_entries(uuid, text[]) from public`,

  // Signed by a key that is not in this database.
  `create table signed_head (
     kitchen_id uuid not null references kitchen,
     seq bigint not null,
     statement text not null,
     signature text not null,
     primary key (kitchen_id, seq)
   )`,
  ...perKitchen('signed_head'),
  `create trigger signed_head_rows before update or delete on signed_head
     for each row execute function entry_is_append_only()`,
  `create trigger signed_head_table before truncate on signed_head
     for each statement execute function entry_is_append_only()`,
]
