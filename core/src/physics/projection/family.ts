import { curveOf, lnExcess, type Curve } from '../conduction/response'
import { slabModes } from '../conduction/modes'

/** A way to bend, and how often it is met. */
export interface Bend {
  curve: Curve
  weight: number
}

/**
 * Ways in which a core can bend into its exponential, for a product of which nothing is known: stirred, which does not
 * bend, and pots from thin to thick, from wide to tall. A round one lies within 1 % of a square one.
 */
export function bends(): readonly Bend[] {
  known ??= [
    STRAIGHT,
    ...BIOTS.flatMap((biot) => DEPTH_SHARES.map((share) => ({ curve: bend(biot, share), weight: 1 }))),
  ]
  return known
}

let known: Bend[] | null = null

/** Of what is stirred: it does not bend. */
export const STRAIGHT: Bend = { curve: curveOf((s) => Math.exp(-s)), weight: 1 }

/** Of the whole thickness, both faces alike. */
const BIOTS = [0.8, 3, 12, 150]
/** How much of the late rate is due to the depth; the rest is shared by length and width. */
const DEPTH_SHARES = [0.97, 0.88, 0.75, 0.6, 0.4]

function bend(biot: number, share: number): Curve {
  const modes = slabModes(biot, biot)
  const slowest = modes[0]!.rate
  const centre = (s: number) =>
    modes.reduce((sum, { rate, weight, shape }) => sum + weight * shape(0.5) * Math.exp((-rate * s) / slowest), 0)
  return curveOf((s) => Math.max(0, centre(share * s)) * Math.max(0, centre(((1 - share) * s) / 2)) ** 2)
}

/** How steeply ln of the excess falls at s: -1 late, 0 while it has not bent yet. */
export function slopeAt(curve: Curve, s: number): number {
  const half = 0.025
  return (lnExcess(curve, s + half) - lnExcess(curve, Math.max(0, s - half))) / (half + Math.min(s, half))
}
