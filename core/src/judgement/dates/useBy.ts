import type { Day } from '../../ground/zone'
import type { LotReceived } from '../../ledger/storeEntries'

type Dated = Pick<LotReceived, 'useBy' | 'dateKind'>

/** The last day that a lot's maker lets it be used; null where none was given. A best-before is noted, and binds nothing. */
export function useByOf({ useBy, dateKind }: Dated): Day | null {
  return dateKind === 'best-before' ? null : useBy
}

/** Whether a lot is past the day its maker gives, on a day. */
export function isPastUseBy(lot: Dated, day: Day): boolean {
  const last = useByOf(lot)
  return last !== null && day > last
}
