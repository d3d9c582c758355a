import { lazy, useEffect, type ComponentType, type LazyExoticComponent } from 'react'

/** A component whose code comes when it is first shown; `load` has it come before. */
export type Later<Props extends object> = LazyExoticComponent<ComponentType<Props>> & { load: () => Promise<unknown> }

/**
 * A component whose code comes when it is first shown: what holds it opens without it, and says in a Suspense what stands
 * there meanwhile.
 */
export function later<Props extends object, Name extends string>(
  load: () => Promise<Record<Name, ComponentType<Props>>>,
  name: Name,
): Later<Props> {
  const component = lazy(async () => ({ default: (await untilThere(load))[name] }))
  return Object.assign(component, { load })
}

/** Asks again while the server is away: what was asked for is shown once it is back. */
export async function untilThere<T>(load: () => Promise<T>): Promise<T> {
  for (;;) {
    const there = await load().catch(() => null)
    if (there !== null) return there
    await new Promise((wait) => setTimeout(wait, AGAIN))
  }
}

const AGAIN = 2_000

/**
 * Has the code of what may be asked for next come as soon as nobody waits for anything: a tap finds it there, also while
 * the server is away.
 * @param next the same list at each call
 */
export function useReadAhead(next: readonly { load: () => Promise<unknown> }[]): void {
  useEffect(() => {
    const read = () => {
      // What does not come now is asked for again when it is shown.
      for (const { load } of next) ahead = ahead.then(whenHandsRest).then(load).catch(nothing)
    }
    const waiting = setTimeout(read, AFTER)
    return () => clearTimeout(waiting)
  }, [next])
}

/** Drawn, and its first taps answered, ms. */
const AFTER = 2_000

/** One after the other, whoever asks, and while nobody taps or types: else they would hold up what is asked for. */
let ahead: Promise<unknown> = Promise.resolve()
const nothing = () => null

/** Once the thread has nothing to do, or after so long, ms. Not every browser tells. */
export function whenIdle(atMost: number): Promise<unknown> {
  return new Promise((go) => {
    if ('requestIdleCallback' in globalThis) requestIdleCallback(go, { timeout: atMost })
    else setTimeout(go, 50)
  })
}

/** Idle, and nobody tapped or typed for so long, ms. */
const RESTED = 1_500
let touchedAt = -Infinity

async function whenHandsRest(): Promise<void> {
  for (;;) {
    await whenIdle(3_000)
    const left = touchedAt + RESTED - performance.now()
    if (left <= 0) return
    await new Promise((wait) => setTimeout(wait, left))
  }
}

if (typeof document !== 'undefined') {
  const touched = () => (touchedAt = performance.now())
  for (const hands of ['pointerdown', 'keydown']) document.addEventListener(hands, touched, { capture: true })
}
