import type { Degrees } from '../ground/temperature'
import { canonical } from '../ground/canonical'
import type { Clock, ExposureRule, HoldRule, ReachRule, Reference, Rule, StayRule } from './rule'

/**
 * Whether whatever meets `a` meets `b` too: a house line is stricter when it implies the published one. By both printed
 * figures, so that it holds whichever unit is compared. Two rules of different kinds never imply each other, except
 * that anything with a number implies "no number", and hours enough imply days.
 */
export function implies(a: Rule, b: Rule): boolean {
  if (b.kind === 'no number') return true
  if (a.kind === 'hours' && b.kind === 'days') return a.hours <= (b.days - 1) * 24
  switch (a.kind) {
    case 'hold':
      return b.kind === 'hold' && holdImplies(a, b)
    case 'equivalent':
      return b.kind === 'equivalent' && sameReference(a.reference, b.reference) && a.minutes >= b.minutes
    case 'reach':
      return b.kind === 'reach' && reachImplies(a, b)
    case 'stay':
      return b.kind === 'stay' && stayImplies(a, b)
    case 'exposure':
      return b.kind === 'exposure' && exposureImplies(a, b)
    case 'days':
      return b.kind === 'days' && a.days <= b.days
    case 'hours':
      return (
        b.kind === 'hours' && a.hours <= b.hours && (b.under === null || (a.under !== null && atMost(a.under, b.under)))
      )
    case 'tolerance':
      return b.kind === 'tolerance' && atMost(a.within, b.within)
    case 'no number':
      return false
    case 'egg lot':
    case 'condition':
    case 'acidity':
      return canonical(a) === canonical(b)
  }
}

/** Every row of `a` must lie at or beyond one row of `b`, in temperature and in time. */
function holdImplies(a: HoldRule, b: HoldRule): boolean {
  return (
    a.rows.length > 0 &&
    a.rows.every((row) => b.rows.some(({ at, seconds }) => atLeast(row.at, at) && row.seconds >= seconds))
  )
}

function reachImplies(a: ReachRule, b: ReachRule): boolean {
  if (a.direction !== b.direction || a.withinMinutes > b.withinMinutes) return false
  const falling = a.direction === 'falling'
  return (falling ? atMost(a.to, b.to) : atLeast(a.to, b.to)) && startsNoLater(a.clock, b.clock, falling)
}

function startsNoLater(a: Clock, b: Clock, falling: boolean): boolean {
  if (typeof a === 'object' && 'crossing' in a && typeof b === 'object' && 'crossing' in b) {
    return falling ? atLeast(a.crossing, b.crossing) : atMost(a.crossing, b.crossing)
  }
  return canonical(a) === canonical(b)
}

function stayImplies(a: StayRule, b: StayRule): boolean {
  if (a.side !== b.side) return false
  if (!(a.side === 'under' ? atMost(a.level, b.level) : atLeast(a.level, b.level))) return false
  if (a.grace === null) return true
  if (b.grace === null) return a.grace.minutes === 0
  // One period of so long is within a total of so long, not the other way round.
  const counted = a.grace.count === b.grace.count || a.grace.count === 'once'
  return counted && a.grace.minutes <= b.grace.minutes
}

/** The band of `a` must cover that of `b`, and at every time ask for as much. */
function exposureImplies(a: ExposureRule, b: ExposureRule): boolean {
  const asks = ({ bands }: ExposureRule, minutes: number) =>
    Math.max(-1, ...bands.filter(({ fromMinutes }) => fromMinutes <= minutes).map(({ then }) => SEVERITY[then]))
  return (
    atMost(a.low, b.low) &&
    atLeast(a.high, b.high) &&
    b.bands.every(({ fromMinutes, then }) => asks(a, fromMinutes) >= SEVERITY[then])
  )
}

const SEVERITY = { 'use or chill': 0, 'use now': 1, discard: 2 }

function sameReference(a: Reference, b: Reference): boolean {
  return canonical(a) === canonical(b)
}

function atLeast(a: Degrees, b: Degrees): boolean {
  return a.c >= b.c && a.f >= b.f
}

function atMost(a: Degrees, b: Degrees): boolean {
  return a.c <= b.c && a.f <= b.f
}
