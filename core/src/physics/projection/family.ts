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
    ...BIOTS.flatMap((biot) => {
      const centre = centreOf(biot)
      return DEPTH_SHARES.map((share) => ({ curve: bend(centre, share), weight: 1 }))
    }),
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

function bend(centre: (s: number) => number, share: number): Curve {
  return curveOf((s) => Math.max(0, centre(share * s)) * Math.max(0, centre(((1 - share) * s) / 2)) ** 2)
}

/** The excess in the middle of a slab against s, the time that its slowest mode counts by. */
function centreOf(biot: number): (s: number) => number {
  const modes = slabModes(biot, biot)
  const slowest = modes[0]!.rate
  const terms = modes.map(({ rate, weight, shape }) => ({ rate: rate / slowest, share: weight * shape(0.5) }))
  return (s) => {
    let sum = 0
    for (const { rate, share } of terms) {
      const left = Math.exp(-rate * s)
      // The slowest first: from the first that has gone, all have.
      if (left < GONE) break
      sum += share * left
    }
    return sum
  }
}

/** What a mode adds then is below the last place of the sum. */
const GONE = 1e-17

/** How steeply ln of the excess falls at s: -1 late, 0 while it has not bent yet. */
export function slopeAt(curve: Curve, s: number): number {
  const half = 0.025
  return (lnExcess(curve, s + half) - lnExcess(curve, Math.max(0, s - half))) / (half + Math.min(s, half))
}
