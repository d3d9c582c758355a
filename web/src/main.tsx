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
import { hasSeenAny } from './app/seenHead'
import { makeStore } from './app/store'

document.documentElement.lang = language
const store = makeStore()
// Neither waits for the other, nor for the first drawing. A tablet that had no Line yet is not told one.
void store.dispatch(api.endpoints.shift.initiate(undefined, { subscribe: false }))
if (hasSeenAny()) void store.dispatch(api.endpoints.line.initiate(undefined, { subscribe: false }))
createRoot(document.getElementById('root')!).render(
  <StrictMode>
    <Provider store={store}>
      <BrowserRouter>
        <App />
      </BrowserRouter>
    </Provider>
  </StrictMode>,
)
