import { existsSync, readFileSync } from 'node:fs'
import type { Id, SignedText } from '@logged-thermal/core'
import { writeWhole } from './signingKey'

/** Of each kitchen the last head that was signed, and the last of each day. */
type Remembered = Record<Id, { last: SignedText; days: Record<string, SignedText> }>

/** Days of which a head is remembered. */
const MOST_DAYS = 400

/** SignedText heads outside the database: whoever sets the logbook back cannot set these back with it. */
export class RememberedHeads {
  private heads: Remembered

  constructor(private readonly path: string) {
    this.heads = existsSync(path) ? (JSON.parse(readFileSync(path, 'utf8')) as Remembered) : {}
  }

  /** All that is remembered of a kitchen. */
  of(kitchen: Id): SignedText[] {
    const known = this.heads[kitchen]
    return known ? [...Object.values(known.days), known.last] : []
  }

  kitchens(): Id[] {
    return Object.keys(this.heads)
  }

  last(kitchen: Id): SignedText | null {
    return this.heads[kitchen]?.last ?? null
  }

  /** The logbook begins anew from a backup: what was signed after it counts no more. */
  forget(kitchen: Id): void {
    delete this.heads[kitchen]
  }

  /** @param day of the kitchen or of UTC: only so that one a day is kept */
  remember(kitchen: Id, day: string, head: SignedText): void {
    const days = { ...this.heads[kitchen]?.days, [day]: head }
    const kept = Object.keys(days).sort().slice(-MOST_DAYS)
    this.heads[kitchen] = { last: head, days: Object.fromEntries(kept.map((each) => [each, days[each]!])) }
  }

  write(): void {
    writeWhole(this.path, JSON.stringify(this.heads))
  }
}
