import type { Check } from './checksFor'
import type { Method, StepKind } from '../method/method'

/** How a method should go, as a picture: not a forecast, no clock in it. */
export interface ExpectedStep {
  key: string
  kind: StepKind
  /** Share of the whole width, 0 to 1. */
  from: number
  to: number
  /** Temperature as it ends, °C. */
  celsius: number
}

/** Where each kind of step usually leaves the pot, °C; a target of the method's own stands instead. */
const ENDS: Record<StepKind, number | null> = {
  mise: 20,
  eggs: 18,
  infuse: 75,
  'heat dairy': 84,
  temper: 58,
  combine: 24,
  cook: 80,
  'boil out': 98,
  bake: 78,
  brown: null,
  strain: null,
  whip: 14,
  fold: 16,
  'add after heat': null,
  cool: 4,
  set: 4,
  churn: -6,
  freeze: -18,
  assemble: 8,
  reheat: 78,
  hold: 4,
  'serve at once': null,
}

/** Wide where it takes its time, narrow where only hands are. */
const WIDTHS: Partial<Record<StepKind, number>> = {
  cool: 4,
  hold: 2,
  set: 1.4,
  cook: 1.6,
  'boil out': 1.4,
  bake: 1.6,
  'heat dairy': 1.4,
}

/** Room that one gate takes in a step, in the units of `WIDTHS`. */
const GATE = 1.3

/** The steps of a method side by side, each with the temperature it ends at and room for its gates. */
export function expectedSteps(
  method: Pick<Method, 'steps' | 'instructions'>,
  checks: readonly Check[],
): ExpectedStep[] {
  const widths = method.steps.map(({ key, kind }) => Math.max(WIDTHS[kind] ?? 1, GATE * gatesAt(key, checks).length))
  const whole = widths.reduce((sum, width) => sum + width, 0)
  let at = 0
  let celsius = 16
  return method.steps.map(({ key, kind }, i) => {
    const target = method.instructions[key]?.target
    const ends = target ? (target.from.c + target.to.c) / 2 : ENDS[kind]
    // Pouring one thing into another cools it only from the heat; cold, it stays cold.
    celsius = ends ?? celsius
    const from = at
    at += widths[i]! / whole
    return { key, kind, from, to: at, celsius }
  })
}

/** The gates of a step: what a reading can prove there. */
export function gatesAt(step: string, checks: readonly Check[]): Check[] {
  const gates = ['hold', 'equivalent', 'reach']
  return checks.filter(
    ({ step: at, limit: { key, rule } }) => at === step && key !== 'rework' && gates.includes(rule.kind),
  )
}
