import { useEffect } from 'react'
import { useStore } from 'react-redux'
import type { SealedEntry } from '@logged-thermal/core'
import { api } from './api'
import { isAway } from './asked'
import { clockTold } from './clock'
import { connection } from './connection'
import { takeEntry } from './heard'
import { outbox } from './outbox'
import { useAppDispatch, useAppSelector, type Store } from './store'
import { tabletNow } from './tabletClock'

const RETRY_MS = 2000
/** The server beats every fifteen seconds: a stream that is silent for so long is dead, whatever the browser says, ms. */
const SILENT_MS = 40_000
/** The first beat comes at once: where none has come after so long, something between holds the stream up, ms. */
const HELD_UP_MS = 8000
/** Then it is asked for what is new so often, ms; and for the stream again after so many times. */
const ASKED_EVERY_MS = 4000
const STREAM_AGAIN = 60
/** A stream that ended so often before it beat is not waited for. */
const ENDS = 3
/** After so long without the server the whole Line is asked for, not each entry, ms. */
const ASKED_ANEW_MS = 5 * 60_000

const fresh = { forceRefetch: true, subscribe: false } as const

/** Listens for new entries of the kitchen, in the tab that leads. */
export function useLive(): void {
  const store = useStore() as Store
  const dispatch = useAppDispatch()
  const listens = useAppSelector(({ line, connection: { leads } }) => line !== null && leads)
  const kitchen = useAppSelector(({ line }) => line?.kitchen.id)
  const seq = useAppSelector(({ line }) => line?.seq ?? 0)
  useEffect(() => (listens ? listen(store) : undefined), [listens, kitchen, store])
  useEffect(() => {
    dispatch(outbox.actions.caughtUp(seq))
  }, [seq, dispatch])
}

/** Listens to the stream; where that is held up, it asks instead. @returns what ends it */
export function listen(store: Store): () => void {
  let source: EventSource | null = null
  let next: ReturnType<typeof setTimeout> | undefined
  let silence: ReturnType<typeof setTimeout> | undefined
  let awaySince: number | null = null
  let ended = false
  let ends = 0
  const seq = () => store.getState().line?.seq ?? 0
  const later = (what: () => void, afterMs: number) => {
    clearTimeout(next)
    if (!ended) next = setTimeout(what, afterMs)
  }
  const lost = () => {
    awaySince ??= tabletNow()
    store.dispatch(connection.actions.lost())
  }
  const back = () => {
    store.dispatch(connection.actions.heard())
    if (awaySince === null) return
    const away = tabletNow() - awaySince
    awaySince = null
    // The shift may have ended meanwhile, and the Line may be the one that was kept.
    store.dispatch(api.util.invalidateTags(away > ASKED_ANEW_MS ? ['shift', 'line'] : ['shift']))
  }
  const close = () => {
    source?.close()
    source = null
    clearTimeout(silence)
  }
  const silentAfter = (ms: number, then: () => void) => {
    clearTimeout(silence)
    silence = setTimeout(then, ms)
  }
  /** The stream has ended, or is dead: whether the server is there, it is asked itself; and for more where no stream lasts. */
  const broken = () => {
    if (!source) return
    close()
    void ask(ends++ < ENDS ? 0 : STREAM_AGAIN)
  }
  const stream = () => {
    // From the entry that is known by now: what was missed comes first.
    source = new EventSource(`/api/live?after=${seq()}`)
    silentAfter(SILENT_MS, broken)
    source.addEventListener('open', () => {
      silentAfter(HELD_UP_MS, () => {
        close()
        void ask(STREAM_AGAIN)
      })
    })
    source.addEventListener('entry', (event: MessageEvent<string>) => {
      silentAfter(SILENT_MS, broken)
      store.dispatch(takeEntry(JSON.parse(event.data) as SealedEntry))
    })
    source.addEventListener('beat', (event: MessageEvent<string>) => {
      silentAfter(SILENT_MS, broken)
      ends = 0
      back()
      const { now } = JSON.parse(event.data) as { now: number }
      store.dispatch(clockTold({ askedAt: null, serverNow: now, heardAt: tabletNow() }))
      // Asked with each: so the clock is known, and the server knows that this tablet hears it.
      void store.dispatch(api.endpoints.clock.initiate(undefined, fresh))
    })
    source.addEventListener('error', () => {
      // Answered with an error, it may be that this tablet has no shift any more.
      if (source?.readyState === EventSource.CLOSED) store.dispatch(api.util.invalidateTags(['shift']))
      broken()
    })
  }
  const ask = async (times: number): Promise<void> => {
    const answer = await store.dispatch(api.endpoints.since.initiate({ after: seq() }, fresh))
    if (ended) return
    const told = answer.isSuccess ? answer.data : null
    // It was away, and is back: then the stream may last again.
    const isBack = told !== null && awaySince !== null
    if (told) back()
    // It answers, and not to this tablet: the shift has ended.
    else if (answer.isError && !isAway(answer.error)) store.dispatch(api.util.invalidateTags(['shift']))
    else lost()
    for (const entry of told?.entries ?? []) store.dispatch(takeEntry(entry))
    if (isBack) ends = 0
    if (isBack || times === 0) return later(stream, isBack ? 0 : RETRY_MS)
    later(() => void ask(times - 1), told?.more ? 0 : ASKED_EVERY_MS)
  }
  stream()
  return () => {
    ended = true
    clearTimeout(next)
    close()
  }
}
