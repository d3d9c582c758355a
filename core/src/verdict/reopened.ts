import type { Instant } from '../calendar/instant'
import { catalogue } from '../ingredient/catalogue'
import type { Addition } from '../ledger/entry'
import type { BatchState } from '../state/batch'

/** Raw egg or untreated frozen fruit: what is in the pot has not been through the heat any more. */
export function reopens({ ingredient, state }: Pick<Addition, 'ingredient' | 'state'>): boolean {
  if (state === 'frozen') return true
  return catalogue[ingredient]?.egg != null && state !== 'pasteurized lot'
}

/** When something last went in that has to be cooked with the rest; long ago while nothing did. */
export function reopenedAt({ additions }: Pick<BatchState, 'additions'>): Instant {
  return Math.max(
    -Infinity,
    ...additions.filter(({ void: gone, value }) => !gone && reopens(value)).map(({ at }) => at),
  )
}
