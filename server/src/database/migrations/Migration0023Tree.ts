import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** Roots of full blocks of entries, from which the tree over a logbook is put together. */
export class Migration0023Tree extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table entry_block (
     kitchen_id uuid not null references kitchen,
     index integer not null,
     root text not null,
     primary key (kitchen_id, index)
   )`,
  ...perKitchen('entry_block'),
]
