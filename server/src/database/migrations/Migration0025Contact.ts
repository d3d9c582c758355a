import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/**
 * What the server itself knows of a tablet's network: when it heard nothing of it, and when each run of the program on it
 * began. By that it tells when an entry was made that came later.
 */
export class Migration0025Contact extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table tablet_gap (
     kitchen_id uuid not null references kitchen,
     tablet_id uuid not null,
     lost_at bigint not null,
     back_at bigint not null check (back_at > lost_at),
     primary key (kitchen_id, tablet_id, lost_at)
   )`,
  ...perKitchen('tablet_gap'),
  `create table tablet_run (
     kitchen_id uuid not null references kitchen,
     run uuid not null,
     tablet_id uuid not null,
     began_at bigint not null,
     claimed boolean not null default false,
     primary key (kitchen_id, run)
   )`,
  ...perKitchen('tablet_run'),
]
