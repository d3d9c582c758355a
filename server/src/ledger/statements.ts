import { needs, type AnyClaim, type ChainHead, type Id, type Seal, type SubjectType } from '@logged-thermal/core'

import type { Statement } from '../database/query'

/** Which table keeps the folded state of which type of subject. */
export const TABLES: Record<SubjectType, string> = {
  kitchen: 'kitchen_state',
  limits: 'limit_set',
  method: 'method',
  instrument: 'instrument',
  batch: 'batch',
  lot: 'lot',
  item: 'item',
  vessel: 'vessel',
  unit: 'unit',
}

export const TYPES = Object.keys(TABLES) as SubjectType[]

/** A row that appending needs: an entry already there, an author, or the state of a subject. */
export interface Gathered {
  what: 'entry' | 'author' | SubjectType
  id: Id
  /** An entry's hash, an author's role. */
  word: string | null
  /** An entry's canon, a subject's state. */
  content: string | null
}

/** Locks the kitchen's chain until the transaction ends. */
export function lockHead(kitchenId: Id): Statement {
  const sql = `select h.seq, h.hash, k.zone from chain_head h join kitchen k on k.id = h.kitchen_id
    where h.kitchen_id = ? for update of h`
  return { sql, params: [kitchenId] }
}

/** Everything that admitting these claims looks at. */
export function gather(kitchenId: Id, claims: readonly AnyClaim[]): Statement {
  const subjects = claims.flatMap(needs)
  const parts = [
    part(
      'entry',
      'entry',
      'hash',
      'canon',
      claims.map(({ id }) => id),
    ),
    part(
      'author',
      'person',
      'role',
      'null',
      claims.map(({ by }) => by),
    ),
    ...TYPES.map((type) =>
      part(
        type,
        TABLES[type],
        'null',
        'state::text',
        subjects.filter((s) => s.type === type).map(({ id }) => id),
      ),
    ),
  ].filter((each) => each !== null)
  return {
    sql: parts.map(({ sql }) => sql).join(' union all '),
    params: parts.flatMap(({ ids }) => [kitchenId, ids]),
  }
}

function part(what: string, table: string, word: string, content: string, ids: readonly Id[]) {
  if (ids.length === 0) return null
  const sql = `select '${what}' as what, id, ${word}::text as word, ${content}::text as content
    from ${table} where kitchen_id = ? and id = any(?::uuid[])`
  return { sql, ids: `{${[...new Set(ids)].join(',')}}` }
}

/** An entry with the text that was hashed. */
export interface Sealed {
  canon: string
  seal: Seal
}

/** A state that a fold has changed. */
export interface Changed {
  type: SubjectType
  id: Id
  seq: number
  state: unknown
}

/** Entries, the states they changed and the new head in one statement; tells the listeners when it is committed. */
export function write(
  kitchenId: Id,
  sealed: readonly Sealed[],
  changed: readonly Changed[],
  head: ChainHead,
): Statement {
  const saves = saveStates(kitchenId, changed)
  const rows = JSON.stringify(sealed.map(({ canon, seal: { seq, hash } }) => [seq, hash, canon]))
  return {
    sql: `with added as (
        insert into entry (kitchen_id, seq, hash, canon)
        select ?::uuid, (row ->> 0)::bigint, row ->> 1, row ->> 2 from json_array_elements(?::json) row
      ), ${saves.map(({ sql }, i) => `saved${i} as (${sql}), `).join('')}
      moved as (update chain_head set seq = ?, hash = ? where kitchen_id = ? returning kitchen_id, seq)
      select pg_notify('lt_entry', kitchen_id || ':' || seq) from moved`,
    params: [kitchenId, rows, ...saves.flatMap(({ params }) => params), head.seq, head.hash, kitchenId],
  }
}

/** Writes states, in the order of their keys; one statement a table. */
export function saveStates(kitchenId: Id, changed: readonly Changed[]): Statement[] {
  return TYPES.flatMap((type): Statement[] => {
    const rows = changed.filter((each) => each.type === type).sort((a, b) => (a.id < b.id ? -1 : 1))
    if (rows.length === 0) return []
    const sql = `insert into ${TABLES[type]} (kitchen_id, id, seq, state)
      select ?::uuid, (row ->> 'id')::uuid, (row ->> 'seq')::bigint, row -> 'state' from jsonb_array_elements(?::jsonb) row
      on conflict (kitchen_id, id) do update set seq = excluded.seq, state = excluded.state`
    return [{ sql, params: [kitchenId, JSON.stringify(rows.map(({ id, seq, state }) => ({ id, seq, state })))] }]
  })
}
