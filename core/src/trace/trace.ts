import type { Instant } from '../calendar/instant'
import { requireTemperature } from '../quantity/temperature'

/**
 * Readings of one vessel in time order, one an instant, as columns: 17 bytes a reading. Of two at one instant the
 * colder counts for what must be reached, the warmer for what must be got under; until two differ, both are one column. A reading with a doubt has lost its
 * power to prove, never its power to deny.
 */
export class Trace {
  at: Float64Array
  colder: Float64Array
  warmer: Float64Array
  /** Bits of what makes a reading doubtful; 0 proves. */
  doubt: Uint8Array
  length = 0
  /** How many readings have a doubt. */
  doubtful = 0

  constructor(capacity = 16) {
    this.at = new Float64Array(capacity)
    this.colder = new Float64Array(capacity)
    this.warmer = this.colder
    this.doubt = new Uint8Array(capacity)
  }

  /**
   * Puts a reading where it belongs in time. Returns the index from which the trace is different; null when the very
   * reading is there already. RangeError for impossible times and temperatures.
   */
  put(at: Instant, celsius: number, doubt = 0): number | null {
    if (!Number.isFinite(at)) throw new RangeError(`at: ${at} is not an instant`)
    requireTemperature('celsius', celsius)
    let index = this.length
    while (index > 0 && this.at[index - 1]! > at) index--
    const same = index - 1
    if (same >= 0 && this.at[same] === at) return this.join(same, celsius, doubt)
    if (this.length === this.at.length) this.grow(Math.ceil(this.length * 1.5))
    if (index < this.length) {
      for (const column of new Set([this.at, this.colder, this.warmer, this.doubt]))
        column.copyWithin(index + 1, index, this.length)
    }
    this.at[index] = at
    this.colder[index] = celsius
    this.warmer[index] = celsius
    this.doubt[index] = doubt
    this.length++
    if (doubt !== 0) this.doubtful++
    return index
  }

  /** Puts many readings, as columns; at once where they are in order and later than all that are here. */
  putAll(at: Float64Array, celsius: Float64Array): void {
    const first = this.length === 0 ? -Infinity : this.at[this.length - 1]!
    if (!isAscending(at, first)) {
      for (let i = 0; i < at.length; i++) this.put(at[i]!, celsius[i]!)
      return
    }
    for (let i = 0; i < celsius.length; i++) requireTemperature('celsius', celsius[i]!)
    const length = this.length + at.length
    if (length > this.at.length) this.grow(length)
    this.at.set(at, this.length)
    this.colder.set(celsius, this.length)
    if (this.warmer !== this.colder) this.warmer.set(celsius, this.length)
    this.length = length
  }

  private join(index: number, celsius: number, doubt: number): number | null {
    const before = this.doubt[index]!
    const changed = celsius < this.colder[index]! || celsius > this.warmer[index]! || (before | doubt) !== before
    if (!changed) return null
    if (this.warmer === this.colder) this.warmer = this.colder.slice()
    this.colder[index] = Math.min(celsius, this.colder[index]!)
    this.warmer[index] = Math.max(celsius, this.warmer[index]!)
    this.doubt[index] = before | doubt
    if (before === 0 && doubt !== 0) this.doubtful++
    return index
  }

  private grow(capacity: number): void {
    const { length } = this
    const larger = <T extends Float64Array | Uint8Array>(column: T, into: T): T => {
      into.set(column.subarray(0, length))
      return into
    }
    const alike = this.warmer === this.colder
    this.at = larger(this.at, new Float64Array(capacity))
    this.colder = larger(this.colder, new Float64Array(capacity))
    this.warmer = alike ? this.colder : larger(this.warmer, new Float64Array(capacity))
    this.doubt = larger(this.doubt, new Uint8Array(capacity))
  }
}

function isAscending(at: Float64Array, after: Instant): boolean {
  let before = after
  for (let i = 0; i < at.length; i++) {
    const instant = at[i]!
    if (!(instant > before) || instant === Infinity) return false
    before = instant
  }
  return true
}
