import { SECOND, type Instant } from '../../ground/instant'
import { placeFigures, type Place } from '../../physics/cooling/place'
import type { Id } from '../../ledger/subject'
import type { Pouring, ReadingBody } from '../../ledger/entry'
import { unitDoubt } from '../../ground/parseTemperature'
import type { BatchState } from '../../state/batch'
import { valid, type Fact } from '../../state/fact'
import { celsiusRead } from '../../state/reading'

/** The version of these figures: a standing says by which it was found. */
export const PLAUSIBLE = 1

/** What a reading cannot prove by itself. fall: a cold one. rise: a hot one. spot: it was hot, and not the whole pot. */
export type Unlikely = 'fall' | 'rise' | 'spot' | 'unit'

/** The lightest that is cooled, with air in it, and the rest: density × specific heat, J/(m³·K). Engineering figures. */
const FOAM = 1.5e6
const DENSE = 3e6
const FOAMS = ['mousse', 'white-foam', 'yolk-foam', 'whipped-cream', 'foam-topping']
/** Depth unknown: a layer of 1 cm that gives off heat on both sides; volume over surface, m. */
const THIN = 0.005
/** Nobody said where it stands: stirred on ice. */
const COLDEST_PLACE: Place = 'stirred ice bath'
/** No stove heats a pot faster than this, °C a second. */
const FASTEST_RISE = 4
/** Two readings of one pot differ by so much with any probe, °C. */
const SCATTER = 2
/** A second reading agrees when the probe was placed anew, so long after. */
const PLACED_ANEW = 60 * SECOND
/** As much as a pot on the heat warms until it is read again, where the unit was in doubt, °C. */
const WARMED = 20
/** Left standing it warms in air at most this warm, by this coefficient, W/(m²·K). */
const WARM_AIR = 40
const AIR_COEFFICIENT = 10
/** What goes in cold may take out so much of the heat where nobody said how much it was. */
const ADDED_SHARE = 0.1
const POURED_SHARE = 0.15

/**
 * Readings of the mixture's core that physics forbids, by their entries. The bound is the most favourable that the entries
 * do not exclude: well mixed, in the place and vessel that were told, else 1 cm stirred on ice. Reckoned with + − × ÷
 * alone, so that every engine finds the same. A second reading that agrees, or the lead, takes the doubt away.
 */
export function unlikelyReadings(batch: BatchState): ReadonlyMap<Id, Unlikely[]> {
  const known = FOUND.get(batch)
  if (known) return known
  const found = unlikelyOf(batch)
  FOUND.set(batch, found)
  return found
}

/** A state never changes: what was found of it is kept while it is, as every check of every view asks. */
const FOUND = new WeakMap<BatchState, ReadonlyMap<Id, Unlikely[]>>()

function unlikelyOf(batch: BatchState): Map<Id, Unlikely[]> {
  const core = valid(batch.facts['reading-taken'])
    .filter(({ value }) => value.of === 'mixture' && value.where === 'core')
    .sort((a, b) => a.at - b.at || a.knownAt - b.knownAt || (a.entry < b.entry ? -1 : 1))
  const found = new Map<Id, Unlikely[]>()
  const pans = [...new Set(core.map(({ value }) => value.portion))]
  const own = pans.length > 1 ? pans.filter((pan) => pan !== undefined) : pans
  for (const pan of own) {
    const trace = core.filter(({ value: { portion } }) => portion === pan || portion === undefined)
    for (const [entry, why] of unlikelyIn(trace, batch))
      found.set(entry, [...new Set([...(found.get(entry) ?? []), ...why])])
  }
  return found
}

/** Whether what was read so cold can have warmed so far by itself, standing somewhere warm. °C, ms. */
export function mayWarm(from: number, to: number, ms: number): boolean {
  const left = decayed(ms / SECOND, (DENSE * THIN) / AIR_COEFFICIENT)
  return to <= WARM_AIR - (WARM_AIR - from) * left + SCATTER
}

type Read = Fact<ReadingBody>

function unlikelyIn(trace: readonly Read[], batch: BatchState): Map<Id, Unlikely[]> {
  const found = new Map<Id, Unlikely[]>()
  const add = (entry: Id, why: Unlikely) => found.set(entry, [...(found.get(entry) ?? []), why])
  /** The last that is beyond doubt, and those since that are doubted alike and say the same. */
  let sure: Read | null = null
  let open: { reads: Read[]; why: 'fall' | 'rise' | 'unit' } | null = null
  for (const read of trace) {
    const celsius = celsiusRead(read.value)
    const why = read.accepted ? null : doubtOf(sure, read, batch)
    if (!why) {
      sure = read
      open = null
      continue
    }
    const alike: Read[] =
      open?.why === why ? open.reads.filter((first) => foretells(first, celsius, read.at, why, batch)) : []
    if (alike.some((first) => read.at - first.at >= PLACED_ANEW)) {
      for (const each of alike) found.delete(each.entry)
      sure = read
      open = null
      continue
    }
    add(read.entry, why)
    // Hot, and cold sooner than it can have cooled: the probe stood in a hot spot.
    if (why === 'fall' && sure && !sure.accepted) add(sure.entry, 'spot')
    open = { reads: [...alike, read], why }
  }
  return found
}

function doubtOf(before: Read | null, { at, value }: Read, batch: BatchState): 'fall' | 'rise' | 'unit' | null {
  const last = before && { celsius: celsiusRead(before.value), agoMs: at - before.at }
  if (unitDoubt(value.typed, last)) return 'unit'
  if (!before || !last) return null
  const celsius = celsiusRead(value)
  if (celsius < fastestFall(last.celsius, before.at, at, batch) - SCATTER) return 'fall'
  const hottest = last.celsius + (FASTEST_RISE * last.agoMs) / SECOND + SCATTER
  return celsius > hottest && !isTogether(before.at, at, batch) ? 'rise' : null
}

/** Whether a later reading is near what an unlikely one foretells. */
function foretells(
  first: Read,
  celsius: number,
  at: Instant,
  why: 'fall' | 'rise' | 'unit',
  batch: BatchState,
): boolean {
  const told = celsiusRead(first.value)
  const coldest = fastestFall(told, first.at, at, batch) - SCATTER
  if (why === 'fall') return celsius >= coldest && celsius <= told + SCATTER
  return celsius >= told - SCATTER && (why === 'rise' || celsius <= told + WARMED)
}

/** The coldest that the core can be at `at`, °C, once it was `celsius` at `since`. */
function fastestFall(celsius: number, since: Instant, at: Instant, batch: BatchState): number {
  const { surroundings, seconds } = fastestPlace(batch, since, at)
  const share = mixedIn(batch, since, at)
  const mixed = celsius - Math.max(0, celsius) * share
  if (mixed <= surroundings) return mixed
  return surroundings + (mixed - surroundings) * decayed((at - since) / SECOND, seconds)
}

/** Of all the ways it stood between two instants the one that cools the most: its air or water, °C, and time constant, s. */
function fastestPlace(batch: BatchState, since: Instant, at: Instant): { surroundings: number; seconds: number } {
  const moves = valid(batch.facts.placed).filter((move) => move.at <= at)
  const before = moves.filter((move) => move.at <= since).sort((a, b) => b.at - a.at)[0]
  const during = moves.filter((move) => move.at > since)
  const places = [...(before ? [before] : []), ...during].map(({ value }) => value.place)
  const told = before ? places : [...places, COLDEST_PLACE]
  const heat = FOAMS.includes(batch.method.family) ? FOAM : DENSE
  const thinnest = thinnestOf(batch, since, at)
  return {
    surroundings: Math.min(...told.map((place) => coldestOf(place))),
    seconds: Math.min(...told.map((place) => (heat * thinnest) / placeFigures[place].coefficient.most)),
  }
}

function coldestOf(place: Place): number {
  const { celsius, spread } = placeFigures[place].surroundings
  return celsius - 2 * spread
}

function thinnestOf(batch: BatchState, since: Instant, at: Instant): number {
  const poured = valid(batch.facts.poured).filter((pouring) => pouring.at <= at)
  const before = poured.filter((pouring) => pouring.at <= since).sort((a, b) => b.at - a.at)[0]
  if (!before) return THIN
  const during = poured.filter((pouring) => pouring.at > since)
  return Math.min(...[before, ...during].map(({ value }) => thickness(value)))
}

/** Volume over surface of what stands in a vessel, m. */
function thickness({ vessel: { inside }, depth }: Pouring): number {
  if (inside.kind === 'round') {
    const radius = inside.diameter / 2
    return (radius * depth) / (2 * (radius + depth))
  }
  const { length, width } = inside
  return (length * width * depth) / (2 * (length * width + (length + width) * depth))
}

/** The share of its heat that what went in, or a cold vessel, can have taken out at most. */
function mixedIn(batch: BatchState, since: Instant, at: Instant): number {
  const within = (fact: { at: Instant }) => fact.at > since && fact.at <= at
  const whole = batch.terms.product?.kilograms ?? 0
  const shareOf = (grams: number | null) =>
    grams === null || whole <= 0 ? ADDED_SHARE : grams / 1000 / (grams / 1000 + whole)
  const added = valid(batch.facts.added)
    .filter(within)
    .reduce((sum, { value }) => sum + shareOf(value.grams), 0)
  const parts = valid(batch.facts['part-used'])
    .filter(within)
    .reduce((sum, { value: { measure } }) => sum + shareOf(measure.unit === 'g' ? measure.value : null), 0)
  const eggs = valid(batch.facts['eggs-taken']).filter(within).length * ADDED_SHARE
  const poured = valid(batch.facts.poured).filter(within).length * POURED_SHARE
  return Math.min(0.95, added + parts + eggs + poured)
}

/** All was poured together between the two: what was read before was another thing. */
function isTogether(since: Instant, at: Instant, { facts: { 'step-marked': marks } }: BatchState): boolean {
  return valid(marks).some((mark) => mark.value.edge === 'combined' && mark.at > since && mark.at <= at)
}

/** A lower bound of exp(−seconds/constant): (1 − x/64)^64. */
function decayed(seconds: number, constant: number): number {
  const x = seconds / constant
  if (x >= 64) return 0
  let left = 1 - x / 64
  for (let i = 0; i < 6; i++) left *= left
  return left
}

/** How long to wait before a reading can agree with one that is doubted, ms. */
export const READ_AGAIN_AFTER = PLACED_ANEW
