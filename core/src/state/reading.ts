import { celsiusOf, type Typed } from '../ground/temperature'
import type { ReadBy } from '../ledger/instrumentEntries'

/** What a reading says, °C: as it was shown, less what its instrument is known to read too high. */
export function celsiusRead({ typed, readBy }: { typed: Typed; readBy?: ReadBy }): number {
  const celsius = celsiusOf(typed)
  return readBy && readBy.off !== 0 ? Math.round((celsius - readBy.off) * 1e6) / 1e6 : celsius
}
