import { Migration } from '@mikro-orm/migrations'

/** Who signs in with a password: one account of the installation, for a person in each of several kitchens. */
export class Migration0017Accounts extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  `create table account (
     id uuid primary key,
     name text not null,
     password_hash text not null,
     wrong smallint not null default 0,
     wrong_at timestamptz,
     locked_until timestamptz,
     -- One-time codes: on from code_since; before it the secret waits for its first code.
     code_secret text,
     code_since timestamptz,
     code_step bigint not null default 0,
     recovery text[] not null default '{}'
   )`,
  `create unique index account_name on account (lower(name))`,
  // Which person it is in which kitchen; who may do what there is that kitchen's to say.
  `create table account_person (
     account_id uuid not null references account (id),
     kitchen_id uuid not null references kitchen (id),
     person_id uuid not null,
     primary key (account_id, kitchen_id),
     unique (kitchen_id, person_id)
   )`,
  `create table account_session (
     token_hash text primary key,
     account_id uuid not null references account (id),
     opened_at timestamptz not null,
     ended_at timestamptz
   )`,
]
