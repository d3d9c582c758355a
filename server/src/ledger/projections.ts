import {
  apply,
  courseOf,
  itemCard,
  itemWalls,
  parentsOfBatch,
  parentsOfItem,
  raised,
  unitCard,
  type BatchState,
  type Entry,
  type Id,
  type ItemState,
  type Look,
  type Read,
  type States,
  type Subject,
  type SubjectType,
  type UnitState,
} from '@logged-thermal/core'
import type { Beside, Changed } from './statements'

interface Kept {
  type: SubjectType
  id: Id
  state: unknown
  /** What it was made of as it was loaded. */
  parents: string
  /** The last entry that changed it; null while it is as loaded. */
  seq: number | null
}

/** The states a piece of work looks at: loaded once, folded in memory, written once. */
export class Projections {
  private readonly kept = new Map<string, Kept>()

  /** @param zone of the kitchen: what is written beside a state has its days */
  constructor(private readonly zone: string) {}

  load(type: SubjectType, id: Id, state: unknown): void {
    this.kept.set(`${type} ${id}`, { type, id, state, parents: namesOf(parentsOf(type, state)), seq: null })
  }

  has({ type, id }: Subject): boolean {
    return this.kept.has(`${type} ${id}`)
  }

  readonly read: Read = <T extends SubjectType>(type: T, id: Id) =>
    (this.kept.get(`${type} ${id}`)?.state ?? null) as States[T] | null

  fold(subjects: readonly Subject[], entry: Entry): void {
    const today = { ...entry, claim: raised(entry.claim) }
    for (const { type, id } of subjects) {
      const fold = apply[type] as (id: Id, state: unknown, entry: Entry) => unknown
      const known = this.kept.get(`${type} ${id}`)
      const state = fold(id, known?.state ?? null, today)
      if (state === null) continue
      this.kept.set(`${type} ${id}`, { type, id, state, parents: known?.parents ?? '', seq: entry.seal?.seq ?? null })
    }
  }

  changed(): Changed[] {
    return [...this.kept.values()].flatMap(({ seq, type, id, state, parents }): Changed[] => {
      if (seq === null) return []
      const now = parentsOf(type, state)
      const written = beside(type, state, this.zone)
      return [{ seq, type, id, state, beside: written, parents: namesOf(now) === parents ? null : now }]
    })
  }
}

/** What is asked for so often that it is written beside the state: an item in short, and what a unit's air was. */
function beside(type: SubjectType, state: unknown, zone: string): Beside | null {
  if (type === 'item') {
    const item = state as ItemState
    const walls = itemWalls(item, zone)
    return { card: itemCard(item, walls), course: courseOf(item, walls) }
  }
  if (type === 'unit') {
    const unit = state as UnitState
    return { card: unitCard(unit), airs: unit.airs.map(({ at, celsius, noted }): Look => ({ at, celsius, noted })) }
  }
  return null
}

/** What a batch or an item was made of; nothing for what is made of nothing. */
function parentsOf(type: SubjectType, state: unknown): Subject[] {
  if (type === 'item') return parentsOfItem(state as ItemState)
  return type === 'batch' ? parentsOfBatch(state as BatchState) : []
}

function namesOf(parents: readonly Subject[]): string {
  return parents.map(({ id }) => id).join()
}
