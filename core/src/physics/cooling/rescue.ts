import { MINUTE, type Instant } from '../../ground/instant'
import { lnExcess } from '../conduction/response'
import { normalQuantile, normalShare } from '../projection/normal'
import { expectedAt, type Posterior } from '../projection/posterior'
import type { Prospect } from './prospect'

/** A gate that is still open: at or under `level` °C by `deadline`. */
export interface Gate {
  level: number
  deadline: Instant
}

/** With this probability an action still makes its gate. */
export const SURE = 0.95

/** Of what is not known exactly, taken where each has the same share. */
const NODES = [0.05, 0.15, 0.25, 0.35, 0.45, 0.55, 0.65, 0.75, 0.85, 0.95].map(normalQuantile)
const AROUND = [-1.22, 0, 1.22]

/** How likely a core makes a gate when at an instant it changes over to how it would cool then. */
export function makesIt(posterior: Posterior, then: Prospect, { level, deadline }: Gate, at: Instant): number {
  if (at >= deadline) return 0
  const { mean, spread } = expectedAt(posterior, at)
  const weights = then.bends.reduce((sum, { weight }) => sum + weight, 0)
  let share = 0
  for (const z of NODES) {
    const tauMs = then.scale.tauMinutes * MINUTE * Math.exp(z * then.scale.spread)
    for (const off of AROUND) {
      const around = then.surroundings.celsius + off * then.surroundings.spread
      if (around >= level) continue
      for (const { curve, weight } of then.bends) {
        // The warmest that still makes it.
        const warmest = around + (level - around) / Math.exp(lnExcess(curve, (deadline - at) / tauMs))
        share += (weight / weights) * normalShare((warmest - mean) / spread)
      }
    }
  }
  return share / (NODES.length * AROUND.length)
}

/**
 * The latest instant at which a change still makes a gate as surely as SURE asks; null where it does not even at once.
 * Waiting only ever costs: so it is found by halving, to the half minute.
 */
export function lastMoment(posterior: Posterior, then: Prospect, gate: Gate, now: Instant): Instant | null {
  if (makesIt(posterior, then, gate, now) < SURE) return null
  let [sure, late] = [now, gate.deadline]
  while (late - sure > MINUTE / 2) {
    const middle = (sure + late) / 2
    if (makesIt(posterior, then, gate, middle) >= SURE) sure = middle
    else late = middle
  }
  return Math.floor(sure)
}
