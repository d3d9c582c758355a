import {
  needs,
  touches,
  type AnyClaim,
  type Columns,
  type Id,
  type Seal,
  type Subject,
  type SubjectType,
} from '@logged-thermal/core'
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
  matter: 'matter',
}

export const TYPES = Object.keys(TABLES) as SubjectType[]

/** A row that appending needs: an entry already there, an author, or the state of a subject. */
export interface Gathered {
  what: 'entry' | 'author' | SubjectType
  id: Id
  /** An entry's hash, an author's role, a state's core: by which code it was folded. */
  word: string | null
  /** An entry's canon, a subject's state. */
  content: string | null
}

/** Locks the kitchen's chain until the transaction ends. */
export function lockHead(kitchenId: Id): Statement {
  const sql = `select h.seq, h.hash, h.recorded_at, h.core, k.zone, k.limits_id as limits from chain_head h join kitchen k on k.id = h.kitchen_id
    where h.kitchen_id = ? for update of h`
  return { sql, params: [kitchenId] }
}

/** Everything that admitting these claims looks at. */
export function gather(kitchenId: Id, claims: readonly AnyClaim[], posters: readonly Id[]): Statement {
  // The logbook itself says who may do what.
  const subjects = [{ type: 'kitchen' as const, id: kitchenId }, ...claims.flatMap(needs)]
  const parts = [
    part(
      'entry',
      'entry',
      'hash',
      'canon',
      claims.map(({ id }) => id),
    ),
    part('author', 'person', 'role', 'null', [...posters, ...claims.map(({ by }) => by)]),
    ...statesOf(subjects),
  ]
  return united(kitchenId, parts)
}

/** The states of subjects, as they are kept. */
export function gatherStates(kitchenId: Id, subjects: readonly Subject[]): Statement {
  return united(kitchenId, statesOf(subjects))
}

function statesOf(subjects: readonly Subject[]) {
  return TYPES.map((type) =>
    part(
      type,
      TABLES[type],
      'core',
      'state::text',
      subjects.filter((s) => s.type === type).map(({ id }) => id),
    ),
  )
}

function united(kitchenId: Id, parts: ReturnType<typeof part>[]): Statement {
  const some = parts.filter((each) => each !== null)
  return {
    sql: some.map(({ sql }) => sql).join(' union all '),
    params: some.flatMap(({ ids }) => [kitchenId, ids]),
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
  claim: AnyClaim
  canon: string
  seal: Seal
}

/** Columns that the table of a type of subject has beside the state, and how each is read from JSON. */
const COLUMNS: Partial<Record<SubjectType, Partial<Record<keyof Columns, string>>>> = {
  batch: {
    closed: "(row ->> 'closed')::boolean",
    put_away: "(row ->> 'put_away')::boolean",
    barred: "row ->> 'barred'",
  },
  item: { card: "(row -> 'card')::json", course: "(row -> 'course')::json", barred: "row ->> 'barred'" },
  lot: { barred: "row ->> 'barred'" },
  unit: { card: "(row -> 'card')::json", airs: "(row -> 'airs')::json" },
}

/** A state that a fold has changed. */
export interface Changed {
  type: SubjectType
  id: Id
  seq: number
  state: unknown
  columns: Columns
  /** What it was made of, where that has changed. */
  parents: Subject[] | null
}

/**
 * Entries, the states they changed and with them the new head in one statement; tells the listeners when it is committed.
 * @param core the number of the code that folded the states
 */
export function write(kitchenId: Id, sealed: readonly Sealed[], changed: readonly Changed[], core: number): Statement {
  const saves = [
    ...saveStates(kitchenId, changed, core),
    ...saveEdges(kitchenId, changed),
    ...saveSubjects(kitchenId, sealed),
  ]
  const canons = JSON.stringify(sealed.map(({ canon }) => canon))
  return {
    sql: `${saves.map(({ sql }, i) => `${i === 0 ? 'with ' : ''}saved${i} as (${sql})`).join(', ')}
      select append_entries(?::uuid, array(select json_array_elements_text(?::json))) as seq`,
    params: [...saves.flatMap(({ params }) => params), kitchenId, canons],
  }
}

/**
 * Writes states, in the order of their keys; one statement a table, which returns the ids of what it wrote.
 * @param asOf rows that later entries than this have changed are left alone; left out: none are
 */
export function saveStates(kitchenId: Id, changed: readonly Changed[], core: number, asOf?: number): Statement[] {
  return TYPES.flatMap((type): Statement[] => {
    const rows = changed.filter((each) => each.type === type).sort((a, b) => (a.id < b.id ? -1 : 1))
    if (rows.length === 0) return []
    const own = Object.entries(COLUMNS[type] ?? {})
    const names = ['seq', 'core', 'state', ...own.map(([name]) => name)]
    const sql = `insert into ${TABLES[type]} (kitchen_id, id, ${names.join(', ')})
      select ?::uuid, (row ->> 'id')::uuid, (row ->> 'seq')::bigint, ?::integer, row -> 'state'${own.map(([, read]) => `, ${read}`).join('')}
      from jsonb_array_elements(?::jsonb) row
      on conflict (kitchen_id, id) do update set ${names.map((name) => `${name} = excluded.${name}`).join(', ')}
      ${asOf === undefined ? '' : `where ${TABLES[type]}.seq <= ?`} returning id`
    const written = rows.map(({ id, seq, state, columns }) => ({ id, seq, state, ...columns }))
    return [{ sql, params: [kitchenId, core, JSON.stringify(written), ...(asOf === undefined ? [] : [asOf])] }]
  })
}

/** What each entry changes beside what it is about, so that all entries of a subject are found. */
export function saveSubjects(kitchenId: Id, sealed: readonly { claim: AnyClaim; seal: Seal }[]): Statement[] {
  const rows = sealed.flatMap(({ claim, seal }) =>
    touches(claim, seal)
      .filter(({ id }) => id !== claim.about.id)
      .map(({ id }) => [id, seal.seq]),
  )
  if (rows.length === 0) return []
  const sql = `insert into entry_subject (kitchen_id, subject_id, seq)
    select ?::uuid, (row ->> 0)::uuid, (row ->> 1)::bigint from jsonb_array_elements(?::jsonb) row on conflict do nothing`
  return [{ sql, params: [kitchenId, JSON.stringify(rows)] }]
}

/** What went into what, where that has changed. */
export function saveEdges(kitchenId: Id, changed: readonly Changed[]): Statement[] {
  const rows = changed.flatMap(({ type, id, parents }) => (parents === null ? [] : [{ type, id, parents }]))
  if (rows.length === 0) return []
  const edges = rows.flatMap(({ type, id, parents }) =>
    parents.map((parent) => ({ child: id, childType: type, parent: parent.id, parentType: parent.type })),
  )
  const given = JSON.stringify(edges)
  return [
    {
      sql: `delete from edge e where e.kitchen_id = ?::uuid and e.child_id = any(?::uuid[]) and not exists (
          select from jsonb_array_elements(?::jsonb) row
          where (row ->> 'child')::uuid = e.child_id and (row ->> 'parent')::uuid = e.parent_id)`,
      params: [kitchenId, `{${rows.map(({ id }) => id).join(',')}}`, given],
    },
    {
      sql: `insert into edge (kitchen_id, child_id, child_type, parent_id, parent_type)
        select ?::uuid, (row ->> 'child')::uuid, row ->> 'childType', (row ->> 'parent')::uuid, row ->> 'parentType'
        from jsonb_array_elements(?::jsonb) row on conflict do nothing`,
      params: [kitchenId, given],
    },
  ]
}
