import { MINUTE, type Instant } from '../../ground/instant'
import { placeFigures, isUnitKind, type Place } from '../../physics/cooling/place'
import { responseOf, sAt } from '../../physics/conduction/response'
import { TYPICAL } from '../timeline/setting'
import { mixtureProperties } from '../../physics/material/properties'
import { SAME_DEGREE } from '../../ground/temperature'
import type { Bounded } from '../../physics/trace/reading'
import { countedAirs, isOutside, type StoreUnit } from '../warmth/air'
import type { Course } from './course'
import type { Measure } from '../../ground/measure'
import { isCold, type HoldingKind, type Level } from '../../recipe/checks/unitKind'

/**
 * When the core of something that stands too warm passes its limit, if nothing is done: how far food lags behind the air.
 * An estimate for whoever reads the item next. Nothing is judged by it.
 */
export interface ThermalLag {
  /** What it stands in, °C. */
  air: number
  /** What its core was when it was last cold, °C. */
  from: number
  /** What is reckoned with, each by itself, g. */
  grams: number
  /** Nobody weighed it: a portion is taken to be so much. */
  assumed: boolean
  earliest: Instant
  latest: Instant
}

/** A portion or a piece of which nobody knows the weight, g. */
const PORTION_GRAMS = 100
/** As flat as a tray is filled, m. */
const FLAT = 0.02

/**
 * From the closed answer of conduction, for the two shapes that its mass may have: flat as in a tray, with the most that
 * air takes there, since the last look that was good; and as compact as can be, with the least, since the first that was not.
 * null while it stands in the cold, and where nothing tells its air.
 */
export function thermalLag(
  { moves, reads }: Pick<Course, 'moves' | 'reads'>,
  left: Measure,
  units: readonly StoreUnit[],
  level: Level,
): ThermalLag | null {
  const place = moves.at(-1)
  if (left.value <= 0) return null
  // Frozen food takes its heat of melting first; for what is out with the guests the clock alone counts.
  if (place?.how !== 'move' && place?.how !== 'out') return null
  const warm = warmAir(place, units.find(({ id }) => id === place.unit) ?? null, level)
  if (!warm) return null
  const { air, coefficient, began } = warm
  // Its own last reading tells more than the air that it stood in.
  const own = reads.findLast(({ by, at }) => by === 'probe' && at >= began.earliest)
  if (own && own.celsius > level.celsius + SAME_DEGREE) return null
  const from = own?.celsius ?? warm.from
  const assumed = left.unit !== 'g' && left.unit !== 'ml'
  const grams = assumed ? PORTION_GRAMS : left.value
  const since = {
    earliest: Math.max(began.earliest, own?.at ?? -Infinity),
    latest: Math.max(began.latest, own?.at ?? -Infinity),
  }
  const minutes = (shape: 'flat' | 'compact', faces: number) =>
    minutesTo({ shape, grams, faces, air, from, to: level.celsius })
  return {
    air,
    from,
    grams,
    assumed,
    earliest: since.earliest + Math.round(minutes('flat', coefficient.most) * MINUTE),
    latest: since.latest + Math.round(minutes('compact', coefficient.least) * MINUTE),
  }
}

interface WarmAir {
  air: number
  from: number
  coefficient: Bounded
  began: { earliest: Instant; latest: Instant }
}

/** What it stands in, where that is too warm, and since when; of a unit the last looks tell. */
function warmAir({ at }: Course['moves'][number], unit: StoreUnit | null, level: Level): WarmAir | null {
  if (!unit || !isCold(unit.kind)) {
    const { surroundings, coefficient } = placeFigures.counter
    if (unit?.kind === 'hot well') return null
    return { air: surroundings.celsius, from: level.celsius, coefficient, began: { earliest: at, latest: at } }
  }
  const looks = countedAirs(unit, level)
  const air = looks.at(-1)
  if (!air || !isOutside(air.celsius, level)) return null
  const good = looks.findLastIndex(({ celsius }) => !isOutside(celsius, level))
  const [before, first] = [looks[good], looks[good + 1]!]
  return {
    air: air.celsius,
    from: before?.celsius ?? level.celsius,
    coefficient: placeFigures[placeOf(unit.kind)].coefficient,
    began: { earliest: Math.max(at, before?.at ?? at), latest: Math.max(at, first.at) },
  }
}

/** A case and an egg refrigerator stir their air as little as a refrigerator does. */
function placeOf(kind: HoldingKind): Place {
  return isUnitKind(kind) ? kind : 'refrigerator'
}

interface Warming {
  shape: 'flat' | 'compact'
  grams: number
  /** W/(m²·K), all round. */
  faces: number
  air: number
  from: number
  to: number
}

function minutesTo({ shape, grams, faces, air, from, to }: Warming): number {
  if (from >= to) return 0
  const material = mixtureProperties(TYPICAL, to)
  const volume = grams / 1000 / material.density
  const height = shape === 'flat' ? Math.min(FLAT, compact(volume)) : compact(volume)
  const radius = Math.sqrt(volume / height / Math.PI)
  const { tauMinutes, curve } = responseOf({ kind: 'cylinder', radius, height }, material, {
    top: faces,
    side: faces,
    bottom: faces,
  })
  return tauMinutes * sAt(curve, Math.log((air - to) / (air - from)))
}

/** The height of a cylinder as high as it is wide, m. */
function compact(volume: number): number {
  return Math.cbrt((4 * volume) / Math.PI)
}
