import { existsSync, readFileSync, statSync, watchFile } from 'node:fs'
import { Subject } from 'rxjs'
import type { Instant } from '@logged-thermal/core'

/**
 * The one clock of the server: whatever needs the time asks it. It runs with the machine's, or ahead of or behind it by
 * what was set. Tablets follow it by the answers that they hear.
 */
class Clock {
  private aheadMs = 0
  private readonly jumped = new Subject<void>()
  /** It was set: tablets that listen are told at once. */
  readonly jumps = this.jumped.asObservable()

  now(): Instant {
    return Date.now() + this.aheadMs
  }

  /** Sets it to an instant; it runs on from there. */
  set(at: Instant): void {
    this.setAhead(at - Date.now())
  }

  /** How far it is ahead of the machine's, ms; negative: behind. */
  setAhead(aheadMs: number): void {
    if (!Number.isFinite(aheadMs)) throw new RangeError(`aheadMs: ${aheadMs} is not a number of milliseconds`)
    this.aheadMs = Math.round(aheadMs)
    this.jumped.next()
  }
}

export const clock = new Clock()

/**
 * Sets the clock as the environment says: LT_CLOCK_AHEAD_MS, or LT_CLOCK_FILE, a file that holds the same number and is
 * followed while the server runs. Throws an Error that names what is no number.
 */
export function clockFrom({ LT_CLOCK_AHEAD_MS: ahead, LT_CLOCK_FILE: file }: NodeJS.ProcessEnv): void {
  if (ahead) clock.setAhead(number('LT_CLOCK_AHEAD_MS', ahead))
  if (!file) return
  const follow = () => clock.setAhead(number(file, readFileSync(file, 'utf8').trim()))
  follow()
  watchFile(file, { interval: FOLLOWED_EVERY_MS, persistent: false }, () => {
    // Empty, it is just being written: the next look finds it whole.
    if (existsSync(file) && statSync(file).size > 0) follow()
  })
}

const FOLLOWED_EVERY_MS = 50

function number(from: string, text: string): number {
  const value = Number(text)
  if (text === '' || !Number.isFinite(value)) throw new Error(`${from}: "${text}" is not a number of milliseconds`)
  return value
}
