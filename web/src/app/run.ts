import { v7 as uuid } from 'uuid'
import type { Claim } from '@logged-thermal/core'

/** This page of the program, from its loading to its end. */
const RUN = uuid()
let count = 0

/** Since when it runs, ms, by a clock that nobody sets. */
const monotonic = () => Math.round(performance.now())

/** So far a tablet's clock may be off before both times are kept, ms. */
const OFF = 60_000

type Stamp = Pick<Claim, 'run' | 'runSeq' | 'monotonic' | 'serverSeen' | 'aheadMs'>

/**
 * What stands with each entry of when it was made, beside the clock: the server reckons by it what it could not hear.
 * @param seen the last entry that was heard of
 * @param offsetMs how far the kitchen's clock is ahead of this tablet's
 */
export function stampOfRun(seen: number, offsetMs: number): Stamp {
  const off = Math.abs(offsetMs) > OFF ? { aheadMs: -Math.round(offsetMs) } : {}
  return { run: RUN, runSeq: count++, monotonic: monotonic(), serverSeen: seen, ...off }
}

/** Told with what is asked of the server: then it knows when this run began. */
export function runHeader(): Record<'Lt-Run', string> {
  return { 'Lt-Run': `${RUN} ${monotonic()}` }
}
