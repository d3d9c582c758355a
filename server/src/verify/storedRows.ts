import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { canonical, type Id, type Subject, type SubjectType } from '@logged-thermal/core'
import { query } from '../database/query'
import { foldCore } from '../ledger/foldCore'
import type { Projections } from '../ledger/projections'
import { TABLES, type Changed } from '../ledger/statements'
import type { Fault } from './fault'

const PIECE = 1_000

/** Columns beside a state that core works out, by table. */
const COLUMNS: Partial<Record<SubjectType, readonly string[]>> = {
  batch: ['closed', 'put_away', 'barred'],
  item: ['card', 'course', 'barred'],
  lot: ['barred'],
  unit: ['card', 'airs'],
}

/** Compares everything that is kept beside the logbook with what its entries say, folded by this code. */
export async function storedRowFaults(em: SqlEntityManager, kitchenId: Id, folded: Projections): Promise<Fault[]> {
  const expected = new Map(folded.changed().map((each) => [`${each.type} ${each.id}`, each]))
  const lineage = new Map([...expected.values()].map(({ id, parents }) => [id, namesOf(parents ?? [])]))
  const faults: Fault[] = []
  for (const type of Object.keys(TABLES) as SubjectType[]) {
    for await (const row of rowsOf(em, kitchenId, type)) {
      const known = expected.get(`${type} ${row.id}`)
      expected.delete(`${type} ${row.id}`)
      if (!known) faults.push({ code: 'row of nothing', type, id: row.id })
      else if (row.current && !isSame(known, row)) faults.push({ code: 'other row', type, id: row.id })
    }
  }
  for (const { type, id } of expected.values()) faults.push({ code: 'no row', type, id })
  return [...faults, ...(await lineageFaults(em, kitchenId, lineage))]
}

interface StoredRow {
  id: Id
  seq: string
  state: unknown
  /** Folded by this code: what older or newer code folded is another matter. */
  current: boolean
  columns: Record<string, unknown>
}

async function* rowsOf(em: SqlEntityManager, kitchenId: Id, type: SubjectType): AsyncGenerator<StoredRow> {
  const core = await foldCore(em)
  const columns = (COLUMNS[type] ?? []).map((name) => `'${name}', ${name}`).join(', ')
  for (let after: Id | null = null; ;) {
    const rows: StoredRow[] = await query(em, {
      sql: `select id, seq, state, core = ? as current, json_build_object(${columns}) as columns from ${TABLES[type]}
        where kitchen_id = ? and (?::uuid is null or id > ?::uuid) order by id limit ${PIECE}`,
      params: [core, kitchenId, after, after],
    })
    yield* rows
    if (rows.length < PIECE) return
    after = rows.at(-1)!.id
  }
}

function isSame(known: Changed, { seq, state, columns }: StoredRow): boolean {
  return (
    Number(seq) === known.seq &&
    canonical(state) === canonical(known.state) &&
    canonical(columns) === canonical(JSON.parse(JSON.stringify(known.columns)))
  )
}

async function lineageFaults(em: SqlEntityManager, kitchenId: Id, expected: ReadonlyMap<Id, string>): Promise<Fault[]> {
  const stored = new Map<Id, Subject[]>()
  for (const { child, ...parent } of await query<Subject & { child: Id }>(em, {
    sql: 'select child_id as child, parent_id as id, parent_type as type from edge where kitchen_id = ?',
    params: [kitchenId],
  }))
    stored.set(child, [...(stored.get(child) ?? []), parent])
  const ids = new Set([...stored.keys(), ...expected.keys()])
  return [...ids]
    .filter((id) => namesOf(stored.get(id) ?? []) !== (expected.get(id) ?? ''))
    .map((id): Fault => ({ code: 'other lineage', id }))
}

function namesOf(subjects: readonly Subject[]): string {
  return [...new Set(subjects.map(({ type, id }) => `${type} ${id}`))].sort().join()
}
