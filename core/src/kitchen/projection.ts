import { itemCard, unitCard, type ItemCard, type UnitCard } from '../judgement/lineage/card'
import { parentsOfBatch, parentsOfItem } from '../judgement/lineage/lineage'
import { ownBarOfBatch, ownBarOfItem, ownBarOfLot, type OwnBar } from '../judgement/lineage/ownBar'
import { courseOf, type Course } from '../judgement/keeping/course'
import { itemWalls } from '../judgement/dates/walls'
import type { Subject, SubjectType } from '../ledger/subject'
import { isClosed, isPutAway } from '../state/batch'
import type { States } from '../state/state'
import type { Look } from '../state/unit'

export { apply } from '../admission/fold'
export { asFolded, touches, upcast } from '../admission/kinds'

/**
 * What a database keeps beside the state of a subject because it is asked for so often: facts, nothing that depends on the
 * time. All that is stored of a subject comes out of this file; a store that keeps it says by which code it was made.
 */
export interface Columns {
  /** Of a batch: nothing more is entered about it; all of it is put away. */
  closed?: boolean
  put_away?: boolean
  /** Of a batch, an item or a lot: why it stops all that was made of it; null: it does not. */
  barred?: OwnBar | null
  /** An item or a unit in short. */
  card?: ItemCard | UnitCard
  /** How an item is judged in a list. */
  course?: Course
  /** What a unit's air was. */
  airs?: Look[]
}

/** @param zone of the kitchen: cards have its days */
export function columnsOf<T extends SubjectType>(type: T, state: States[T], zone: string): Columns
export function columnsOf(type: SubjectType, state: States[SubjectType], zone: string): Columns {
  switch (type) {
    case 'batch': {
      const batch = state as States['batch']
      return { closed: isClosed(batch), put_away: isPutAway(batch), barred: ownBarOfBatch(batch) }
    }
    case 'item': {
      const item = state as States['item']
      const walls = itemWalls(item, zone)
      return { card: itemCard(item, walls), course: courseOf(item, walls), barred: ownBarOfItem(item) }
    }
    case 'lot':
      return { barred: ownBarOfLot(state as States['lot']) }
    case 'unit': {
      const unit = state as States['unit']
      return { card: unitCard(unit), airs: unit.airs.map(lookOf) }
    }
    default:
      return {}
  }
}

/** What a batch or an item was made of; nothing for what is made of nothing. */
export function parentsOf<T extends SubjectType>(type: T, state: States[T] | null): Subject[]
export function parentsOf(type: SubjectType, state: States[SubjectType] | null): Subject[] {
  if (state === null) return []
  if (type === 'item') return parentsOfItem(state as States['item'])
  return type === 'batch' ? parentsOfBatch(state as States['batch']) : []
}

/** What it is judged by, without who looked: a look that proves nothing stays one. */
function lookOf({ at, celsius, noted, late, doubt }: Look): Look {
  return { at, celsius, noted, ...(late ? { late } : {}), ...(doubt ? { doubt } : {}) }
}
