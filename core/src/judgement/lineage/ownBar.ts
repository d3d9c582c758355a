import { incidentsOf, type BatchState } from '../../state/batch'
import { holdOf, type ItemState } from '../../state/item'
import { doubtOf, type LotState } from '../../state/lot'

/** Why something stops all that was made of it, by what was entered about it alone. */
export type OwnBar = 'held' | 'discarded' | 'recalled'

/** A batch on hold, thrown away or called back, or to which something happened that the lead has not decided about. */
export function ownBarOfBatch(batch: Pick<BatchState, 'recalls' | 'disposition' | 'facts'>): OwnBar | null {
  const { recalls, disposition } = batch
  if (recalls.length > 0) return 'recalled'
  const decision = disposition?.void ? undefined : disposition?.value.decision
  if (decision === 'discard') return 'discarded'
  return decision === 'hold' || incidentsOf(batch).length > 0 ? 'held' : null
}

/** An item that is held or called back, or was thrown away for what it was. */
export function ownBarOfItem(item: Pick<ItemState, 'holds' | 'discarded'>): OwnBar | null {
  const hold = holdOf(item)
  if (hold) return hold.value.recall === null ? 'held' : 'recalled'
  const { discarded } = item
  return discarded && !discarded.void && SAYS_OF_ALL.includes(discarded.value.reason) ? 'discarded' : null
}

/** A lot that is called back in earnest, or that came in by a probe which is in doubt since, while the lead has not decided. */
export function ownBarOfLot(lot: LotState): OwnBar | null {
  if (lot.recall !== null && !lot.recall.value.drill) return 'recalled'
  return doubtOf(lot) === null ? null : 'held'
}

/** Thrown away for what it was, and not for where the rest of it had stood. */
const SAYS_OF_ALL: readonly string[] = ['not proven', 'recalled', 'undated']
