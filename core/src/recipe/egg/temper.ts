import { type Composition, mixtureProperties } from '../../physics/material/properties'
import type { HoldRow } from '../../rules/compared'
import type { EggPart } from '../ingredient/eggGrams'

/** Something that is poured or poured on: kilograms, °C, and what it is made of. */
export interface Pour {
  kg: number
  celsius: number
  composition: Composition
}

/** °C at which an egg begins to set, alone. Sugar and dilution raise it: shown, not promised. */
const ONSET: Record<EggPart, number> = { white: 62, yolk: 65, whole: 68 }

/** The step by which one ladle may raise the eggs, °C, unless the cook says otherwise. */
export const LADLE_STEP = 10

/**
 * The mixture after each of equal ladles of the hot liquid, and when all is combined, °C. A heat balance without loss:
 * T' = (M·cp·T0 + m·cp'·T) / (M·cp + m·cp'), so an upper bound for the mixture. Specific heats at the temperature each
 * comes with. RangeError for masses that are not above 0 or a number of ladles that is not whole and from 1 to 100.
 */
export function temper(base: Pour, hot: Pour, ladles: number): { afterEach: number[]; combined: number } {
  if (!Number.isInteger(ladles) || ladles < 1 || ladles > 100)
    throw new RangeError(`ladles: ${ladles} is not a whole number from 1 to 100`)
  const held = heatCapacity('base', base)
  const poured = heatCapacity('hot', hot)
  const afterEach = Array.from({ length: ladles }, (_, i) => {
    const share = ((i + 1) / ladles) * poured
    return (held * base.celsius + share * hot.celsius) / (held + share)
  })
  return { afterEach, combined: afterEach[ladles - 1]! }
}

/**
 * The largest first ladle, kg, that raises the eggs by no more than `step` °C and keeps them under `onset`; all of the
 * hot liquid where even that does neither, 0 where the eggs are at the onset already.
 */
export function largestLadle(base: Pour, hot: Pour, onset: number, step = LADLE_STEP): number {
  const top = Math.min(base.celsius + step, onset)
  const held = heatCapacity('base', base)
  const perKg = heatCapacity('hot', hot) / hot.kg
  if (top <= base.celsius) return 0
  if (hot.celsius <= top) return hot.kg
  return Math.min(hot.kg, (held * (top - base.celsius)) / (perKg * (hot.celsius - top)))
}

/** Where the egg in a base begins to set, °C: the lowest of its parts; null without egg. */
export function onsetOf(parts: readonly EggPart[]): number | null {
  return parts.length ? Math.min(...parts.map((part) => ONSET[part])) : null
}

/** What tempering comes to, against the rows of the floor. It is reckoned, not read: it proves nothing. */
export interface TemperVerdict {
  combined: number
  /** The row that the mixture would have to be read at, the lowest. null where no floor is known. */
  lowest: HoldRow | null
  /** How far it stays under that row, °C; 0 when it would get there. */
  short: number
}

/** Whether pouring alone could be the kill: a reading of the mixture decides, and this says how far it is from one. */
export function temperVerdict(combined: number, rows: readonly HoldRow[]): TemperVerdict {
  const lowest = rows.reduce<HoldRow | null>((low, row) => (low && low.celsius <= row.celsius ? low : row), null)
  return { combined, lowest, short: lowest ? Math.max(0, lowest.celsius - combined) : 0 }
}

/** kJ/K is enough as a weight; J/K here. */
function heatCapacity(argument: string, { kg, celsius, composition }: Pour): number {
  if (!(kg > 0) || !Number.isFinite(kg)) throw new RangeError(`${argument}.kg: ${kg} is not above 0`)
  return kg * mixtureProperties(composition, celsius).specificHeat
}
