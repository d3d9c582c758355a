import { HOUR, type Instant } from '../../ground/instant'
import { minutesOf, timeOn, type TimeOfDay } from '../../ground/timeOfDay'
import { addDays, dayOf, offsetMinutes, startOfDay, type Day } from '../../ground/zone'
import type { Matter } from '../matters/matter'

/** What the lead wants to be told by post, and when not. */
export interface NoticeWish {
  /** At once, of what is urgent. */
  urgent: boolean
  /** Of all that waits, each day as the kitchen closes. */
  digest: boolean
  /** Nothing is sent between these; null: at any time. */
  quiet: { from: TimeOfDay; until: TimeOfDay } | null
}

/** A notice that is to go out, by its name: of two of one name one is sent. */
export type Notice = { of: 'digest'; day: Day } | { of: 'urgent'; matter: Matter['id'] }

interface Asked {
  wish: NoticeWish
  matters: readonly Matter[]
  /** Names of what went out already. */
  sent: ReadonlySet<string>
  /** When the kitchen closes, on its clock. */
  closing: TimeOfDay
  /** Nothing from before is told: it was switched on then. */
  since: Instant
  zone: string
}

/** A digest that could not go out is worth sending for so long after closing, ms. */
const DIGEST_WITHIN = 18 * HOUR

export function nameOf(notice: Notice): string {
  return notice.of === 'digest' ? `digest ${notice.day}` : `urgent ${notice.matter}`
}

/** What is to go out now, the urgent first; in quiet hours nothing, and all of it once they are over. */
export function noticesDue({ wish, matters, sent, closing, since, zone }: Asked, now: Instant): Notice[] {
  if (isQuiet(wish, now, zone)) return []
  const urgent = wish.urgent
    ? matters
        .filter((each) => isUrgent(each) && each.since >= since)
        .map(({ id }): Notice => ({ of: 'urgent', matter: id }))
    : []
  const closed = lastClosing(closing, now, zone)
  const digest: Notice[] =
    wish.digest && closed.at >= since && now - closed.at < DIGEST_WITHIN ? [{ of: 'digest', day: closed.day }] : []
  return [...urgent, ...digest].filter((notice) => !sent.has(nameOf(notice)))
}

/** What cannot wait for closing: something happened, a unit is warm now, a limit was missed, or food may be eaten that must not be. */
export function isUrgent({ cause, settled }: Matter): boolean {
  // Of an incident the lead hears, also where nothing is left to decide.
  if (cause.of === 'incident') return true
  if (settled) return false
  switch (cause.of) {
    case 'unit':
      return cause.excursion.until === null
    case 'batch':
      return cause.stand.standing === 'missed'
    case 'item':
      return cause.item.standing.asks === 'discard'
    default:
      return false
  }
}

/** Whether nothing is to be sent at an instant: from the first time up to the second, over midnight too. */
export function isQuiet({ quiet }: Pick<NoticeWish, 'quiet'>, now: Instant, zone: string): boolean {
  if (!quiet) return false
  const [from, until] = [minutesOf(quiet.from), minutesOf(quiet.until)]
  const midnight = startOfDay(dayOf(now, zone), zone)
  const passed = offsetMinutes(now, zone) - offsetMinutes(midnight, zone)
  const clock = Math.floor((now - midnight) / 60_000) + passed
  return from <= until ? clock >= from && clock < until : clock >= from || clock < until
}

function lastClosing(closing: TimeOfDay, now: Instant, zone: string): { day: Day; at: Instant } {
  const today = dayOf(now, zone)
  const at = timeOn(today, closing, zone)
  if (at <= now) return { day: today, at }
  const before = addDays(today, -1)
  return { day: before, at: timeOn(before, closing, zone) }
}
