import { bessel, rootBetween } from './bessel'

/**
 * One direction of a product as a sum of modes: the excess at x (0 to 1 of its length) and Fourier number Fo (of that
 * length) is Σ weight · shape(x) · exp(-rate · Fo).
 */
export interface Mode {
  /** ζ². */
  rate: number
  weight: number
  shape: (x: number) => number
}

/** Enough from Fo 0.002 on. */
const TERMS = 14

/**
 * A slab between two faces, with the Biot number of each, of the whole thickness: the roots of
 * (ζ² - B1·B2) sin ζ = (B1 + B2) ζ cos ζ. Carslaw and Jaeger, Conduction of Heat in Solids, 3.10.
 * @param before the excess at the start against x; everywhere 1 unless it is given
 */
export function slabModes(first: number, last: number, before?: (x: number) => number): Mode[] {
  if (first + last < 1e-9) return [{ rate: 0, weight: 1, shape: () => 1 }]
  return Array.from({ length: TERMS }, (_, n) => {
    const zeta = rootBetween(
      (x) => (x * x - first * last) * Math.sin(x) - (first + last) * x * Math.cos(x),
      Math.max(1e-9, n * Math.PI),
      (n + 1) * Math.PI,
    )
    const lean = first / zeta
    const shape = (x: number) => Math.cos(zeta * x) + lean * Math.sin(zeta * x)
    return { rate: zeta * zeta, weight: share(shape, before, () => 1), shape }
  })
}

/** A long cylinder from its axis to its face, with the Biot number of its radius: ζ J1(ζ) = Bi J0(ζ). */
export function cylinderModes(biot: number, before?: (x: number) => number): Mode[] {
  if (biot < 1e-9) return [{ rate: 0, weight: 1, shape: () => 1 }]
  return Array.from({ length: ROUND_TERMS }, (_, n) => {
    const f = (x: number) => x * bessel(1, x) - biot * bessel(0, x)
    const zeta = rootBetween(f, j1Zero(n) + 1e-9, j1Zero(n + 1))
    const shape = (x: number) => bessel(0, zeta * x)
    return { rate: zeta * zeta, weight: share(shape, before, (x) => x), shape }
  })
}

const ROUND_TERMS = 9

/** The n-th zero of J1, 0 first: McMahon's expansion, good to 1e-3; only to part the roots of another function. */
function j1Zero(n: number): number {
  if (n === 0) return 0
  const b = (n + 0.25) * Math.PI
  return b - 3 / (8 * b) + 3 / (128 * b ** 3)
}

/** How much of a mode is in what was there before: ∫ before·shape / ∫ shape², weighted for the geometry; Simpson's rule. */
function share(shape: (x: number) => number, before: ((x: number) => number) | undefined, over: (x: number) => number) {
  let own = 0
  let all = 0
  for (let i = 0; i <= PARTS; i++) {
    const x = i / PARTS
    const weight = (i === 0 || i === PARTS ? 1 : i % 2 ? 4 : 2) * over(x)
    const here = shape(x)
    own += weight * here * (before ? before(x) : 1)
    all += weight * here * here
  }
  return own / all
}

const PARTS = 60
