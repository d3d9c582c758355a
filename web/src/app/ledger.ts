import { useEffect } from 'react'
import { useDispatch } from 'react-redux'
import { createSlice } from '@reduxjs/toolkit'
import { untilThere, whenIdle } from '../kit/later'

/** How entries are made, admitted and folded. */
type Ledger = typeof import('./ledgerCode')

let there: Ledger | null = null
let coming: Promise<Ledger> | null = null

/**
 * That half of core which the Line needs only once something is entered or heard: it comes once the Line is told, and takes no
 * connection from what that waits for. Until it is there nothing can be entered.
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

/** Has it come once the Line is drawn, and says so to what is drawn. */
export function useLedger(isLineThere: boolean): void {
  const dispatch = useDispatch()
  useEffect(() => {
    if (isLineThere)
      void whenIdle(200)
        .then(loadLedger)
        .then(() => dispatch(ledgerThere.actions.came()))
  }, [isLineThere, dispatch])
}
