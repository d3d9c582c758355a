import type { InstrumentState } from '@logged-thermal/core'
import { useLookBackQuery } from '../app/api'
import { useLine } from '../app/kitchen'

/** How many batches, lots and units the lead has still to decide because an instrument failed; null: not known, or it did not fail. */
export function useOpenLookBack({ id, history }: InstrumentState): number | null {
  const seq = useLine()?.seq ?? 0
  const failed = history.at(-1)?.passed === false
  const { data } = useLookBackQuery({ id, seq }, { skip: !failed })
  if (!failed || !data) return null
  return (
    data.batches.filter(({ decidedAt }) => decidedAt === null).length +
    data.lots.filter(({ waits }) => waits).length +
    data.units.length
  )
}
