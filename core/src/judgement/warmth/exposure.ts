import { HOUR, MINUTE, type Instant } from '../../ground/instant'
import { FREEZES_WITHIN } from '../../state/item'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Id } from '../../ledger/subject'
import type { Brought, MoveHow } from '../../ledger/storeEntries'
import type { Bounded } from '../../physics/trace/reading'
import { airSpans, isEverOutside, isQuiet, type StoreUnit } from './air'
import { isCold, type Level } from '../../recipe/checks/unitKind'

/** Where an item was and how warm: all that its time in the warmth is reckoned from. */
export interface Journey {
  coldAt: Instant | null
  carried: Bounded
  /** What was put on it brought its own time along. */
  brought: readonly Brought[]
  /** A portion, or less than a kilogram: it follows what it stands in sooner. */
  small: boolean
  /** Where it went, oldest first. */
  moves: readonly { at: Instant; unit: Id | null; how: MoveHow }[]
  /** Readings of its core, oldest first; `by` a probe, or a number that somebody said. */
  reads: readonly { at: Instant; celsius: number; by: 'probe' | 'word' }[]
  /** When the lead last let it go on; null: never. */
  released: Instant | null
}

/** How long an item was above its cold limit, over its life. */
export interface Exposure {
  time: Bounded
  /** Each unbroken time above it that is possible, oldest first. */
  periods: { from: Instant; to: Instant; time: Bounded }[]
  /** It may be above it now. */
  now: boolean
  /** Of the least, what the lead has answered for by letting it go on, ms: law counts it on, guidance does not ask again. */
  answered: number
  /** The last reading of its own core; null: none. */
  read: { at: Instant; celsius: number } | null
}

interface Stretch {
  from: Instant
  to: Instant
  /** Shares of it that count. */
  least: number
  likely: number
  most: number
}

/**
 * The bounded time above the cold limit, from when it was first cold. Out on the bench all of it counts: there nothing
 * keeps it cold. In a unit the air counts at most and likely, never at least: food warms later than air. Two readings
 * of its own above the limit prove the time between them; from one on it may be warm until a probe finds it cold; one at or under it, taken while the air was still warm, takes
 * the warm time before it back. A night between two good looks is normal. Where the lead let it go on, what was only
 * possible until then is answered; what was proven stays: no decision gives back time that a law counts.
 * @param level its own cold limit, whatever unit it is in
 */
export function exposureOf(
  journey: Journey,
  units: readonly StoreUnit[],
  level: Level,
  nightMs: number,
  now: Instant,
): Exposure {
  const { moves, coldAt: chilled, released } = journey
  const reads = journey.reads.filter(({ at }) => howAt(moves, at) !== 'hot')
  const isWarm = (celsius: number) => celsius > level.celsius + SAME_DEGREE
  const cold = reads.find(({ celsius, by }) => by === 'probe' && !isWarm(celsius))
  const last = reads.at(-1)
  const read = last ? { at: last.at, celsius: last.celsius } : null
  const begins = Math.min(chilled ?? Infinity, cold?.at ?? Infinity)
  const carried = released === null ? journey.carried : provenOf(journey.carried)
  const brought = journey.brought
    .filter(({ at }) => at <= now)
    .map(({ at, time }) => ({ at, time: released !== null && at <= released ? provenOf(time) : time }))
  const begun = moves[0]?.at ?? now
  const earlier = [{ at: begun, time: carried }, ...brought]
    .filter(({ time }) => time.most > 0)
    .map(({ at, time }) => ({ from: at, to: at, time }))
  // Never read cold: from when it was put away it may have been warm all the time. That asks, and discards nothing.
  const unread = begins === Infinity
  let stretches = staysOf(moves, unread ? -Infinity : begins, now).flatMap((stay) =>
    stretchesOf(stay, units, level, nightMs).map((each) => (unread ? { ...each, least: 0, likely: 0 } : each)),
  )
  for (const { at, celsius, by } of reads) {
    // A number that no probe stands behind can deny, not prove.
    if (isWarm(celsius)) stretches = cut(stretches, at)
    else if (by === 'probe')
      stretches = coldAt(
        cut(stretches, at),
        at,
        reads.filter((each) => isWarm(each.celsius)),
        journey.small,
      )
  }
  for (const [i, { at, celsius }] of reads.entries()) {
    const next = reads[i + 1]
    if (next && isWarm(celsius) && isWarm(next.celsius)) stretches = proven(stretches, at, next.at)
    else if (isWarm(celsius)) {
      // Read warm, it may have stayed so in the coldest unit, until a probe finds it cold.
      const found = reads.slice(i + 1).find((each) => each.by === 'probe' || isWarm(each.celsius))
      for (const stay of staysOf(moves, at, Math.min(now, found?.at ?? now)))
        stretches = doubted(stretches, stay.from, stillWarm(stay, units))
    }
  }
  if (released !== null) stretches = cut(stretches, released).filter(({ to, least }) => to > released || least > 0)
  // What a part brought counts as a period of its own: a law that allows one warm period has had it.
  const periods = [...earlier, ...periodsOf(stretches)].sort((a, b) => a.from - b.from)
  const shares = [{ at: -Infinity, time: carried }, ...brought]
  const time = totalOf(shares, stretches)
  const until = (end: Instant) =>
    totalOf(
      shares.filter(({ at }) => at <= end),
      stretches.filter(({ to }) => to <= end),
    )
  const answered = released === null ? 0 : until(released).least
  const end = stretches.at(-1)
  return { time, periods, now: end !== undefined && end.to === now && end.most > 0, answered, read }
}

/** How it was kept at an instant; undefined before its first move. */
function howAt(moves: Journey['moves'], at: Instant): MoveHow | undefined {
  return moves.findLast((move) => move.at <= at)?.how
}

interface Stay {
  from: Instant
  to: Instant
  unit: Id | null
  frozen: boolean
}

/** Where it was, from when on. Before its first move nobody said: it counts as out. */
function staysOf(moves: Journey['moves'], begins: Instant, now: Instant): Stay[] {
  return moves.flatMap(({ at, unit, how }, i): Stay[] => {
    const from = Math.max(at, begins)
    const to = Math.min(moves[i + 1]?.at ?? now, now)
    return to > from ? [{ from, to, unit, frozen: how === 'freeze' }] : []
  })
}

function stretchesOf(
  { from, to, unit: id, frozen }: Stay,
  units: readonly StoreUnit[],
  level: Level,
  nightMs: number,
): Stretch[] {
  const unit = id === null ? null : units.find((each) => each.id === id)
  // Hard food waits out a night that nobody saw; a freezer that was read warmer than the cold limit is another matter.
  if (frozen || unit?.kind === 'freezer')
    return unit && isEverOutside(unit, level)
      ? inAir(unit, level, from, to, nightMs).filter(({ likely }) => likely > 0)
      : []
  if (unit?.kind === 'hot well') return []
  if (!unit || !isCold(unit.kind)) return [{ from, to, least: 1, likely: 1, most: 1 }]
  return isQuiet(unit, level, from, to, nightMs) ? [] : inAir(unit, level, from, to, nightMs)
}

function inAir(unit: StoreUnit, level: Level, from: Instant, to: Instant, nightMs: number): Stretch[] {
  return airSpans(unit, level, from, to, nightMs).flatMap(({ from: a, to: b, air, share }): Stretch[] =>
    air === 'within' ? [] : [{ from: a, to: b, least: 0, likely: share, most: 1 }],
  )
}

/** The same stretches, none lying across an instant. */
function cut(stretches: readonly Stretch[], at: Instant): Stretch[] {
  return stretches.flatMap((each) =>
    each.from < at && at < each.to
      ? [
          { ...each, to: at },
          { ...each, from: at },
        ]
      : [each],
  )
}

/** How far food lags behind what it stands in, small and large: out in the open, and in a unit that is too warm, ms. House figures. */
const LAG = { open: { small: 30 * MINUTE, large: HOUR }, unit: { small: 12 * HOUR, large: 12 * HOUR } }

/**
 * Cold to the core at an instant: the unbroken warm time that led up to it did not reach the core. It passes no reading of
 * its own that was warm, and no time longer than food lags behind.
 */
function coldAt(
  stretches: readonly Stretch[],
  at: Instant,
  warm: readonly { at: Instant }[],
  small: boolean,
): Stretch[] {
  const lastWarm = Math.max(-Infinity, ...warm.filter((each) => each.at <= at).map((each) => each.at))
  let back = at
  const spared = new Set<Stretch>()
  for (const each of [...stretches].reverse()) {
    if (each.to !== back) continue
    spared.add(each)
    back = each.from
  }
  // A time that nobody saw, between two good looks, is no warm one: its cold core says what it was.
  const warmed = [...spared].filter(({ likely }) => likely > 0)
  const lag = warmed.some(({ least }) => least > 0) ? LAG.open : LAG.unit
  const longest = at - Math.min(at, ...warmed.map(({ from }) => from))
  if (back < lastWarm || longest > (small ? lag.small : lag.large)) return [...stretches]
  return stretches.filter((each) => !spared.has(each))
}

/** Warm at both ends by its own readings: all of it. */
function proven(stretches: readonly Stretch[], from: Instant, to: Instant): Stretch[] {
  const rest = cut(cut(stretches, from), to).filter((each) => each.to <= from || each.from >= to)
  return [...rest, { from, to, least: 1, likely: 1, most: 1 }].sort((a, b) => a.from - b.from)
}

/** Until when what was read warm may stay so where it is: hard food in a freezer is not, and in the hot well it should be. */
function stillWarm({ from, to, unit: id, frozen }: Stay, units: readonly StoreUnit[]): Instant {
  const kind = units.find((each) => each.id === id)?.kind
  if (kind === 'hot well') return from
  return frozen || kind === 'freezer' ? Math.min(to, from + FREEZES_WITHIN) : to
}

/** It may have been warm all of a time: at most all of it counts, at least what counted before. */
function doubted(stretches: readonly Stretch[], from: Instant, to: Instant): Stretch[] {
  const parts = cut(cut(stretches, from), to)
  const inside = parts.filter((each) => each.from >= from && each.to <= to)
  const ends = [from, ...inside.flatMap((each) => [each.from, each.to]), to]
  const gaps = ends.flatMap((start, i): Stretch[] =>
    i % 2 === 0 && ends[i + 1]! > start ? [{ from: start, to: ends[i + 1]!, least: 0, likely: HALF, most: 1 }] : [],
  )
  const raised = inside.map((each) => ({ ...each, likely: Math.max(each.likely, HALF), most: 1 }))
  const rest = parts.filter((each) => !inside.includes(each))
  return [...rest, ...raised, ...gaps].sort((a, b) => a.from - b.from)
}

/** Of a time that began warm and of whose end nothing is known, the likely share. */
const HALF = 0.5

function periodsOf(stretches: readonly Stretch[]): Exposure['periods'] {
  const periods: Exposure['periods'] = []
  for (const { from, to, least, likely, most } of stretches) {
    const ms = to - from
    const time = { least: ms * least, likely: ms * likely, most: ms * most }
    const last = periods.at(-1)
    if (last?.to === from) {
      last.to = to
      last.time = plus(last.time, time)
    } else periods.push({ from, to, time })
  }
  return periods
}

function provenOf({ least }: Bounded): Bounded {
  return { least, likely: least, most: least }
}

/** What is on it is as old as the older of the two: what either had been warm until then, and both together since. */
function totalOf(shares: readonly Brought[], stretches: readonly Stretch[]): Bounded {
  return shares
    .map(({ at, time }) => plus(time, sumOf(cut(stretches, at).filter(({ from }) => from >= at))))
    .reduce(worst)
}

function sumOf(stretches: readonly Stretch[]): Bounded {
  return periodsOf(stretches).reduce((sum, { time }) => plus(sum, time), { least: 0, likely: 0, most: 0 })
}

function worst(a: Bounded, b: Bounded): Bounded {
  return {
    least: Math.max(a.least, b.least),
    likely: Math.max(a.likely, b.likely),
    most: Math.max(a.most, b.most),
  }
}

function plus(a: Bounded, b: Bounded): Bounded {
  return { least: a.least + b.least, likely: a.likely + b.likely, most: a.most + b.most }
}
