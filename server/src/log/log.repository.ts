import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { asFolded, type Id, type Instant, type SealedEntry, type Standing } from '@logged-thermal/core'
import { query, type Statement } from '../database/query'
import type { Answers } from '../http/answers'
import { entryOf, type EntryRow } from '../ledger/entries.service'
import type { LogQuery } from './log.dto'

/** Kinds that a day shows between its batches; as the index `entry_day` has them. */
const EVENTS = [
  'lot-received',
  'lot-decided',
  'recalled',
  'recall-ended',
  'instrument-checked',
  'handed-over',
  'item-discarded',
  'disposed',
  'served',
  'item-dispatched',
  'unit-skipped',
  'reading-accepted',
  'entries-accepted',
  'entries-refused',
  'limits-set',
  'method-approved',
  'delegated',
  'restored',
  'incident-told',
  'matter-closed',
  'day-signed',
  'list-done',
  'plan-signed',
  'trace-ended',
  'log-transcribed',
]

/** A lot is followed through so many hands: a batch into an item into a batch. */
const GENERATIONS = 12

/** Entries of a period that are shown at most. */
const MOST_EVENTS = 500

/** What a row says of how it stands at an instant: as of its last standing that has begun by then, the first before it. */
const stood = (what: 'standing' | 'settled') => `(select s ->> '${what}' from jsonb_array_elements(stands)
  with ordinality as each (s, n) where n = 1 or (s ->> 'from')::bigint <= ? order by n desc limit 1)`
const STANDING = stood('standing')
const SETTLED = `${stood('settled')}::boolean`

/** Reads the rows of the Log. Every method runs in the transaction of its `em`. */
@Injectable()
export class LogRepository {
  /** Of all rows that fit, how many stand how. */
  async counts(em: EntityManager, kitchenId: Id, asked: LogQuery, now: Instant): Promise<Record<Standing, number>> {
    const { sql, params } = fitting(kitchenId, asked)
    const rows = await query<{ standing: Standing; count: string }>(em, {
      sql: `select ${STANDING} as standing, count(*) from log_row where ${sql} group by 1`,
      params: [now, ...params],
    })
    const none = { open: 0, proven: 0, unproven: 0, missed: 0 }
    return { ...none, ...Object.fromEntries(rows.map(({ standing, count }) => [standing, Number(count)])) }
  }

  /** Those that fit, the latest first: each a LoggedBatch as JSON. */
  async batches(em: EntityManager, kitchenId: Id, asked: LogQuery, now: Instant, most: number): Promise<string[]> {
    const { sql, params } = fitting(kitchenId, asked)
    const standing = asked.standing === undefined ? [] : [now, asked.standing]
    const before = asked.before === undefined || asked.beforeId === undefined ? [] : [asked.before, asked.beforeId]
    const rows = await query<{ line: string }>(em, {
      sql: `select line::text as line from log_row where ${sql}
        ${standing.length ? `and ${STANDING} = ?` : ''} ${before.length ? 'and (started_at, id) < (?::bigint, ?::uuid)' : ''}
        order by started_at desc, id desc limit ?`,
      params: [...params, ...standing, ...before, most],
    })
    return rows.map(({ line }) => line)
  }

  /** Those that fit, the latest first: each a LoggedBatch as JSON, without what is only drawn of one. */
  async trended(em: EntityManager, kitchenId: Id, asked: LogQuery, most: number): Promise<string[]> {
    const { sql, params } = fitting(kitchenId, asked)
    const rows = await query<{ line: string }>(em, {
      sql: `select (line::jsonb - '{trace,doubted,ownAccepted,otherwise}'::text[])::text as line from log_row where ${sql}
        order by started_at desc, id desc limit ?`,
      params: [...params, most],
    })
    return rows.map(({ line }) => line)
  }

  /** Batches of which something waits for the lead, or eggs are left: each a LoggedBatch as JSON, the latest first. */
  async unresolved(em: EntityManager, kitchenId: Id, now: Instant, most: number): Promise<string[]> {
    const rows = await query<{ line: string }>(em, {
      sql: `select line::text as line from log_row where kitchen_id = ? and (eggs_left or not ${SETTLED})
        order by started_at desc limit ?`,
      params: [kitchenId, now, most],
    })
    return rows.map(({ line }) => line)
  }

  /** What else happened: deliveries, checks, decisions, what was thrown away or left, in order of its time. */
  async events(em: EntityManager, kitchenId: Id, from: Instant, to: Instant): Promise<Answers['LogEvents']> {
    const at = `((canon::jsonb) #>> '{claim,at}')::bigint`
    const rows = await query<EntryRow>(em, {
      sql: `select hash, canon from entry where kitchen_id = ? and ${at} between ? and ?
        and kind in (${EVENTS.map((kind) => `'${kind}'`).join(', ')}) order by ${at}, seq limit ?`,
      params: [kitchenId, from, to, MOST_EVENTS + 1],
    })
    const entries = rows.slice(0, MOST_EVENTS).map((row) => asFolded(entryOf(row)))
    return { entries, names: await this.names(em, kitchenId, entries), more: rows.length > MOST_EVENTS }
  }

  /** Batches of a period of which something was late, put right or taken back: each a BatchState as JSON. */
  async changed(em: EntityManager, kitchenId: Id, from: Instant, to: Instant, most: number): Promise<string[]> {
    const rows = await query<{ state: string }>(em, {
      sql: `select b.state::text as state from log_row r join batch b on b.kitchen_id = r.kitchen_id and b.id = r.id
        where r.kitchen_id = ? and r.started_at <= ? and r.until >= ? and (r.line ->> 'changed')::int > 0
        order by r.started_at desc, r.id desc limit ?`,
      params: [kitchenId, to, from, most],
    })
    return rows.map(({ state }) => state)
  }

  /** Taps on items and lists and looks at units that were taken back in a period, each with what it took back. */
  async takenBack(
    em: EntityManager,
    kitchenId: Id,
    from: Instant,
    to: Instant,
  ): Promise<Answers['Changes']['takenBack']> {
    const at = `((t.canon::jsonb) #>> '{claim,at}')::bigint`
    const rows = await query<EntryRow & { of_hash: string; of_canon: string }>(em, {
      sql: `select t.hash, t.canon, o.hash as of_hash, o.canon as of_canon from entry t
        join entry o on o.kitchen_id = t.kitchen_id and o.id = ((t.canon::jsonb) #>> '{claim,body,target}')::uuid
        where t.kitchen_id = ? and ${at} between ? and ? and t.kind in ('taken-back', 'air-taken-back', 'list-taken-back')
        order by ${at} desc limit ?`,
      params: [kitchenId, from, to, MOST_EVENTS],
    })
    return rows.map(({ hash, canon, of_hash, of_canon }) => ({
      entry: asFolded(entryOf({ hash, canon })),
      target: asFolded(entryOf({ hash: of_hash, canon: of_canon })),
    }))
  }

  /** Every entry that brought in lines of a log that was kept elsewhere, as its text. */
  async transcribed(em: EntityManager, kitchenId: Id): Promise<string[]> {
    const rows = await query<{ canon: string }>(em, {
      sql: `select canon from entry where kitchen_id = ? and kind = 'log-transcribed' order by seq`,
      params: [kitchenId],
    })
    return rows.map(({ canon }) => canon)
  }

  /** What the things are called that entries are about: 'Lemon custard 330-1'. */
  async names(em: EntityManager, kitchenId: Id, entries: readonly SealedEntry[]): Promise<Record<Id, string>> {
    const ids = entries.flatMap(({ claim }) => [
      claim.about.id,
      ...(claim.kind === 'matter-closed' ? [claim.body.subject.id] : []),
      ...(claim.kind === 'entries-accepted' || claim.kind === 'entries-refused'
        ? claim.body.entries.map(({ id }) => id)
        : []),
    ])
    return this.namesOf(em, kitchenId, ids)
  }

  /** What batches, items, lots, units and methods are called. */
  async namesOf(em: EntityManager, kitchenId: Id, ids: readonly Id[]): Promise<Record<Id, string>> {
    const rows = await query<{ id: Id; name: string }>(em, {
      sql: `select id, concat(state #>> '{method,name}', ' ', code) as name from batch where kitchen_id = ? and id = any(?::uuid[])
        union all select id, concat(card ->> 'name', ' ', card ->> 'code') from item where kitchen_id = ? and id = any(?::uuid[])
        union all select id, concat(state ->> 'name', ' ', code) from lot where kitchen_id = ? and id = any(?::uuid[])
        union all select id, card ->> 'name' from unit where kitchen_id = ? and id = any(?::uuid[])
        union all select id, state #>> '{versions,-1,name}' from method where kitchen_id = ? and id = any(?::uuid[])`,
      params: Array.from({ length: 5 }, () => [kitchenId, `{${[...new Set(ids)].join(',')}}`]).flat(),
    })
    return Object.fromEntries(rows.map(({ id, name }) => [id, name]))
  }
}

/** The condition of a row that fits all that is asked but its standing. */
function fitting(kitchenId: Id, { from, to, words, person, method, instrument, unit, lot }: LogQuery): Statement {
  const parts: Statement[] = [
    { sql: 'kitchen_id = ? and started_at <= ? and until >= ?', params: [kitchenId, to, from] },
  ]
  const has = (column: string, id: Id | undefined) => {
    if (id !== undefined) parts.push({ sql: `${column} @> array[?::uuid]`, params: [id] })
  }
  has('people', person)
  has('instruments', instrument)
  if (lot !== undefined)
    parts.push({
      // Also where it came in by way of another batch, or of something that was put away.
      sql: `(lots @> array[?::uuid] or id in (with recursive down (id, generation) as (
          select child_id, 1 from edge where kitchen_id = ? and parent_id = ?::uuid
          union select e.child_id, d.generation + 1
          from down d join edge e on e.kitchen_id = ? and e.parent_id = d.id where d.generation < ${GENERATIONS})
        select id from down))`,
      params: [lot, kitchenId, lot, kitchenId],
    })
  if (method !== undefined) parts.push({ sql: 'method = ?::uuid', params: [method] })
  if (unit !== undefined)
    parts.push({
      // Also where some of it is held there now.
      sql: `(units @> array[?::uuid] or exists (select from edge e join item i on i.kitchen_id = e.kitchen_id and i.id = e.child_id
        where e.kitchen_id = log_row.kitchen_id and e.parent_id = log_row.id and i.card ->> 'unit' = ?))`,
      params: [unit, unit],
    })
  for (const word of (words ?? '').split(/\s+/).filter((each) => each !== '')) {
    const like = `%${word.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`
    parts.push({
      sql: `(words ilike ? or people && array(select id from person where kitchen_id = ? and name ilike ?))`,
      params: [like, kitchenId, like],
    })
  }
  return { sql: parts.map(({ sql }) => sql).join(' and '), params: parts.flatMap(({ params }) => params) }
}
