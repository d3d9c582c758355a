import type { SqlEntityManager } from '@mikro-orm/postgresql'
import {
  apply,
  type Entry,
  type Id,
  type Read,
  type States,
  type Subject,
  type SubjectType,
} from '@logged-thermal/core'

/** Which table keeps the folded state of which type of subject. */
export const TABLES: Record<SubjectType, string> = {
  kitchen: 'kitchen_state',
  limits: 'limit_set',
  method: 'method',
  instrument: 'instrument',
  batch: 'batch',
}

const TYPES = Object.keys(TABLES) as SubjectType[]

interface Kept {
  subject: Subject
  state: unknown
  /** The last entry that changed it; null while it is as loaded. */
  seq: number | null
}

/** The states a piece of work looks at: loaded once, folded in memory, written once. */
export class Projections {
  private readonly kept = new Map<string, Kept>()

  constructor(private readonly kitchenId: Id) {}

  async load(em: SqlEntityManager, subjects: readonly Subject[]): Promise<void> {
    for (const type of TYPES) {
      const ids = [...new Set(subjects.filter((subject) => subject.type === type).map(({ id }) => id))]
      if (ids.length === 0) continue
      const rows = await em.execute<{ id: Id; state: unknown }[]>(
        `select id, state from ${TABLES[type]} where kitchen_id = ? and id = any(?::uuid[])`,
        [this.kitchenId, `{${ids.join(',')}}`],
      )
      for (const { id, state } of rows) this.kept.set(`${type} ${id}`, { subject: { type, id }, state, seq: null })
    }
  }

  readonly read: Read = <T extends SubjectType>(type: T, id: Id) =>
    (this.kept.get(`${type} ${id}`)?.state ?? null) as States[T] | null

  fold(subjects: readonly Subject[], entry: Entry): void {
    for (const subject of subjects) {
      const { type, id } = subject
      const fold = apply[type] as (id: Id, state: unknown, entry: Entry) => unknown
      const state = fold(id, this.read(type, id), entry)
      if (state !== null) this.kept.set(`${type} ${id}`, { subject, state, seq: entry.seal?.seq ?? null })
    }
  }

  /** Writes what was folded, in the order of the keys. */
  async save(em: SqlEntityManager): Promise<void> {
    for (const type of TYPES) {
      const rows = [...this.kept.values()].filter(({ subject, seq }) => subject.type === type && seq !== null)
      if (rows.length === 0) continue
      rows.sort((a, b) => (a.subject.id < b.subject.id ? -1 : 1))
      await em.execute(
        `insert into ${TABLES[type]} (kitchen_id, id, seq, state)
         select ?::uuid, (row ->> 'id')::uuid, (row ->> 'seq')::bigint, row -> 'state' from jsonb_array_elements(?::jsonb) row
         on conflict (kitchen_id, id) do update set seq = excluded.seq, state = excluded.state`,
        [this.kitchenId, JSON.stringify(rows.map(({ subject, seq, state }) => ({ id: subject.id, seq, state })))],
      )
    }
  }
}
