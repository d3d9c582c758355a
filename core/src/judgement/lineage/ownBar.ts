import { incidentsOf, type BatchState } from '../../state/batch'
import { holdOf, type ItemState } from '../../state/item'
import type { LotState } from '../../state/lot'

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

/** A lot that is called back in earnest. */
export function ownBarOfLot({ recall }: Pick<LotState, 'recall'>): OwnBar | null {
  return recall !== null && !recall.value.drill ? 'recalled' : null
}

/** Thrown away for what it was, and not for where the rest of it had stood. */
const SAYS_OF_ALL: readonly string[] = ['not proven', 'recalled', 'undated']
