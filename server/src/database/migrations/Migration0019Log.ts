import { Migration } from '@mikro-orm/migrations'
import { perKitchen, projection } from './projection'

/** A row of the Log a batch, made of its state when the Log is asked for; the entries of a day; matters. */
export class Migration0019Log extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table log_row (
     kitchen_id uuid not null references kitchen,
     id uuid not null,
     -- Of which state of the batch, folded by which code, and made by which code.
     seq bigint not null,
     core integer not null,
     made_by text not null,
     started_at bigint not null,
     until bigint not null,
     method uuid not null,
     people uuid[] not null,
     instruments uuid[] not null,
     lots uuid[] not null,
     units uuid[] not null,
     words text not null,
     stands jsonb not null,
     eggs_left boolean not null,
     line json not null,
     primary key (kitchen_id, id)
   )`,
  ...perKitchen('log_row'),

  ...projection('matter'),
  `alter table matter add column core integer not null default 0`,
  `create index matter_core on matter (kitchen_id, core)`,

  `create index log_row_started on log_row (kitchen_id, started_at)`,
  `create index entry_day on entry (kitchen_id, (((canon::jsonb) #>> '{claim,at}')::bigint))
     where kind in ('lot-received', 'lot-decided', 'recalled', 'recall-ended', 'instrument-checked', 'handed-over',
       'item-discarded', 'disposed', 'served', 'item-dispatched', 'unit-skipped', 'reading-accepted', 'entries-accepted',
       'limits-set', 'method-approved', 'delegated', 'restored', 'incident-told', 'matter-closed', 'day-signed',
       'entries-refused', 'taken-back', 'air-taken-back')`,
]
