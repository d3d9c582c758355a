import type { Degrees } from '../../ground/temperature'
import { ruleSets } from './ruleSets'
import { schedules } from './schedules'

/**
 * The figure that a document prints in °F beside one in °C, as 155 beside 68: what a reader of °F is shown, and never a
 * conversion. null where no rule set and no schedule prints that °C.
 */
export function printedFahrenheit(celsius: number): number | null {
  return PRINTED.get(celsius) ?? null
}

/** Every pair of figures that is printed, °C to °F. */
export const PRINTED: ReadonlyMap<number, number> = new Map(degreesIn([ruleSets, schedules]).map(({ c, f }) => [c, f]))

function degreesIn(value: unknown): Degrees[] {
  if (typeof value !== 'object' || value === null) return []
  const { c, f } = value as Partial<Degrees>
  if (typeof c === 'number' && typeof f === 'number') return [{ c, f }]
  return Object.values(value).flatMap(degreesIn)
}
