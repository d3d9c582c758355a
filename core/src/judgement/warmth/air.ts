import type { Id } from '../../ledger/subject'
import type { Look } from '../../state/unit'
import type { HoldingKind, Level } from '../../recipe/checks/unitKind'
import { HOUR, MINUTE, type Instant } from '../../ground/instant'
import { SAME_DEGREE } from '../../ground/temperature'

/** A stretch between two looks at a unit's air, and what it says of the air in between. */
export interface AirSpan {
  from: Instant
  to: Instant
  /** within: good at both ends, and not unseen for longer than a night. outside: bad at both. unsure: the rest. */
  air: 'within' | 'outside' | 'unsure'
  /** The share of it that was likely outside, straight between the two looks. */
  share: number
}

/** A time that a unit was outside its level. */
export interface Excursion {
  unit: string
  /** The last look before, and the first outside. */
  since: { earliest: Instant; latest: Instant }
  /** The first good look after; null: it goes on. */
  until: Instant | null
  worst: Look
  /** Opened: food inside is in question. Otherwise the air alone was outside, for a moment. */
  open: boolean
  /** Why the air was said not to be the food's. */
  noted: Look['noted']
}

/** Outside for so long, or in two looks so far apart, opens it: a door or a defrost does not, ms. */
const OPENS_AFTER = 30 * MINUTE
export const LOOKS_APART = 15 * MINUTE
/** A spike with its reason noted is over within this, ms. */
const SPIKE = HOUR

/** A unit as it was known at an instant: without later looks, so that who judges later judges the same. */
export function asOf<U extends { airs: readonly Look[] }>(unit: U, at: Instant): U {
  const airs = unit.airs.filter((look) => look.at <= at)
  return airs.length === unit.airs.length ? unit : { ...unit, airs }
}

export function isOutside(celsius: number, { side, celsius: level }: Level): boolean {
  return side === 'under' ? celsius > level + SAME_DEGREE : celsius < level - SAME_DEGREE
}

/** A look that can say that the unit was warm, and not that it was cold. */
function isWord({ late, doubt }: Look): boolean {
  return late === true || doubt !== undefined
}

/** The last look that counts; a word that it was cold again is none. null before any. */
export function lastCounted({ airs }: { airs: readonly Look[] }, level: Level): Look | null {
  return airs.findLast((look) => !isWord(look) || isOutside(look.celsius, level)) ?? null
}

/** Looks that count: a door or a defrost that was noted and was over at the next look is left out. */
export function countedAirs({ airs }: { airs: readonly Look[] }, level: Level): Look[] {
  return airs.filter((air, i) => {
    const next = airs[i + 1]
    if (isWord(air) && !isOutside(air.celsius, level)) return false
    const spike = air.noted !== null && isOutside(air.celsius, level)
    return !(spike && next && !isOutside(next.celsius, level) && next.at - air.at <= SPIKE)
  })
}

/**
 * What a unit's looks say of the time from one instant to another, oldest first.
 * @param nightMs two good looks no further apart than this leave nothing unsure
 */
export function airSpans(
  unit: Pick<StoreUnit, 'airs'>,
  level: Level,
  from: Instant,
  to: Instant,
  nightMs: number,
): AirSpan[] {
  const looks = countedAirs({ airs: around(unit.airs, from, to) }, level)
  const spans: AirSpan[] = []
  const add = (start: Instant, end: Instant, air: AirSpan['air'], share: number) => {
    const [a, b] = [Math.max(start, from), Math.min(end, to)]
    if (b > a) spans.push({ from: a, to: b, air, share })
  }
  const first = looks[0]
  if (!first) {
    add(from, to, to - from <= nightMs ? 'within' : 'unsure', 0)
    return spans
  }
  add(-Infinity, first.at, isOutside(first.celsius, level) || first.at - from > nightMs ? 'unsure' : 'within', 0)
  looks.forEach((look, i) => {
    const next = looks[i + 1]
    const bad = isOutside(look.celsius, level)
    if (!next) {
      add(look.at, Infinity, bad ? 'outside' : to - look.at <= nightMs ? 'within' : 'unsure', bad ? 1 : 0)
      return
    }
    const badNext = isOutside(next.celsius, level)
    if (bad && badNext) add(look.at, next.at, 'outside', 1)
    else if (bad || badNext) add(look.at, next.at, 'unsure', partOutside(look, next, level))
    else add(look.at, next.at, next.at - look.at <= nightMs ? 'within' : 'unsure', 0)
  })
  return spans
}

/**
 * Whether all of that time is surely within, as nearly always: good looks alone, none further apart than a night. Found
 * without laying out its spans; where it says no, they are laid out.
 */
export function isQuiet(
  unit: Pick<StoreUnit, 'airs'>,
  level: Level,
  from: Instant,
  to: Instant,
  nightMs: number,
): boolean {
  const airs = proving(unit.airs, level)
  const [first, last] = [airs[0], airs.at(-1)]
  if (!first || !last) return to - from <= nightMs
  if (from < first.at && (isOutside(first.celsius, level) || first.at - from > nightMs)) return false
  if (to > last.at && (isOutside(last.celsius, level) || to - last.at > nightMs)) return false
  const doubts = doubtful(airs, level, nightMs)
  const next = doubts[firstWhere(doubts, (doubt) => doubt.to > from)]
  return !next || next.from >= to
}

// Words are few, and nearly always there is none: then all of them, so that what is known of them is found again.
const proven = new WeakMap<readonly Look[], Map<string, readonly Look[]>>()

/** Looks without words that a unit was cold. */
function proving(airs: readonly Look[], level: Level): readonly Look[] {
  const kept = proven.get(airs) ?? new Map<string, readonly Look[]>()
  proven.set(airs, kept)
  const asked = `${level.side} ${level.celsius}`
  const isCounted = (look: Look) => !isWord(look) || isOutside(look.celsius, level)
  const found = kept.get(asked) ?? (airs.every(isCounted) ? airs : airs.filter(isCounted))
  kept.set(asked, found)
  return found
}

// Asked of every item in a freezer, and nearly always no.
const ever = new WeakMap<readonly Look[], Map<string, boolean>>()

/** Whether any of its looks is outside a level: of a unit that is held to another. */
export function isEverOutside({ airs }: Pick<StoreUnit, 'airs'>, level: Level): boolean {
  const kept = ever.get(airs) ?? new Map<string, boolean>()
  ever.set(airs, kept)
  const asked = `${level.side} ${level.celsius}`
  const found = kept.get(asked) ?? airs.some(({ celsius }) => isOutside(celsius, level))
  kept.set(asked, found)
  return found
}

// Many items are asked about under the same looks: what lies between these is gone through once.
const known = new WeakMap<readonly Look[], { asked: string; doubts: Doubtful[] }[]>()

type Doubtful = { from: Instant; to: Instant }

/** The times between two looks that are not surely within, oldest first. */
function doubtful(airs: readonly Look[], level: Level, nightMs: number): Doubtful[] {
  const kept = known.get(airs) ?? []
  const asked = `${level.side} ${level.celsius} ${nightMs}`
  const found = kept.find((each) => each.asked === asked)
  if (found) return found.doubts
  const doubts = airs.slice(1).flatMap((next, i): Doubtful[] => {
    const look = airs[i]!
    const good = !isOutside(look.celsius, level) && !isOutside(next.celsius, level) && next.at - look.at <= nightMs
    return good ? [] : [{ from: look.at, to: next.at }]
  })
  known.set(airs, [...kept, { asked, doubts }])
  return doubts
}

/** A noted spike is told from a warm unit by the look after it, so a few on either side are taken along. */
const BESIDE = 4

/** The looks from one instant to another and those next to them, found without going through all. */
function around(airs: readonly Look[], from: Instant, to: Instant): Look[] {
  return airs.slice(Math.max(0, firstFrom(airs, from) - BESIDE), firstFrom(airs, to + 1) + BESIDE)
}

/** The index of the first look at or after an instant. */
function firstFrom(airs: readonly Look[], at: Instant): number {
  return firstWhere(airs, (look) => look.at >= at)
}

/** The index of the first for which it holds, of all that follow it too; the length where it holds for none. */
function firstWhere<T>(all: readonly T[], holds: (each: T) => boolean): number {
  let [low, high] = [0, all.length]
  while (low < high) {
    const middle = (low + high) >> 1
    if (holds(all[middle]!)) high = middle
    else low = middle + 1
  }
  return low
}

/** The times a unit was outside its level, the latest last. */
export function excursionsOf(unit: Pick<StoreUnit, 'id' | 'airs'>, level: Level, now: Instant): Excursion[] {
  const found: Excursion[] = []
  let open: { looks: Look[]; before: Look | null } | null = null
  let before: Look | null = null
  for (const look of countedAirs(unit, level)) {
    if (isOutside(look.celsius, level)) {
      if (open) open.looks.push(look)
      else open = { looks: [look], before }
    } else {
      if (open) found.push(excursion(unit.id, open, look.at, level, now))
      open = null
    }
    before = look
  }
  if (open) found.push(excursion(unit.id, open, null, level, now))
  return found
}

function excursion(
  unit: string,
  { looks, before }: { looks: Look[]; before: Look | null },
  until: Instant | null,
  level: Level,
  now: Instant,
): Excursion {
  const [first] = looks
  const last = looks.at(-1)!
  const worst = looks.reduce((a, b) =>
    (level.side === 'under' ? b.celsius > a.celsius : b.celsius < a.celsius) ? b : a,
  )
  const lasted = (until === null ? now : last.at) - first!.at
  return {
    unit,
    since: { earliest: before?.at ?? first!.at, latest: first!.at },
    until,
    worst,
    open: last.at - first!.at >= LOOKS_APART || (lasted >= OPENS_AFTER && !last.noted),
    noted: last.noted,
  }
}

function partOutside(a: Look, b: Look, level: Level): number {
  const [outside, inside] = isOutside(a.celsius, level) ? [a.celsius, b.celsius] : [b.celsius, a.celsius]
  return Math.min(1, Math.abs(outside - level.celsius) / Math.abs(outside - inside))
}

/** A unit as things in it are judged by: what its air was, oldest first. */
export interface StoreUnit {
  id: Id
  kind: HoldingKind
  airs: readonly Look[]
}
