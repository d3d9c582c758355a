import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/**
 * Every kept state says by which code it was folded, and what was generated from states in SQL is written by core: the
 * rules of when a batch is over and what stops all that was made of something have one home.
 */
export class Migration0008FoldedBy extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const STATES = ['kitchen_state', 'limit_set', 'method', 'instrument', 'batch', 'lot', 'item', 'vessel', 'unit']

const statements = [
  // Which code folds, in the order in which the database met it: a later one is newer. No kitchen's own.
  `create table fold_core (digest text primary key, number integer not null unique generated always as identity)`,
  // 0: by code of before this table.
  ...STATES.map((table) => `alter table ${table} add column core integer not null default 0`),
  ...STATES.map((table) => `create index ${table}_core on ${table} (kitchen_id, core)`),
  // No state of the kitchen is of older code than this; and entry_subject is complete by it.
  `alter table chain_head add column core integer not null default 0, add column subjects_core integer not null default 0`,

  // What an entry changes beside what it is about.
  `create table entry_subject (
     kitchen_id uuid not null references kitchen,
     subject_id uuid not null,
     seq bigint not null,
     primary key (kitchen_id, subject_id, seq)
   )`,
  ...perKitchen('entry_subject'),

  `drop index batch_running`,
  `alter table batch drop column closed, drop column put_away, drop column barred`,
  `alter table item drop column barred`,
  `alter table lot drop column barred`,
  `alter table batch add column closed boolean not null default false, add column put_away boolean not null default false`,
  `create index batch_running on batch (kitchen_id) where not closed and not put_away`,
  ...['batch', 'item', 'lot'].flatMap((table) => [
    `alter table ${table} add column barred text`,
    `create index ${table}_barred on ${table} (kitchen_id) where barred is not null`,
  ]),
  `alter table kitchen drop column fold_version`,
]
