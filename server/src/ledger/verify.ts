import { GENESIS, isFault, verifyChain, type ChainFault, type ChainHead, type Id } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { readAfter } from './entries.service'
import { sha256 } from './sha256'

const PIECE = 5_000

/** Walks a kitchen's chain from the first entry. Returns its head, or the first fault; a chain cut short is a gap. */
export function verify(scope: KitchenScope, kitchenId: Id): Promise<ChainHead | ChainFault> {
  return scope.asOfOneMoment(kitchenId, async (em) => {
    let head: ChainHead = GENESIS
    for (;;) {
      const entries = await readAfter(em, kitchenId, head.seq, PIECE)
      const result = verifyChain(entries, sha256, head)
      if (isFault(result)) return result
      head = result
      if (entries.length < PIECE) break
    }
    const [kept] = await em.execute<{ seq: string; hash: string }[]>(
      'select seq, hash from chain_head where kitchen_id = ?',
      [kitchenId],
    )
    if (Number(kept?.seq) !== head.seq) return { seq: head.seq + 1, fault: 'gap' }
    return kept?.hash === head.hash ? head : { seq: head.seq, fault: 'broken link' }
  })
}
