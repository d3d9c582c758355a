import { decidesForLead, isHeld, waitingIn, type Instant } from '@logged-thermal/core'
import type { JudgedBatch } from '../app/kitchen'
import type { LineData, PersonOnList } from '../app/lineData'

/** A batch that waits for the lead: a check missed or not proven, a hold, or entries that came too late. */
export function isMatter({ batch, asks }: JudgedBatch): boolean {
  return asks.kind === 'decide' || asks.kind === 'lost' || isHeld(batch) || waitingIn(batch).length > 0
}

/** Whether somebody decides now: the lead, or whoever stands in. */
export function decidesNow(line: LineData, person: PersonOnList | null, now: Instant): boolean {
  if (person === null) return false
  return person.role === 'lead' || decidesForLead(line, person.id, now, line.kitchen.zone)
}
