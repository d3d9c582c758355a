import { Migration } from '@mikro-orm/migrations'

/**
 * What stops all that was made of it: a batch on hold, thrown away or called back; an item held, or thrown away for what
 * it was; a lot called back in earnest. As the core's `lineageBars` has it.
 */
export class Migration0007Barred extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `alter table batch add column barred text generated always as (case
     when jsonb_array_length(coalesce(state -> 'recalls', '[]')) > 0 then 'recalled'
     when coalesce(state #>> '{disposition,void}', 'true') = 'true' then null
     when state #>> '{disposition,value,decision}' = 'hold' then 'held'
     when state #>> '{disposition,value,decision}' = 'discard' then 'discarded' end) stored`,
  `alter table item add column barred text generated always as (case
     when coalesce((card ->> 'held')::boolean, false) then 'held'
     when coalesce(state #>> '{discarded,void}', 'true') = 'false'
       and state #>> '{discarded,value,reason}' in ('not proven', 'recalled', 'undated') then 'discarded' end) stored`,
  `alter table lot add column barred text generated always as (case
     when coalesce(state #>> '{recall,value,drill}', 'true') = 'false' then 'recalled' end) stored`,
  ...['batch', 'item', 'lot'].map(
    (table) => `create index ${table}_barred on ${table} (kitchen_id) where barred is not null`,
  ),
]
