import type { Instant } from '../../ground/instant'
import { requireTemperature } from '../../ground/temperature'

/**
 * Readings of one vessel in time order, one an instant, as columns: 16 bytes a reading. Of two at one instant the
 * colder counts for what must be reached, the warmer for what must be got under; until two differ, both are one column.
 */
export class Trace {
  at: Float64Array
  colder: Float64Array
  warmer: Float64Array
  length = 0

  constructor(capacity = 16) {
    this.at = new Float64Array(capacity)
    this.colder = new Float64Array(capacity)
    this.warmer = this.colder
  }

  /**
   * Puts a reading where it belongs in time. Returns the index from which the trace is different; null when the very
   * reading is there already. RangeError for impossible times and temperatures.
   */
  put(at: Instant, celsius: number): number | null {
    if (!Number.isFinite(at)) throw new RangeError(`at: ${at} is not an instant`)
    requireTemperature('celsius', celsius)
    let index = this.length
    while (index > 0 && this.at[index - 1]! > at) index--
    const same = index - 1
    if (same >= 0 && this.at[same] === at) return this.join(same, celsius)
    if (this.length === this.at.length) this.grow(Math.ceil(this.length * 1.5))
    if (index < this.length) {
      for (const column of new Set([this.at, this.colder, this.warmer]))
        column.copyWithin(index + 1, index, this.length)
    }
    this.at[index] = at
    this.colder[index] = celsius
    this.warmer[index] = celsius
    this.length++
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

  private join(index: number, celsius: number): number | null {
    const changed = celsius < this.colder[index]! || celsius > this.warmer[index]!
    if (!changed) return null
    if (this.warmer === this.colder) this.warmer = this.colder.slice()
    this.colder[index] = Math.min(celsius, this.colder[index]!)
    this.warmer[index] = Math.max(celsius, this.warmer[index]!)
    return index
  }

  private grow(capacity: number): void {
    const { length } = this
    const larger = (column: Float64Array): Float64Array => {
      const into = new Float64Array(capacity)
      into.set(column.subarray(0, length))
      return into
    }
    const alike = this.warmer === this.colder
    this.at = larger(this.at)
    this.colder = larger(this.colder)
    this.warmer = alike ? this.colder : larger(this.warmer)
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
