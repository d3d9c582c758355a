import '@fontsource-variable/atkinson-hyperlegible-next/wght.css'
import '@fontsource-variable/bricolage-grotesque/wdth.css'
import './kit/base.css'
import { StrictMode } from 'react'
import { createRoot } from 'react-dom/client'
import { Provider } from 'react-redux'
import { BrowserRouter } from 'react-router'
import { language } from './kit/language'
import { App } from './shell/App'
import { api } from './app/api'
import { recallEntries } from './app/keep'
import { keepProgram } from './app/program'
import { wasInKitchen } from './app/recallLine'
import { ledgerThere, loadLedger } from './app/ledger'
import { makeStore, type Store } from './app/store'
import { openTabs } from './app/tabs'
import { openMemory } from './memory/database'

document.documentElement.lang = language
void begin()

/** Not while this module is read: what comes later would wait for that, and that for it. */
async function begin(): Promise<void> {
  await openMemory()
  const store = makeStore()
  await recallEntries(store.dispatch)
  openTabs(store)
  // Neither waits for the other, nor for the first drawing. A tablet that was in no kitchen is told no Line.
  void store.dispatch(api.endpoints.shift.initiate(undefined, { subscribe: false }))
  if (await wasInKitchen()) {
    void store.dispatch(api.endpoints.learned.initiate(undefined, { subscribe: false }))
    void store.dispatch(api.endpoints.line.initiate(undefined, { subscribe: false }))
  }
  // What was entered here before stands in what is drawn first.
  if (store.getState().outbox.length > 0) {
    await loadLedger()
    store.dispatch(ledgerThere.actions.came())
  }
  if (import.meta.env.PROD) void keepProgram(store)
  draw(store)
}

function draw(store: Store): void {
  createRoot(document.getElementById('root')!).render(
    <StrictMode>
      <Provider store={store}>
        <BrowserRouter>
          <App />
        </BrowserRouter>
      </Provider>
    </StrictMode>,
  )
}
