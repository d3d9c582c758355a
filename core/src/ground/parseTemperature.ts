import { celsiusOf, type Typed, type TemperatureScale } from './temperature'

/** What was made of a temperature as text. */
export type Parsed =
  | { ok: true; typed: Typed }
  /** A bare number: outside a board that shows its unit it could be either. */
  | { ok: false; problem: 'no unit'; value: number }
  | { ok: false; problem: 'not a temperature' }

/** '70 °C', '158F', '70,5 c': a number with its unit. A bare number is not a temperature yet. */
export function parseTemperature(text: string): Parsed {
  const match = /^\s*(-?\d+(?:[.,]\d+)?)\s*°?\s*([cf])?\s*$/i.exec(text)
  if (!match) return { ok: false, problem: 'not a temperature' }
  const value = Number(match[1]!.replace(',', '.'))
  const unit = match[2]?.toUpperCase() as TemperatureScale | undefined
  if (!unit) return { ok: false, problem: 'no unit', value }
  const typed = { value, unit }
  return isKitchen(typed, EVERY_KITCHEN) ? { ok: true, typed } : { ok: false, problem: 'not a temperature' }
}

/** The last reading of the same pot, when one is at hand. */
export interface Neighbour {
  celsius: number
  agoMs: number
}

/**
 * The other unit, when what was typed is plausible only in that: 165 on a °C board is no pan, in °F it is; 68 on a °F
 * board seconds after 66 °C is not 20 °C. null when there is nothing to ask.
 */
export function unitDoubt(typed: Typed, last: Neighbour | null): TemperatureScale | null {
  const other: Typed = { value: typed.value, unit: typed.unit === 'C' ? 'F' : 'C' }
  if (!isKitchen(typed, PAN)) return isKitchen(other, PAN) ? other.unit : null
  if (!last || last.agoMs > SOON_MS || !isKitchen(other, PAN)) return null
  const [jump, otherwise] = [typed, other].map((each) => Math.abs(celsiusOf(each) - last.celsius)) as [number, number]
  return jump > NO_PAN_JUMPS && otherwise < NEAR ? other.unit : null
}

/** What a kitchen's instruments can read at all, and what a pan, an ice bath or a freezer is, °C. */
const EVERY_KITCHEN = { least: -90, most: 400 }
const PAN = { least: -40, most: 130 }
/** Within this time a pan does not change by so much, and stays so near. House figures. */
const SOON_MS = 10 * 60_000
const NO_PAN_JUMPS = 30
const NEAR = 12

function isKitchen(typed: Typed, { least, most }: { least: number; most: number }): boolean {
  const celsius = typed.unit === 'C' ? typed.value : ((typed.value - 32) * 5) / 9
  return celsius >= least && celsius <= most
}
