/**
 * What is out of the usual at a point, by the rules of the Western Electric Statistical Quality Control Handbook (1956): one
 * point beyond the limits; two of three beyond two thirds of the way to one of them; four of five beyond one third; eight
 * running on one side of the middle.
 */
export type Unusual = 'one beyond' | 'two of three' | 'four of five' | 'eight running'

export interface ChartPoint {
  value: number
  /** How far from the one before; null: the first. */
  range: number | null
  /** The rules that this point completes, and on which side of the middle. */
  unusual: { rule: Unusual; side: 'above' | 'below' }[]
}

/** A chart of individuals and moving ranges. */
export interface ControlChart {
  points: ChartPoint[]
  /** The middle of the first, and what is usual around it; null: too few to say. */
  usual: { middle: number; least: number; most: number; mostRange: number } | null
}

/** What is usual is learned from the first so many, and from no fewer than so few. */
const LEARNED_FROM = 20
const FEWEST = 8
/** Three standard deviations in mean moving ranges of two, and the upper limit of these: NIST/SEMATECH e-Handbook, 6.3.2.2. */
const THREE_SIGMA = 2.66
const RANGE_MOST = 3.267

/** The chart of values in the order of time; each finite. */
export function controlChart(values: readonly number[]): ControlChart {
  const ranges = values.map((value, i) => (i === 0 ? null : Math.abs(value - values[i - 1]!)))
  const learned = values.slice(0, LEARNED_FROM)
  const usual = learned.length < FEWEST ? null : usualOf(learned)
  const points = values.map((value, i) => ({
    value,
    range: ranges[i]!,
    unusual: usual ? unusualAt(values, i, usual.middle, (usual.most - usual.middle) / 3) : [],
  }))
  return { points, usual }
}

function usualOf(values: readonly number[]) {
  const mean = (all: readonly number[]) => all.reduce((sum, each) => sum + each, 0) / all.length
  const middle = mean(values)
  const range = mean(values.slice(1).map((value, i) => Math.abs(value - values[i]!)))
  return {
    middle,
    least: middle - THREE_SIGMA * range,
    most: middle + THREE_SIGMA * range,
    mostRange: RANGE_MOST * range,
  }
}

/** Of the last so many, at least so many beyond so many standard deviations on the side of the last. */
const RULES: readonly { rule: Unusual; of: number; at: number; sigmas: number }[] = [
  { rule: 'one beyond', of: 1, at: 1, sigmas: 3 },
  { rule: 'two of three', of: 3, at: 2, sigmas: 2 },
  { rule: 'four of five', of: 5, at: 4, sigmas: 1 },
  { rule: 'eight running', of: 8, at: 8, sigmas: 0 },
]

function unusualAt(values: readonly number[], i: number, middle: number, sigma: number): ChartPoint['unusual'] {
  const off = values.slice(0, i + 1).map((value) => value - middle)
  const side = Math.sign(off[i]!)
  // What never varies has no side that is out of the usual.
  if (side === 0 || sigma === 0) return []
  return RULES.filter(({ of, at, sigmas }) => {
    if (i + 1 < of) return false
    const beyond = (each: number) => each * side > sigmas * sigma
    // The point itself completes it.
    return beyond(off[i]!) && off.slice(-of).filter(beyond).length >= at
  }).map(({ rule }) => ({ rule, side: side > 0 ? 'above' : 'below' }))
}
