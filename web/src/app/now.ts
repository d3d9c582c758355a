import { useCallback, useEffect, useMemo, useState, useSyncExternalStore } from 'react'
import type { Instant } from '@logged-thermal/core'
import { useAppSelector } from './store'
import { tabletNow } from './tabletClock'

const SECOND = 1000

/** The kitchen's clock as this tablet knows it, ms; it moves once in `everyMs`. For what is drawn over time, not for words. */
export function useNow(everyMs = SECOND): Instant {
  const offsetMs = useOffset()
  const [tick, setTick] = useState(() => tabletNow())
  useEffect(() => every(everyMs, () => setTick(tabletNow())), [everyMs])
  return tick + offsetMs
}

/**
 * What is so by the kitchen's clock: it renders anew only when that is another value.
 * @param read gives the very same value while nothing has changed
 * @param everyMs looked at so often
 */
export function useAsOf<T>(read: (now: Instant) => T, everyMs = SECOND): T {
  const offsetMs = useOffset()
  const subscribe = useCallback((listener: () => void) => every(everyMs, listener), [everyMs])
  return useSyncExternalStore(subscribe, () => read(tabletNow() + offsetMs))
}

/** Words by the kitchen's clock: a countdown, a waiting time. It renders anew only when other words come. */
export function useTold<T>(tell: (now: Instant) => T, everyMs = SECOND): T {
  const told = useAsOf((now) => JSON.stringify(tell(now)), everyMs)
  return useMemo(() => JSON.parse(told) as T, [told])
}

/** Reads the kitchen's clock at a tap: what is entered says when it was, and not when the screen was last drawn. */
export function useKitchenClock(): () => Instant {
  const offsetMs = useOffset()
  return useCallback(() => tabletNow() + offsetMs, [offsetMs])
}

/** How far the kitchen's clock is ahead of this tablet's, ms. */
function useOffset(): number {
  return useAppSelector(({ connection }) => connection.offsetMs)
}

/** One timer for all that moves at one pace: it is drawn in one go. */
const paces = new Map<number, { listeners: Set<() => void>; timer: ReturnType<typeof setInterval> }>()

/** Calls it once in so many ms, with all else of that pace; until what it gives back is called. */
export function every(ms: number, listener: () => void): () => void {
  let pace = paces.get(ms)
  if (!pace) {
    const listeners = new Set<() => void>()
    const beat = () => {
      for (const each of [...listeners]) each()
    }
    pace = { listeners, timer: setInterval(beat, ms) }
    paces.set(ms, pace)
  }
  const { listeners, timer } = pace
  listeners.add(listener)
  return () => {
    listeners.delete(listener)
    if (listeners.size > 0) return
    clearInterval(timer)
    paces.delete(ms)
  }
}
