import { MINUTE, projectCooling, simulateCooldown, type CooldownSetup, type Reading } from '@logged-thermal/core'

/** A deep tub of custard, 6 h in three phases, with properties that follow its composition. */
const SIX_HOURS: CooldownSetup = {
  shape: { kind: 'cylinder', radius: 0.13, height: 0.08 },
  properties: { composition: { water: 0.75, protein: 0.04, fat: 0.08, carbohydrate: 0.12, ash: 0.01 } },
  start: 75,
  phases: [
    { minutes: 30, surroundings: 22, top: 7, side: 7, bottom: 7 },
    { minutes: 90, surroundings: 1, top: 0, side: 150, bottom: 150 },
    { minutes: 240, surroundings: 4, top: 6, side: 6, bottom: 6 },
  ],
}

/** What a forecast and a simulation cost, and how far halving grid and step moves the crossings. For `npm run bench`. */
export function benchCooling(clock: () => number) {
  const few = trace(6, 20 * MINUTE)
  const many = trace(20_000, 500)
  return {
    fortyCurvesMs: best(clock, 3, () =>
      Array.from({ length: 40 }, (_, i) => simulateCooldown({ ...SIX_HOURS, start: 60 + i / 2 })),
    ),
    projectionMs: best(clock, 80, () => project(few)),
    longTraceMs: best(clock, 10, () => project(many)),
    simulationMs: best(clock, 5, () => simulateCooldown(SIX_HOURS)),
    refinement: Math.max(...[57, 40, 30].map((level) => Math.abs(passed(1, level) / passed(2, level) - 1))),
  }
}

function trace(count: number, every: number): Reading[] {
  return Array.from({ length: count }, (_, i) => {
    const at = i * every
    return { at, celsius: 2 + 60 * Math.exp(-at / (150 * MINUTE)), where: 'core' }
  })
}

function project(readings: Reading[]) {
  return projectCooling(readings, { surroundings: 2 }, [21, 5], readings.at(-1)!.at)
}

function best(clock: () => number, times: number, work: () => unknown): number {
  const took = Array.from({ length: times }, () => {
    const began = clock()
    work()
    return clock() - began
  })
  return took.sort((a, b) => a - b)[times >> 1]!
}

/** When a level is passed, s. */
function passed(finer: number, level: number): number {
  const { at, core } = simulateCooldown({ ...SIX_HOURS, every: 60 }, finer)
  const i = core.findIndex((celsius) => celsius <= level)
  return at[i - 1]! + ((core[i - 1]! - level) / (core[i - 1]! - core[i]!)) * (at[i]! - at[i - 1]!)
}
