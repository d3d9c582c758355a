import { createAction, type UnknownAction } from '@reduxjs/toolkit'
import type { SealedEntry } from '@logged-thermal/core'
import { api } from './api'
import { isLedgerThere, ledger, loadLedger } from './ledger'
import type { LineData } from './lineData'

/** An entry that the stream has told. */
export const entryHeard = createAction<SealedEntry>('line/entryHeard')

/**
 * The kitchen as the server told it, with every entry heard since folded in. A plain reducer beside the query's cache:
 * there each change would be copied whole, to be taken back by patches that nobody needs.
 */
export function heard(state: LineData | null = null, action: UnknownAction): LineData | null {
  if (api.endpoints.line.matchFulfilled(action)) return action.payload
  return state && entryHeard.match(action) ? ledger().foldLine(state, action.payload) : state
}

/** What the stream has told since the Line was asked for, while that is on its way; null: nobody has asked. */
export function heardMeanwhile(state: SealedEntry[] | null = null, action: UnknownAction): SealedEntry[] | null {
  const { matchPending, matchFulfilled, matchRejected } = api.endpoints.line
  if (matchPending(action)) return []
  if (matchFulfilled(action) || matchRejected(action)) return null
  return state && entryHeard.match(action) ? [...state, action.payload] : state
}

/** Folds an entry that arrived into what is shown; after a gap everything is fetched anew. */
export function takeEntry(entry: SealedEntry) {
  return (dispatch: (action: UnknownAction) => unknown, getState: () => { line: LineData | null }): void => {
    const { line } = getState()
    if (!line) return
    // In the order in which they came: each waits for the same.
    if (!isLedgerThere()) return void loadLedger().then(() => takeEntry(entry)(dispatch, getState))
    // It may be the shift of this tablet that ended.
    if (entry.claim.kind === 'role-given') dispatch(api.util.invalidateTags(['shift']))
    if (entry.seal.seq > line.seq + 1 || namesStranger(line, entry)) dispatch(api.util.invalidateTags(['line']))
    else dispatch(entryHeard(entry))
  }
}

/** Somebody is new here: an entry says what they may do, and only the server what they are called. */
function namesStranger({ people }: LineData, { claim }: SealedEntry): boolean {
  return claim.kind === 'role-given' && !people.some(({ id }) => id === claim.body.person)
}
