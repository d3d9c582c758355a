import type { Entry, Id, LeftOver } from '../ledger/entry'
import { factOf, type Fact } from './fact'

/** Something that is kept: for now what a batch's eggs left over. */
export interface ItemState extends Omit<LeftOver, 'then'> {
  id: Id
  discarded: Fact<{ reason: string }> | null
}

export function applyToItem(id: Id, state: ItemState | null, entry: Entry): ItemState | null {
  const { claim } = entry
  if (claim.kind === 'left-over') {
    const { then, ...kept } = claim.body
    return { id, ...kept, discarded: then === 'discarded' ? factOf(entry, claim.at, { reason: 'not kept' }) : null }
  }
  if (claim.kind === 'item-discarded' && state) {
    return { ...state, discarded: factOf(entry, claim.at, { reason: claim.body.reason }) }
  }
  return state
}
