import { configureStore } from '@reduxjs/toolkit'
import { useDispatch, useSelector } from 'react-redux'
import { api } from './api'
import { begun, keepBegun } from './begun'
import { drafts, keepDrafts } from './drafts'
import { connection } from './connection'
import { heard, heardMeanwhile } from './heard'
import { justMade } from './justMade'
import { ledgerThere } from './ledger'
import { outbox } from './outbox'
import { keepOffset } from './keptOffset'
import { overlay } from './overlay'
import { keepingLine } from './keepLine'
import { sharing } from './tabs'
import { beginTabletClock } from './tabletClock'
import { keep, tablet } from './tablet'

export function makeStore() {
  beginTabletClock()
  const store = configureStore({
    reducer: {
      [api.reducerPath]: api.reducer,
      begun: begun.reducer,
      connection: connection.reducer,
      drafts: drafts.reducer,
      heardMeanwhile,
      justMade: justMade.reducer,
      ledgerThere: ledgerThere.reducer,
      line: heard,
      outbox: outbox.reducer,
      overlay: overlay.reducer,
      tablet: tablet.reducer,
    },
    middleware: (defaults) => defaults().concat(api.middleware, keepingLine, sharing),
  })
  let kept = store.getState()
  keep(kept.tablet)
  store.subscribe(() => {
    const now = store.getState()
    if (now.tablet !== kept.tablet) keep(now.tablet)
    if (now.drafts !== kept.drafts) keepDrafts(now.drafts)
    if (now.begun !== kept.begun) keepBegun(now.begun)
    if (now.connection.offsetMs !== kept.connection.offsetMs) keepOffset(now.connection.offsetMs)
    kept = now
  })
  return store
}

export type Store = ReturnType<typeof makeStore>
export type RootState = ReturnType<Store['getState']>
export const useAppDispatch = useDispatch.withTypes<Store['dispatch']>()
export const useAppSelector = useSelector.withTypes<RootState>()
