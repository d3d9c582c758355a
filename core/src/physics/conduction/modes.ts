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
  /** Of its shape over the volume. */
  mean: number
}

/** Nothing passes through its faces: it stays as it is. */
const STILL: Mode = { rate: 0, weight: 1, shape: () => 1, mean: 1 }

/** Enough from Fo 0.002 on. */
const TERMS = 14

/**
 * A slab between two faces, with the Biot number of each, of the whole thickness: the roots of
 * (ζ² - B1·B2) sin ζ = (B1 + B2) ζ cos ζ. Carslaw and Jaeger, Conduction of Heat in Solids, 3.10.
 * @param before the excess at the start against x; everywhere 1 unless it is given
 */
export function slabModes(first: number, last: number, before?: (x: number) => number): Mode[] {
  if (first + last < 1e-9) return [STILL]
  const there = before && PLACES.map(before)
  return Array.from({ length: TERMS }, (_, n) => {
    const zeta = rootBetween(
      (x) => (x * x - first * last) * Math.sin(x) - (first + last) * x * Math.cos(x),
      Math.max(1e-9, n * Math.PI),
      (n + 1) * Math.PI,
    )
    const lean = first / zeta
    const shape = (x: number) => Math.cos(zeta * x) + lean * Math.sin(zeta * x)
    const mean = (Math.sin(zeta) + lean * (1 - Math.cos(zeta))) / zeta
    return { rate: zeta * zeta, weight: share(shape, there), shape, mean }
  })
}

/**
 * A long cylinder from its axis to its face, with the Biot number of its radius: ζ J1(ζ) = Bi J0(ζ).
 * @param before the Biot number until now, long enough for only the slowest mode to be left; it started even unless given
 */
export function cylinderModes(biot: number, before?: number): Mode[] {
  if (biot < 1e-9) return [STILL]
  const settled = before === undefined || before < 1e-9 ? 0 : cylinderRoot(0, before)
  return Array.from({ length: ROUND_TERMS }, (_, n) => {
    const zeta = cylinderRoot(n, biot)
    const shape = (x: number) => bessel(0, zeta * x)
    return { rate: zeta * zeta, weight: roundShare(zeta, settled), shape, mean: (2 * bessel(1, zeta)) / zeta }
  })
}

function cylinderRoot(n: number, biot: number): number {
  return rootBetween((x) => x * bessel(1, x) - biot * bessel(0, x), j1Zero(n) + 1e-9, j1Zero(n + 1))
}

/** ∫ x J0(βx) J0(ζx) dx / ∫ x J0(ζx)² dx from 0 to 1, both closed: Abramowitz and Stegun 11.3.29 and 11.4.5; β = 0: even. */
function roundShare(zeta: number, beta: number): number {
  const [at0, at1] = [bessel(0, zeta), bessel(1, zeta)]
  const own = (at0 * at0 + at1 * at1) / 2
  const apart = zeta * zeta - beta * beta
  // As good as the same mode: all of it is there.
  if (Math.abs(apart) < 1e-7) return 1
  return (zeta * at1 * bessel(0, beta) - beta * at0 * bessel(1, beta)) / apart / own
}

const ROUND_TERMS = 9

/** The n-th zero of J1, 0 first: McMahon's expansion, good to 1e-3; only to part the roots of another function. */
function j1Zero(n: number): number {
  if (n === 0) return 0
  const b = (n + 0.25) * Math.PI
  return b - 3 / (8 * b) + 3 / (128 * b ** 3)
}

/** How much of a mode is in what was there before: ∫ before·shape / ∫ shape²; Simpson's rule. */
function share(shape: (x: number) => number, before: readonly number[] | undefined) {
  let own = 0
  let all = 0
  for (let i = 0; i <= PARTS; i++) {
    const weight = i === 0 || i === PARTS ? 1 : i % 2 ? 4 : 2
    const here = shape(PLACES[i]!)
    own += weight * here * (before ? before[i]! : 1)
    all += weight * here * here
  }
  return own / all
}

const PARTS = 60
const PLACES = Array.from({ length: PARTS + 1 }, (_, i) => i / PARTS)
