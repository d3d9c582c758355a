import { createSlice } from '@reduxjs/toolkit'
import { untilThere } from '../kit/later'

/** How entries are made, admitted and folded. */
type Ledger = typeof import('./ledgerCode')

let there: Ledger | null = null
let coming: Promise<Ledger> | null = null

/**
 * That half of core which the Line needs only once something is entered or heard: it comes while the Line is asked for, and
 * drawing that does not wait for it. Until it is there nothing can be entered.
 */
export function loadLedger(): Promise<Ledger> {
  coming ??= untilThere(() => import('./ledgerCode')).then((code) => (there = code))
  return coming
}

/** Throws an Error before it is there: what enters something is shut until then. */
export function ledger(): Ledger {
  if (!there) throw new Error('Nothing is entered or folded before the ledger is there.')
  return there
}

export function isLedgerThere(): boolean {
  return there !== null
}

/** The same, for what is drawn. */
export const ledgerThere = createSlice({
  name: 'ledgerThere',
  initialState: isLedgerThere,
  reducers: { came: () => true },
})
