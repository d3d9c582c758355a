import { Migration } from '@mikro-orm/migrations'
import { perKitchen } from './projection'

/** The cold store: items by place, code and end; what went into what; the secret address of the calendar. */
export class Migration0004Store extends Migration {
  override up(): void {
    for (const statement of statements) this.addSql(statement)
  }
}

const statements = [
  // Written with the state by the fold: core says what an item is in short. Plain text, to be handed on as it is.
  `alter table item
     add column card json not null default '{}',
     add column code text not null generated always as (coalesce(card ->> 'code', '')) stored,
     add column live boolean not null generated always as (not coalesce((card ->> 'gone')::boolean, true)) stored,
     add column unit_id uuid generated always as ((card ->> 'unit')::uuid) stored,
     add column made_ms bigint generated always as ((card ->> 'made')::bigint) stored,
     add column frozen boolean not null generated always as (card ->> 'frozenDays' is not null) stored,
     add column until_ms bigint generated always as ((card ->> 'until')::bigint) stored,
     add column aside boolean generated always as
       (coalesce((card ->> 'held')::boolean, false) or card ->> 'outSince' is not null
         or (card ->> 'until' is null and card ->> 'frozenDays' is null)) stored`,
  `create index item_until on item (kitchen_id, until_ms) where live`,
  `create index item_unit on item (kitchen_id, unit_id) where live`,
  `create index item_made on item (kitchen_id, made_ms) where live and not frozen`,
  `create index item_aside on item (kitchen_id) where live and aside`,
  `create index item_code on item (kitchen_id, code)`,
  `create index item_discarded on item (kitchen_id, ((state #>> '{discarded,at}')::bigint))
     where state -> 'discarded' <> 'null'`,

  `alter table lot add column code text generated always as (state ->> 'code') stored`,
  `create index lot_code on lot (kitchen_id, code)`,
  `create index lot_seq on lot (kitchen_id, seq)`,
  `create index batch_code on batch (kitchen_id, code)`,

  // Put away whole, a batch goes on as items and leaves the Line.
  `alter table batch add column put_away boolean not null generated always as
     (jsonb_path_exists(state, '$.portions[*] ? (@.void == false && @.value.last == true)')) stored`,
  `drop index batch_running`,
  `create index batch_running on batch (kitchen_id) where not closed and not put_away`,

  `create table edge (
     kitchen_id uuid not null references kitchen,
     child_id uuid not null,
     parent_id uuid not null,
     child_type text not null,
     parent_type text not null,
     primary key (kitchen_id, child_id, parent_id)
   )`,
  `create index edge_down on edge (kitchen_id, parent_id)`,
  ...perKitchen('edge'),

  `create table feed (
     kitchen_id uuid primary key references kitchen,
     secret text not null
   )`,
  ...perKitchen('feed'),
]
