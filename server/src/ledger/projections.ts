import {
  apply,
  raised,
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
  state: unknown
  /** The last entry that changed it; null while it is as loaded. */
  seq: number | null
}

/** The states a piece of work looks at: loaded once, folded in memory, written once. */
export class Projections {
  private readonly kept = new Map<string, Kept>()

  load(type: SubjectType, id: Id, state: unknown): void {
    this.kept.set(`${type} ${id}`, { type, id, state, seq: null })
  }

  readonly read: Read = <T extends SubjectType>(type: T, id: Id) =>
    (this.kept.get(`${type} ${id}`)?.state ?? null) as States[T] | null

  fold(subjects: readonly Subject[], entry: Entry): void {
    const today = { ...entry, claim: raised(entry.claim) }
    for (const { type, id } of subjects) {
      const fold = apply[type] as (id: Id, state: unknown, entry: Entry) => unknown
      const state = fold(id, this.read(type, id), today)
      if (state !== null) this.kept.set(`${type} ${id}`, { type, id, state, seq: entry.seal?.seq ?? null })
    }
  }

  changed(): Changed[] {
    return [...this.kept.values()].flatMap(({ seq, ...rest }) => (seq === null ? [] : [{ seq, ...rest }]))
  }
}
