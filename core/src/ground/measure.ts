/** How much of something is held. */
export interface Measure {
  value: number
  unit: MeasureUnit
}

export const MEASURE_UNITS = ['g', 'ml', 'portion', 'piece'] as const
export type MeasureUnit = (typeof MEASURE_UNITS)[number]

/** Less than this is nothing: a scale and a count never agree to the gram. */
const NOTHING = 0.05

/** What is left of an amount after some of it went, in its unit; never under 0. RangeError where units differ. */
export function less(measure: Measure, gone: readonly Measure[]): Measure {
  const other = gone.find(({ unit }) => unit !== measure.unit)
  if (other) throw new RangeError(`gone: ${other.value} ${other.unit} cannot be taken from ${measure.unit}`)
  const left = measure.value - gone.reduce((sum, { value }) => sum + value, 0)
  return { ...measure, value: left < NOTHING ? 0 : Math.round(left * 100) / 100 }
}
