import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** Photos of incidents, under the hash that their entries name. */
export class Migration0022Photos extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table photo (
     kitchen_id uuid not null references kitchen,
     hash text not null check (hash = encode(sha256(bytes), 'hex')),
     bytes bytea not null,
     at bigint not null,
     by uuid not null,
     primary key (kitchen_id, hash)
   )`,
  ...perKitchen('photo'),
  `create index photo_at on photo (kitchen_id, at)`,
]
