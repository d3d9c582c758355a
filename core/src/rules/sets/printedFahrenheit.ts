import type { Degrees } from '../../ground/temperature'
import type { RuleSet } from '../limit'
import { ruleSets } from './ruleSets'
import { schedules } from './schedules'

/**
 * The figure that a document prints in °F beside one in °C, as 155 beside 68: what a reader of °F is shown, and never a
 * conversion. null where no rule set and no schedule has that °C.
 */
export function printedFahrenheit(celsius: number): number | null {
  return PRINTED.get(celsius) ?? null
}

/** Every pair of figures, °C to °F: as printed where a document prints both, else the exact conversion of its °C. */
const PRINTED: ReadonlyMap<number, number> = new Map(
  [...setsThatPrint('C'), ...setsThatPrint('both'), schedules].flatMap(degreesIn).map(({ c, f }) => [c, f]),
)

function setsThatPrint(what: RuleSet['prints']): RuleSet[] {
  return Object.values(ruleSets).filter(({ prints }) => prints === what)
}

function degreesIn(value: unknown): Degrees[] {
  if (typeof value !== 'object' || value === null) return []
  const { c, f } = value as Partial<Degrees>
  if (typeof c === 'number' && typeof f === 'number') return [{ c, f }]
  return Object.values(value).flatMap(degreesIn)
}
