import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** Who is not fit to work with food: for the food-safety lead alone, and in no entry. What one person entered is found by it. */
export class Migration0020Fitness extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table unfit (
     kitchen_id uuid not null references kitchen,
     id uuid not null,
     person_id uuid not null,
     symptoms text[] not null,
     onset bigint not null,
     told_at bigint not null,
     told_by uuid not null,
     free_since bigint,
     back_at bigint,
     back_by uuid,
     papers text not null default '',
     covered boolean not null default false,
     primary key (kitchen_id, id),
     foreign key (kitchen_id, person_id) references person (kitchen_id, id)
   )`,
  ...perKitchen('unfit'),
  // One at a time: who is ill again before they are back is ill still.
  `create unique index unfit_now on unfit (kitchen_id, person_id) where back_at is null`,
  // What the Log tells of a day, with lists, plans and traces.
  `drop index entry_day`,
  `create index entry_day on entry (kitchen_id, (((canon::jsonb) #>> '{claim,at}')::bigint))
     where kind in ('lot-received', 'lot-decided', 'recalled', 'recall-ended', 'instrument-checked', 'handed-over',
       'item-discarded', 'disposed', 'served', 'item-dispatched', 'unit-skipped', 'reading-accepted', 'entries-accepted',
       'limits-set', 'method-approved', 'delegated', 'restored', 'incident-told', 'matter-closed', 'day-signed',
       'entries-refused', 'taken-back', 'air-taken-back', 'list-done', 'plan-signed', 'trace-ended')`,
  `create index entry_subject_seq on entry_subject (kitchen_id, seq)`,
  `create index entry_by on entry (kitchen_id, (((canon::jsonb) #>> '{claim,by}')), (((canon::jsonb) #>> '{claim,at}')::bigint))`,
]
