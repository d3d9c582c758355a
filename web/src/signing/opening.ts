import { DAY, openingsOf, whoSigns, type Instant, type Signing } from '@logged-thermal/core'
import type { LineData } from '../app/lineData'

/** The opening that is on, or else the next one, and who can sign in it. */
export interface Opening {
  from: Instant
  until: Instant
  spans: Signing[]
  /** The first hours still to come, or on now, in which nobody can; null: there are none. */
  gap: Signing | null
}

/** 'not said': the house never set its hours; null: it does not open within a day. */
export function openingAt(line: LineData, now: Instant): Opening | 'not said' | null {
  const { zone } = line.kitchen
  if (!line.week) return 'not said'
  const [opening] = openingsOf(line.week, { from: now, until: now + DAY }, zone)
  if (!opening) return null
  const { from, until } = opening
  const spans = whoSigns(line, line.people, { from, until }, zone)
  return { from, until, spans, gap: spans.find((span) => span.who.length === 0 && span.until > now) ?? null }
}

/** Until when nobody can sign, though the kitchen is open; 'closed' where it is not; null: somebody can, or nobody said. */
export function nobodyUntil(line: LineData, now: Instant): Instant | 'closed' | null {
  const opening = openingAt(line, now)
  if (opening === 'not said') return null
  if (opening === null || now < opening.from) return 'closed'
  return opening.gap && opening.gap.from <= now ? opening.gap.until : null
}
