import { Migration } from '@mikro-orm/migrations'

/** A batch that was served against its standing is not over until the lead has decided: as the core's `isClosed` has it. */
export class Migration0006WentOut extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // The index hangs on the column: both are made anew.
  `drop index batch_running`,
  `alter table batch drop column closed`,
  `alter table batch add column closed boolean not null generated always as (
     (coalesce(state #>> '{disposition,value,decision}', '') = 'discard'
       and coalesce(state #>> '{disposition,void}', 'false') = 'false')
     or (coalesce(state #>> '{served,void}', '') = 'false'
       and (coalesce(state #>> '{served,value,happened}', 'false') = 'false'
         or coalesce((state #>> '{disposition,knownAt}')::numeric > (state #>> '{served,knownAt}')::numeric, false)))
   ) stored`,
  `create index batch_running on batch (kitchen_id) where not closed and not put_away`,
]
