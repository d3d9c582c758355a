import { toCelsius, toFahrenheit, type TemperatureScale } from '@logged-thermal/core'

/** What has been tapped or typed of a temperature so far. */
export type Entered =
  | { kind: 'nothing' }
  /** A whole degree; the tenth is next. `minus` keeps -0 apart from 0. */
  | { kind: 'degree'; degree: number; minus: boolean }
  /** Characters from a keyboard. */
  | { kind: 'typed'; text: string }

export const NOTHING: Entered = { kind: 'nothing' }

/** The decades a board offers: the lowest tens of each row, hottest last. */
export function decades(scale: TemperatureScale): number[] {
  const [least, most] = scale === 'C' ? [-30, 120] : [-20, 250]
  return Array.from({ length: (most - least) / 10 + 1 }, (_, i) => least + i * 10)
}

/** The three decades in view, hottest on top, centred on a value. */
export function inView(scale: TemperatureScale, centre: number, rows: number): number[] {
  const all = decades(scale)
  const own = Math.floor(centre / 10) * 10
  const index = Math.max(0, all.indexOf(own))
  const from = Math.max(0, Math.min(all.length - rows, index - Math.floor((rows - 1) / 2)))
  return all.slice(from, from + rows).reverse()
}

/** Which tens the rows lie around, and after which value that was settled. */
export interface Around {
  scale: TemperatureScale
  value: number
  last: number
}

/**
 * Rows move only when they are asked for, or when the last value is on none of them; never while a degree is tapped and
 * its tenth is not: nothing moves under a finger. The same object where they stay.
 */
export function aroundNext(
  around: Around,
  { scale, last, rows, half }: { scale: TemperatureScale; last: number; rows: number; half: boolean },
): Around {
  if (around.scale !== scale) return { scale, value: last, last }
  if (around.last === last || half) return around
  const seen = inView(scale, around.value, rows).includes(Math.floor(last / 10) * 10)
  return { scale, value: seen ? around.value : last, last }
}

/** The degrees of a decade, in the order of the keys. Below zero a row runs -10 to -19, and -0 to -9 stands under 0. */
export function degreesOf(decade: number): { degree: number; minus: boolean }[] {
  if (decade >= 0) return Array.from({ length: 10 }, (_, i) => ({ degree: decade + i, minus: false }))
  const tens = -(decade + 10)
  return Array.from({ length: 10 }, (_, i) => ({ degree: -(tens + i), minus: true }))
}

/** The value of a degree and its tenth. */
export function withTenth({ degree, minus }: { degree: number; minus: boolean }, tenth: number): number {
  const size = (Math.abs(degree) * 10 + tenth) / 10
  return minus ? -size : size
}

/** A typed text as a number; null when it is none. Both decimal signs are taken. */
export function numberOf(text: string): number | null {
  const plain = text.trim().replace(',', '.')
  return /^-?\d+(\.\d+)?$/.test(plain) ? Number(plain) : null
}

/** A degree in °C, for its colour. */
export function celsiusOfDegree(degree: number, scale: TemperatureScale): number {
  return scale === 'C' ? degree : toCelsius(degree)
}

export function shownIn(celsius: number, scale: TemperatureScale): number {
  return scale === 'C' ? celsius : toFahrenheit(celsius)
}
