import { useEffect, useRef } from 'react'
import { useStore } from 'react-redux'
import type { SealedEntry } from '@logged-thermal/core'
import { api } from './api'
import { clockTold, maybeAhead } from './clock'
import { connection } from './connection'
import { takeEntry } from './heard'
import { outbox } from './outbox'
import { useAppDispatch, useAppSelector, type Store } from './store'

const RETRY_MS = 2000

const askClock = () => api.endpoints.clock.initiate(undefined, { forceRefetch: true, subscribe: false })

/** Listens for new entries of the kitchen; the browser reconnects by itself and says which entry it had last. */
export function useLive(): void {
  const store = useStore() as Store
  const dispatch = useAppDispatch()
  const line = useAppSelector((state) => state.line)
  const ready = line !== null
  const seq = line?.seq ?? 0
  const kitchen = line?.kitchen.id

  // The stream goes on by itself from the entry it began after: only its beginning matters.
  const begin = useRef(seq)
  useEffect(() => {
    begin.current = seq
  }, [seq])

  useEffect(() => {
    if (!ready) return
    let source: EventSource | null = null
    let timer: ReturnType<typeof setTimeout> | undefined
    const listen = () => {
      source = new EventSource(`/api/live?after=${begin.current}`)
      source.addEventListener('entry', (event: MessageEvent<string>) => {
        dispatch(takeEntry(JSON.parse(event.data) as SealedEntry))
      })
      source.addEventListener('beat', (event: MessageEvent<string>) => {
        const { now } = JSON.parse(event.data) as { now: number }
        const told = { askedAt: null, serverNow: now, heardAt: Date.now() }
        dispatch(clockTold(told))
        if (maybeAhead(store.getState().connection.offsetMs, told)) void dispatch(askClock())
      })
      source.addEventListener('open', () => dispatch(connection.actions.heard()))
      source.addEventListener('error', () => {
        dispatch(connection.actions.lost())
        // A browser comes back by itself from a lost line, but not from a server that answers with an error: it may be
        // that this tablet has no shift any more.
        if (source?.readyState !== EventSource.CLOSED) return
        dispatch(api.util.invalidateTags(['shift']))
        timer = setTimeout(listen, RETRY_MS)
      })
    }
    listen()
    return () => {
      clearTimeout(timer)
      source?.close()
    }
  }, [ready, kitchen, dispatch, store])

  useEffect(() => {
    dispatch(outbox.actions.caughtUp(seq))
  }, [seq, dispatch])
}
