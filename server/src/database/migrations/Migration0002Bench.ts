import { Migration } from '@mikro-orm/migrations'
import { projection } from './projection'

/** Lots and what is kept of them; a batch is over when it was served; which fold the kept states are of. */
export class Migration0002Bench extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  ...projection('lot'),
  ...projection('item'),

  // The index hangs on the column: both are made anew.
  `drop index batch_running`,
  `alter table batch drop column closed`,
  `alter table batch add column closed boolean not null generated always as
     (coalesce(state #>> '{disposition,value,decision}', '') = 'discard'
       or coalesce(state #>> '{served,void}', '') = 'false') stored`,
  `create index batch_running on batch (kitchen_id) where not closed`,

  // What is left over of a batch is entered about the item, and belongs to the batch's record too.
  `alter table entry add column of_batch uuid
     generated always as (((canon::jsonb) #>> '{claim,body,batch}')::uuid) stored`,
  `create index entry_of_batch on entry (kitchen_id, of_batch, seq) where of_batch is not null`,

  // States of another fold are folded anew from the chain when the server starts.
  `alter table kitchen add column fold_version integer not null default 1`,
]
