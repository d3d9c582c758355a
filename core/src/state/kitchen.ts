import type { Entry } from '../ledger/entry'

/** What belongs to the kitchen as a whole: the codes of its latest batches, so that no two share one. */
export interface KitchenState {
  codes: string[]
}

/** Codes are said aloud, so they are short and come round again; this many are kept apart. */
const KEPT_APART = 300

export function applyToKitchen(state: KitchenState | null, { claim }: Entry): KitchenState | null {
  if (claim.kind !== 'batch-started') return state
  return { codes: [...(state?.codes ?? []), claim.body.code].slice(-KEPT_APART) }
}
