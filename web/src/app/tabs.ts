import { isAction, type Middleware, type ThunkDispatch, type UnknownAction } from '@reduxjs/toolkit'
import { clockTold } from './clock'
import { connection, type Connection } from './connection'
import { fromTab, isFromTab } from './fromTab'
import { entryHeard, takeEntry } from './heard'
import type { LineData } from './lineData'
import { outbox } from './outbox'

const NAME = 'logged-thermal'

/** What every tab of a tablet enters and learns, the others know too. */
const OWN = [outbox.actions.entered, outbox.actions.answered, outbox.actions.settled]
/** What the tab that leads hears from the server. */
const HEARD = [entryHeard, clockTold, connection.actions.heard, connection.actions.lost]

interface State {
  connection: Connection
  line: LineData | null
}

interface Tab {
  dispatch: ThunkDispatch<State, unknown, UnknownAction>
  getState: () => State
}

let channel: BroadcastChannel | null = null

/** Tells the other tabs what happens in this one. Only where one leads: else each has a line to the server of its own. */
export const sharing: Middleware = (store) => (next) => (action) => {
  const done = next(action)
  if (!channel || !isAction(action) || isFromTab(action)) return done
  const { leads } = (store.getState() as State).connection
  const isTold = OWN.some(({ match }) => match(action)) || (leads && HEARD.some(({ match }) => match(action)))
  if (isTold) channel.postMessage(action)
  return done
}

/**
 * One outbox and one line to the server for all tabs of a tablet: the one in sight leads. Locks need a secure connection;
 * without one each tab does it all, and the server takes each entry once.
 */
export function openTabs(store: Tab): void {
  if (!('locks' in navigator) || typeof BroadcastChannel === 'undefined') return
  channel = new BroadcastChannel(NAME)
  channel.onmessage = ({ data }: MessageEvent<UnknownAction>) => {
    if (entryHeard.match(data)) store.dispatch(takeEntry(data.payload))
    else store.dispatch(fromTab(data))
  }
  store.dispatch(connection.actions.follows())
  let queued = new AbortController()
  const lead = (options: LockOptions) =>
    void navigator.locks
      .request(NAME, options, () => {
        store.dispatch(connection.actions.leads())
        return new Promise(() => undefined)
      })
      .catch(() => {
        // Another tab is in sight now, or this one asks anew because it is.
        if (options.signal?.aborted) return
        store.dispatch(connection.actions.follows())
        queue()
      })
  const queue = () => {
    queued = new AbortController()
    lead({ signal: queued.signal })
  }
  const whenSeen = () => {
    if (document.visibilityState !== 'visible' || store.getState().connection.leads) return
    queued.abort()
    lead({ steal: true })
  }
  queue()
  whenSeen()
  document.addEventListener('visibilitychange', whenSeen)
}
