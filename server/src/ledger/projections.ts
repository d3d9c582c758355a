import {
  apply,
  columnsOf,
  parentsOf,
  type Entry,
  type Id,
  type Read,
  type States,
  type Subject,
  type SubjectType,
} from '@logged-thermal/core'
import type { Changed } from './statements'

interface Kept {
  type: SubjectType
  id: Id
  state: States[SubjectType]
  /** What it was made of as it was loaded; null: not known, it was folded anew. */
  parents: string | null
  /** The last entry that changed it; null while it is as loaded. */
  seq: number | null
}

/** The states a piece of work looks at: loaded once, folded in memory, written once. */
export class Projections {
  private readonly kept = new Map<string, Kept>()

  /** @param zone of the kitchen: what is written beside a state has its days */
  constructor(private readonly zone: string) {}

  /** As it was stored, by this code. */
  load(type: SubjectType, id: Id, state: States[SubjectType]): void {
    this.kept.set(`${type} ${id}`, { type, id, state, parents: namesOf(parentsOf(type, state)), seq: null })
  }

  /** Folded anew from the chain: it is written with what changes. @param seq its last entry */
  renew(type: SubjectType, id: Id, state: States[SubjectType], seq: number): void {
    this.kept.set(`${type} ${id}`, { type, id, state, parents: null, seq })
  }

  has({ type, id }: Subject): boolean {
    return this.kept.has(`${type} ${id}`)
  }

  readonly read: Read = <T extends SubjectType>(type: T, id: Id) =>
    (this.kept.get(`${type} ${id}`)?.state ?? null) as States[T] | null

  /** @param entry as it is folded: `asFolded` */
  fold(subjects: readonly Subject[], entry: Entry): void {
    for (const { type, id } of subjects) {
      const fold = apply[type] as (id: Id, state: unknown, entry: Entry) => States[SubjectType] | null
      const known = this.kept.get(`${type} ${id}`)
      const state = fold(id, known?.state ?? null, entry)
      if (state === null) continue
      const parents = known ? known.parents : ''
      this.kept.set(`${type} ${id}`, { type, id, state, parents, seq: entry.seal?.seq ?? null })
    }
  }

  changed(): Changed[] {
    return [...this.kept.values()].flatMap(({ seq, type, id, state, parents }): Changed[] => {
      if (seq === null) return []
      const now = parentsOf(type, state)
      const columns = columnsOf(type, state, this.zone)
      return [{ seq, type, id, state, columns, parents: namesOf(now) === parents ? null : now }]
    })
  }
}

function namesOf(parents: readonly Subject[]): string {
  return parents.map(({ id }) => id).join()
}
