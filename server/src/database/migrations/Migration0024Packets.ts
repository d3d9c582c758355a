import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** Packets of records that were asked for; their files lie in the program's own folder. */
export class Migration0024Packets extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table packet (
     kitchen_id uuid not null references kitchen,
     id uuid not null,
     asked_by uuid not null,
     asked_at bigint not null,
     from_day date not null,
     to_day date not null,
     scale text not null check (scale in ('C', 'F')),
     state text not null check (state in ('waits', 'made', 'ready', 'failed', 'cancelled', 'gone')),
     done integer not null default 0,
     of integer not null default 0,
     bytes bigint,
     said text,
     primary key (kitchen_id, id)
   )`,
  ...perKitchen('packet'),
]
