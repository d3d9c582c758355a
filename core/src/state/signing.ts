import type { Instant } from '../ground/instant'
import { minutesOf, timeOn, type TimeOfDay } from '../ground/timeOfDay'
import { addDays, dayOf, weekdayOf, type Day } from '../ground/zone'
import type { Id, Role } from '../ledger/subject'
import type { Deputy, OpenDay, Week } from '../ledger/week'
import type { KitchenState } from './kitchen'

/** The week of the house, and whom the lead named for some hours beside it. */
export type Turns = Pick<KitchenState, 'week' | 'deputies'>

/** Hours in which the kitchen is open and nothing changes in who may sign for the lead: nobody where `who` is empty. */
export interface Signing extends Span {
  who: Id[]
}

interface Span {
  from: Instant
  until: Instant
}

/** One opening of the kitchen, with those who answer in it. */
interface Opening extends Span {
  turns: (Span & { person: Id })[]
}

/** Roles that may stand in for the lead. */
export const DEPUTIES: readonly Role[] = ['cook', 'chef', 'lead']

/**
 * Whether a person decides for the lead at an instant: named for it, or by their hours of the week. Where the lead named
 * nobody, the week gives no power either.
 * @param zone IANA zone of the kitchen
 */
export function decidesForLead({ week, deputies }: Turns, person: Id, at: Instant, zone: string): boolean {
  const named = namedAt(deputies, at)
  if (named?.to === person) return true
  const openings = openingsOf(week, { from: at, until: at + 1 }, zone)
  return (
    named?.to !== null && openings.some(({ turns }) => turns.some((turn) => turn.person === person && covers(turn, at)))
  )
}

/**
 * The open hours between two instants, cut where it changes who is there to sign: a lead in their hours, or a deputy.
 * Somebody who left, or who only reads, signs nothing. Empty where the house never said when it is open.
 * @param people everybody with their role; null: works here no more
 */
export function whoSigns(
  house: Turns,
  people: readonly { id: Id; role: Role | null }[],
  span: Span,
  zone: string,
): Signing[] {
  const roleOf = new Map(people.map(({ id, role }) => [id, role]))
  const signsAt = (id: Id, at: Instant) => {
    const role = roleOf.get(id) ?? null
    return role === 'lead' || (role !== null && DEPUTIES.includes(role) && decidesForLead(house, id, at, zone))
  }
  return openingsOf(house.week, span, zone).flatMap(({ turns, ...opening }) => {
    const open = { from: Math.max(opening.from, span.from), until: Math.min(opening.until, span.until) }
    const edges = [open, ...turns, ...house.deputies].flatMap(({ from, until }) => [from, until])
    const cuts = [...new Set(edges)].filter((at) => at >= open.from && at <= open.until).sort((a, b) => a - b)
    return cuts.slice(1).reduce<Signing[]>((spans, until, i) => {
      const from = cuts[i]!
      const there = turns.filter((turn) => covers(turn, from)).map(({ person }) => person)
      const named = namedAt(house.deputies, from)?.to ?? null
      const who = [...new Set(named === null ? there : [...there, named])].filter((id) => signsAt(id, from))
      const last = spans.at(-1)
      if (last?.who.join() === who.join()) last.until = until
      else spans.push({ from, until, who })
      return spans
    }, [])
  })
}

/** The openings that touch a span, in order. */
export function openingsOf(week: Week | null, { from, until }: Span, zone: string): Opening[] {
  if (!week) return []
  const openings: Opening[] = []
  for (let day = addDays(dayOf(from, zone), -1); day <= dayOf(until, zone); day = addDays(day, 1)) {
    const open = week[weekdayOf(day)]
    if (!open) continue
    const opening = spanOn(day, open.opens, open.closes, zone)
    if (opening.until <= from || opening.from >= until) continue
    const turns = open.signs.map(({ person, ...turn }) => ({ person, ...turnOn(day, open, turn, zone) }))
    openings.push({ ...opening, turns })
  }
  return openings
}

/** Whether a turn lies inside the opening that it is of. */
export function isInside(
  { opens, closes }: Pick<OpenDay, 'opens' | 'closes'>,
  turn: { from: TimeOfDay; until: TimeOfDay },
): boolean {
  const minutesIn = (time: TimeOfDay) => (minutesOf(time) - minutesOf(opens) + DAY_MINUTES) % DAY_MINUTES
  const length = minutesIn(closes) || DAY_MINUTES
  const end = minutesIn(turn.until) || DAY_MINUTES
  return minutesIn(turn.from) < end && end <= length
}

const DAY_MINUTES = 24 * 60

function spanOn(day: Day, from: TimeOfDay, until: TimeOfDay, zone: string): Span {
  const end = minutesOf(until) <= minutesOf(from) ? addDays(day, 1) : day
  return { from: timeOn(day, from, zone), until: timeOn(end, until, zone) }
}

/** Hours before the opening are those of the next day. */
function turnOn(
  day: Day,
  { opens }: OpenDay,
  { from, until }: { from: TimeOfDay; until: TimeOfDay },
  zone: string,
): Span {
  return spanOn(minutesOf(from) < minutesOf(opens) ? addDays(day, 1) : day, from, until, zone)
}

/** Whoever was named last for an hour is the one. */
function namedAt(deputies: readonly Deputy[], at: Instant): Deputy | undefined {
  return deputies.findLast((deputy) => covers(deputy, at))
}

function covers({ from, until }: Span, at: Instant): boolean {
  return from <= at && at < until
}
