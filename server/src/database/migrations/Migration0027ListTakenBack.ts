import { Migration } from '@mikro-orm/migrations'

/** A list that was tapped by mistake is told among what was taken back. */
export class Migration0027ListTakenBack extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `drop index entry_day`,
  `create index entry_day on entry (kitchen_id, (((canon::jsonb) #>> '{claim,at}')::bigint))
     where kind in ('lot-received', 'lot-decided', 'recalled', 'recall-ended', 'instrument-checked', 'handed-over',
       'item-discarded', 'disposed', 'served', 'item-dispatched', 'unit-skipped', 'reading-accepted', 'entries-accepted',
       'limits-set', 'method-approved', 'delegated', 'restored', 'incident-told', 'matter-closed', 'day-signed',
       'entries-refused', 'taken-back', 'air-taken-back', 'list-taken-back', 'list-done', 'plan-signed', 'trace-ended',
       'log-transcribed')`,
]
