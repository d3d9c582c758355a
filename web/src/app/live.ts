import { useEffect, useRef } from 'react'
import type { SealedEntry } from '@logged-thermal/core'
import { api } from './api'
import { connection } from './connection'
import { takeEntry } from './heard'
import { outbox } from './outbox'
import { useAppDispatch, useAppSelector } from './store'

const RETRY_MS = 2000

/** Listens for new entries of the kitchen; the browser reconnects by itself and says which entry it had last. */
export function useLive(): void {
  const dispatch = useAppDispatch()
  const fulfilledAt = useAppSelector((state) => api.endpoints.line.select()(state).fulfilledTimeStamp)
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
        dispatch(connection.actions.clockRead({ serverNow: now, tabletNow: Date.now() }))
      })
      source.addEventListener('open', () => dispatch(connection.actions.heard()))
      source.addEventListener('error', () => {
        dispatch(connection.actions.lost())
        // A browser comes back by itself from a lost line, but not from a server that answers with an error.
        if (source?.readyState === EventSource.CLOSED) timer = setTimeout(listen, RETRY_MS)
      })
    }
    listen()
    return () => {
      clearTimeout(timer)
      source?.close()
    }
  }, [ready, kitchen, dispatch])

  // The first answer tells the kitchen's clock before anything is stamped here.
  const told = line?.now
  const heardAt = fulfilledAt
  useEffect(() => {
    if (told !== undefined && heardAt !== undefined) {
      dispatch(connection.actions.clockRead({ serverNow: told, tabletNow: heardAt }))
    }
  }, [told, heardAt, dispatch])

  useEffect(() => {
    dispatch(outbox.actions.caughtUp(seq))
  }, [seq, dispatch])
}
