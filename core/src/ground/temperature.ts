/** The unit a temperature was typed or is shown in. Inside, every temperature is °C. */
export type TemperatureScale = 'C' | 'F'

/** A limit as its document prints it: both figures, which are seldom equal (135 °F is 57.22 °C, printed 57). */
export interface Degrees {
  c: number
  f: number
}

/** Which printed figure is compared: one of the two, or the stricter of both. */
export type CodeUnit = TemperatureScale | 'stricter'

/** A temperature exactly as a person typed it. */
export interface Typed {
  value: number
  unit: TemperatureScale
}

/** Colder or hotter than this no kitchen instrument reads, °C. */
export const COLDEST = -90
export const HOTTEST = 400

/** Two temperatures closer than this are the same reading, °C: far under any instrument's last digit. */
export const SAME_DEGREE = 1e-6

/** °C to °F. Throws RangeError outside -90..400 °C. */
export function toFahrenheit(celsius: number): number {
  return (requireTemperature('celsius', celsius) * 9) / 5 + 32
}

/** °F to °C. Throws RangeError outside -130..752 °F. */
export function toCelsius(fahrenheit: number): number {
  const celsius = ((fahrenheit - 32) * 5) / 9
  if (!isTemperature(celsius))
    throw new RangeError(`fahrenheit: ${fahrenheit} is not a temperature from -130 to 752 °F`)
  return celsius
}

/** What was typed, in °C. */
export function celsiusOf(typed: Typed): number {
  return typed.unit === 'C' ? requireTemperature('typed', typed.value) : toCelsius(typed.value)
}

/** °C in the unit asked for. */
export function inUnit(celsius: number, unit: TemperatureScale): number {
  return unit === 'C' ? celsius : toFahrenheit(celsius)
}

/**
 * The °C that a printed limit is compared as.
 * @param sense 'reach' for a temperature to get to, to hold hot, or where a cooling clock starts (stricter = higher);
 *   'under' for one to get or stay under (stricter = lower).
 */
export function comparedAs(printed: Degrees, unit: CodeUnit, sense: 'reach' | 'under'): number {
  const fahrenheit = toCelsius(printed.f)
  if (unit === 'C') return printed.c
  if (unit === 'F') return fahrenheit
  return sense === 'reach' ? Math.max(printed.c, fahrenheit) : Math.min(printed.c, fahrenheit)
}

/**
 * Rounds to tenths for display, never in the kitchen's favour: a temperature to reach down, one to stay under up.
 * A value within SAME_DEGREE of a tenth is that tenth.
 */
export function roundAgainst(value: number, sense: 'reach' | 'under'): number {
  const tenths = value * 10
  const nearest = Math.round(tenths)
  if (Math.abs(tenths - nearest) < SAME_DEGREE * 10) return nearest / 10
  return (sense === 'reach' ? Math.floor(tenths) : Math.ceil(tenths)) / 10
}

/** The value itself when it is a possible temperature in °C; otherwise RangeError that names the argument. */
export function requireTemperature(argument: string, celsius: number): number {
  if (!isTemperature(celsius)) {
    throw new RangeError(`${argument}: ${celsius} is not a temperature from ${COLDEST} to ${HOTTEST} °C`)
  }
  return celsius
}

function isTemperature(celsius: number): boolean {
  return Number.isFinite(celsius) && celsius >= COLDEST && celsius <= HOTTEST
}
