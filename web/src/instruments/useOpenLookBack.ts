import type { InstrumentState } from '@logged-thermal/core'
import { useLookBackQuery } from '../app/api'
import { useLine } from '../app/kitchen'

/** How many batches the lead has still to look at because an instrument failed; null: not known, or it did not fail. */
export function useOpenLookBack({ id, history }: InstrumentState): number | null {
  const seq = useLine()?.seq ?? 0
  const failed = history.at(-1)?.passed === false
  const { data } = useLookBackQuery({ id, seq }, { skip: !failed })
  return failed && data ? data.batches.filter(({ decidedAt }) => decidedAt === null).length : null
}
