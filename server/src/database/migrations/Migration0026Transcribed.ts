import { Migration } from '@mikro-orm/migrations'

/** Lines of logs that were kept elsewhere: found without going through all entries, and told in the Log on their day. */
export class Migration0026Transcribed extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create index entry_transcribed on entry (kitchen_id, seq) where kind = 'log-transcribed'`,
  `drop index entry_day`,
  `create index entry_day on entry (kitchen_id, (((canon::jsonb) #>> '{claim,at}')::bigint))
     where kind in ('lot-received', 'lot-decided', 'recalled', 'recall-ended', 'instrument-checked', 'handed-over',
       'item-discarded', 'disposed', 'served', 'item-dispatched', 'unit-skipped', 'reading-accepted', 'entries-accepted',
       'limits-set', 'method-approved', 'delegated', 'restored', 'incident-told', 'matter-closed', 'day-signed',
       'entries-refused', 'taken-back', 'air-taken-back', 'list-done', 'plan-signed', 'trace-ended', 'log-transcribed')`,
]
