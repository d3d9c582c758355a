import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** Who is told by e-mail of what waits, and what went out. */
export class Migration0021Notices extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table notice_wish (
     kitchen_id uuid primary key references kitchen,
     mail_to text not null,
     urgent boolean not null,
     digest boolean not null,
     quiet_from text,
     quiet_until text,
     since bigint not null
   )`,
  ...perKitchen('notice_wish'),
  `create table notice_sent (
     kitchen_id uuid not null references kitchen,
     name text not null,
     at bigint not null,
     primary key (kitchen_id, name)
   )`,
  ...perKitchen('notice_sent'),
]
