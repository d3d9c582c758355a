import { useEffect } from 'react'
import { useStore } from 'react-redux'
import { limitsAt } from '@logged-thermal/core'
import { api, type PostResult } from './api'
import { isOfOtherBuild, otherBuildServed } from './build'
import { clockTold } from './clock'
import { connection } from './connection'
import { outbox, type Waiting } from './outbox'
import { keepSent } from './sentBefore'
import { renumbered } from './renumbered'
import type { Store } from './store'

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
export function startSending(store: Pick<Store, 'getState' | 'dispatch' | 'subscribe'>): () => void {
  let stopped = false
  let sending = false
  let failures = 0
  let timer: ReturnType<typeof setTimeout> | undefined
  const again = () => {
    timer = undefined
    void attempt()
  }
  const attempt = async () => {
    const waits = store.getState().outbox.some(isUnsent)
    document.documentElement.toggleAttribute(UNSENT, waits)
    if (!waits || stopped || sending || timer) return
    sending = true
    const arrived = await post(store)
    sending = false
    if (arrived) {
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

export function isUnsent({ seq, refusal }: Waiting): boolean {
  return seq === null && refusal === null
}

/** What was refused for its code alone takes the next one by itself. */
function renumber(store: Pick<Store, 'getState' | 'dispatch'>, results: readonly PostResult[]): void {
  for (const result of results) {
    if (result.outcome !== 'refused' || result.code !== 'code taken') continue
    const waiting = store.getState().outbox.find(({ claim }) => claim.id === result.id)
    const { line } = store.getState()
    const claim = waiting && line && renumbered(waiting.claim, line)
    if (claim) store.dispatch(outbox.actions.settled({ id: waiting.claim.id, claim }))
  }
}

/** One post of what waits. Resolves to false when it has to be tried again. */
async function post(store: Pick<Store, 'getState' | 'dispatch'>): Promise<boolean> {
  const entries = store
    .getState()
    .outbox.filter(isUnsent)
    .slice(0, MOST)
    .map(({ claim }) => claim)
  const away = new AbortController()
  const giveUp = setTimeout(() => away.abort(), GIVEN_UP)
  try {
    const askedAt = Date.now()
    const { connection: clock, line, tablet } = store.getState()
    const sentAt = askedAt + clock.offsetMs
    // Refusals come back as whoever entered the first of them reads.
    const scale = tablet.units[entries[0]!.by]
    const hours = limitsAt(line?.limits?.versions ?? [], sentAt)?.practice.clock
    const response = await fetch('/api/entries', {
      method: 'POST',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ sentAt, entries, scale, hours }),
      signal: away.signal,
    })
    if (isOfOtherBuild(response.headers)) store.dispatch(otherBuildServed())
    if (response.status === 401) store.dispatch(api.util.invalidateTags(['shift']))
    if (!response.ok) throw new Error(String(response.status))
    const { now, results } = (await response.json()) as { now: number; results: PostResult[] }
    store.dispatch(clockTold({ askedAt, serverNow: now, heardAt: Date.now() }))
    store.dispatch(connection.actions.heard())
    const taken = new Set(results.flatMap(({ id, outcome }) => (outcome === 'accepted' ? [id] : [])))
    keepSent(
      entries.filter(({ id }) => taken.has(id)),
      now,
    )
    store.dispatch(outbox.actions.answered(results))
    renumber(store, results)
    return true
  } catch {
    store.dispatch(connection.actions.lost())
    return false
  } finally {
    clearTimeout(giveUp)
  }
}
