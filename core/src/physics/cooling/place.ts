import type { Bounded } from '../trace/reading'
import type { Surroundings } from '../projection/posterior'

/** Where a product stands to cool. */
export const PLACES = [
  'counter',
  'refrigerator',
  'fan refrigerator',
  'blast chiller',
  'freezer',
  'running tap',
  'ice bath',
  'stirred ice bath',
] as const

export type Place = (typeof PLACES)[number]

/** Places that are a unit with a door and air of its own. */
export const UNIT_KINDS = ['refrigerator', 'fan refrigerator', 'blast chiller', 'freezer'] as const
export type UnitKind = (typeof UNIT_KINDS)[number]

export function isUnitKind(place: string): place is UnitKind {
  return (UNIT_KINDS as readonly string[]).includes(place)
}

/** What a place does to what stands in it: engineering figures, so that all that follows from them is a forecast. */
export interface PlaceFigures {
  surroundings: Surroundings
  /** Convective coefficient at the product's faces, W/(m²·K). */
  coefficient: Bounded
  /** Water round side and bottom; nothing is reckoned for the top then. */
  wet: boolean
  /** Stirred through every so many minutes; null: left alone. */
  stirEveryMinutes: number | null
}

/** A stirred bath is one whose product is stirred too. */
const STIR_EVERY = 5

/**
 * Coefficients as used in refrigeration engineering, with their range; temperatures as kitchens have them, where no
 * reading of the unit says otherwise.
 */
export const placeFigures: Record<Place, PlaceFigures> = {
  counter: air({ celsius: 22, spread: 2.5 }, { least: 5, likely: 7, most: 10 }),
  refrigerator: air({ celsius: 4, spread: 1.2 }, { least: 4, likely: 6, most: 10 }),
  'fan refrigerator': air({ celsius: 3, spread: 1.2 }, { least: 10, likely: 12, most: 25 }),
  'blast chiller': air({ celsius: -1, spread: 1.5 }, { least: 25, likely: 30, most: 60 }),
  freezer: air({ celsius: -18, spread: 3 }, { least: 4, likely: 6, most: 10 }),
  'running tap': water({ celsius: 14, spread: 2.5 }, { least: 300, likely: 400, most: 1000 }, null),
  'ice bath': water({ celsius: 1, spread: 0.8 }, { least: 100, likely: 150, most: 300 }, null),
  'stirred ice bath': water({ celsius: 1, spread: 0.8 }, { least: 400, likely: 500, most: 1000 }, STIR_EVERY),
}

function air(surroundings: Surroundings, coefficient: Bounded): PlaceFigures {
  return { surroundings, coefficient, wet: false, stirEveryMinutes: null }
}

function water(surroundings: Surroundings, coefficient: Bounded, stirEveryMinutes: number | null): PlaceFigures {
  return { surroundings, coefficient, wet: true, stirEveryMinutes }
}
