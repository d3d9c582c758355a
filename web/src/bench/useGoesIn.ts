import { dayOf, type BatchState, type LotUse } from '@logged-thermal/core'
import { useEnter } from '../app/enter'
import { useMethodOf } from '../app/instructions'
import { useLine } from '../app/kitchen'
import { useNow } from '../app/now'
import { goesIn, usedFrom, type GoesIn } from './goesIn'

/** What goes in at a step of a batch, and the one tap that names the lots it comes from. */
export function useGoesIn(
  batch: BatchState,
  step: string | null,
): { all: GoesIn[]; offered: LotUse[]; name: (uses: LotUse[]) => void } {
  const line = useLine()
  const now = useNow(60_000)
  const method = useMethodOf(batch)
  const enter = useEnter()
  const all = line && method && step !== null ? goesIn(batch, method, step, line, dayOf(now, line.kitchen.zone)) : []
  const offered = all.flatMap(({ amount, named, offered: lot }) => (named || !lot ? [] : [usedFrom(lot, amount)]))
  const name = (uses: LotUse[]) => {
    if (step !== null && uses.length) enter('lots-used', batch.id, { step, uses })
  }
  return { all, offered, name }
}
