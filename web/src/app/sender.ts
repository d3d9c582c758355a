import { useEffect } from 'react'
import { useStore } from 'react-redux'
import { limitsAt, type AnyClaim } from '@logged-thermal/core'
import { api, type PostResult, type ProblemDetails } from './api'
import { isOfOtherBuild, otherBuildServed } from './build'
import { clockTold } from './clock'
import { connection } from './connection'
import { written } from '../kit/language'
import { settle, takeAnswers } from './keep'
import { isUnsent } from './outbox'
import { keepSent } from './sentBefore'
import { renumbered } from './renumbered'
import { runHeader } from './run'
import type { Store } from './store'
import { tabletNow } from './tabletClock'

type Sending = Pick<Store, 'getState' | 'dispatch' | 'subscribe'>

const MOST = 100
const RETRY_MS = [500, 1000, 2000, 5000]
/** A post that has no answer after so long is given up and sent again, ms: the server takes each entry once. */
const GIVEN_UP = 20_000
/** On the page while something is unsent: whoever drives it from outside can wait for that. */
const UNSENT = 'data-unsent'

/** Sends what waits, in order, until the server has it: at once, and again and again while the server is away. */
export function useSender(): void {
  const store = useStore() as Store
  useEffect(() => startSending(store), [store])
}

/**
 * Looks at the outbox after each change of the store, not as a view is drawn: what is entered while an answer comes in
 * must not wait for the next tap.
 * @returns what ends it
 */
export function startSending(store: Sending): () => void {
  let stopped = false
  let sending = false
  let failures = 0
  // One by one, while the server cannot read one of many.
  let most = MOST
  let timer: ReturnType<typeof setTimeout> | undefined
  const again = () => {
    timer = undefined
    void attempt()
  }
  const attempt = async () => {
    const waits = store.getState().outbox.some(isUnsent)
    document.documentElement.toggleAttribute(UNSENT, waits)
    const entries = sendable(store).slice(0, most)
    if (entries.length === 0 || stopped || sending || timer) return
    sending = true
    const sent = await post(store, entries)
    sending = false
    most = sent === 'unreadable' && entries.length > 1 ? 1 : MOST
    if (sent !== 'away') {
      failures = 0
      void attempt()
    } else if (!stopped) {
      timer = setTimeout(again, RETRY_MS[Math.min(failures++, RETRY_MS.length - 1)])
    }
  }
  const unsubscribe = store.subscribe(() => void attempt())
  void attempt()
  return () => {
    stopped = true
    unsubscribe()
    clearTimeout(timer)
  }
}

/** What waits for the server: by the tab that leads, and to the kitchen whose shift this tablet has. */
function sendable(store: Pick<Store, 'getState'>): AnyClaim[] {
  const { outbox, connection: at, line } = store.getState()
  if (!at.leads) return []
  return outbox.flatMap((waiting) =>
    isUnsent(waiting) && (line === null || waiting.claim.kitchen === line.kitchen.id) ? [waiting.claim] : [],
  )
}

/** What was refused for its code alone takes the next one by itself. */
function renumber(store: Pick<Store, 'getState' | 'dispatch'>, results: readonly PostResult[]): void {
  for (const result of results) {
    if (result.outcome !== 'refused' || result.code !== 'code taken') continue
    const waiting = store.getState().outbox.find(({ claim }) => claim.id === result.id)
    const { line } = store.getState()
    const claim = waiting && line && renumbered(waiting.claim, line)
    if (claim) settle(store.dispatch, waiting.claim.id, claim)
  }
}

/** One post of what waits: `away` has to be tried again, `unreadable` too, with fewer. */
async function post(store: Sending, entries: AnyClaim[]): Promise<'answered' | 'unreadable' | 'away'> {
  const away = new AbortController()
  const giveUp = setTimeout(() => away.abort(), GIVEN_UP)
  try {
    const askedAt = tabletNow()
    const { connection: clock, line, tablet } = store.getState()
    const sentAt = askedAt + clock.offsetMs
    // Refusals come back as whoever entered the first of them reads.
    const scale = tablet.units[entries[0]!.by]
    const hours = limitsAt(line?.limits?.versions ?? [], sentAt)?.practice.clock
    const response = await fetch('/api/entries', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json', ...runHeader() },
      body: JSON.stringify({ sentAt, entries, scale, language: written, hours }),
      signal: away.signal,
    })
    if (isOfOtherBuild(response.headers)) store.dispatch(otherBuildServed())
    if (response.status === 401) {
      // It is there: what waits is sent in the next shift that is opened here.
      store.dispatch(api.util.invalidateTags(['shift']))
      return 'away'
    }
    if (UNREADABLE.includes(response.status)) {
      if (entries.length === 1) await refuse(store, entries[0]!, response)
      return 'unreadable'
    }
    store.dispatch(connection.actions.foundRoom(response.status !== DISK_FULL))
    if (!response.ok) throw new Error(String(response.status))
    const { now, results } = (await response.json()) as { now: number; results: PostResult[] }
    store.dispatch(clockTold({ askedAt, serverNow: now, heardAt: tabletNow() }))
    store.dispatch(connection.actions.heard())
    const taken = new Set(results.flatMap(({ id, outcome }) => (outcome === 'accepted' ? [id] : [])))
    keepSent(
      entries.filter(({ id }) => taken.has(id)),
      now,
    )
    await takeAnswers(store.dispatch, results)
    renumber(store, results)
    return 'answered'
  } catch {
    store.dispatch(connection.actions.lost())
    return 'away'
  } finally {
    clearTimeout(giveUp)
  }
}

const DISK_FULL = 507

/** A post that no repeating will make readable. One entry of it must not hold back all others for ever. */
const UNREADABLE = [400, 413, 422]

async function refuse(store: Sending, { id }: AnyClaim, response: Response): Promise<void> {
  const { detail = '' } = (await response.json().catch(() => ({}))) as Partial<ProblemDetails>
  const refused = { id, outcome: 'refused', code: 'unreadable', field: '', sentence: detail } as const
  await takeAnswers(store.dispatch, [refused])
}
