import { bessel, rootBetween as root } from '../physics/conduction/bessel'

/** Closed answers of heat conduction, for checking what is computed step by step. Lengths m, times s. */

/** Excess temperature in the middle of a slab of half thickness `half`, of its first excess: ζ tan ζ = Bi. */
export function slabCentre(biot: number, fourier: number): number {
  return sum(fourier, (n) => {
    const zeta = root((x) => x * Math.sin(x) - biot * Math.cos(x), (n - 1) * Math.PI, (n - 1) * Math.PI + Math.PI / 2)
    return { zeta, weight: (4 * Math.sin(zeta)) / (2 * zeta + Math.sin(2 * zeta)) }
  })
}

/** The same at the axis of a long cylinder: ζ J1(ζ) / J0(ζ) = Bi. */
export function cylinderAxis(biot: number, fourier: number): number {
  const f = (x: number) => x * bessel(1, x) - biot * bessel(0, x)
  const zeros = [0, 3.8317, 7.0156, 10.1735, 13.3237, 16.4706, 19.6159, 22.7601, 25.9037]
  return sum(fourier, (n) => {
    const zeta = root(f, zeros[n - 1]! + 1e-9, zeros[n]!)
    const j0 = bessel(0, zeta)
    const j1 = bessel(1, zeta)
    return { zeta, weight: (2 / zeta) * (j1 / (j0 * j0 + j1 * j1)) }
  })
}

function sum(fourier: number, term: (n: number) => { zeta: number; weight: number }): number {
  let all = 0
  for (let n = 1; n <= 8; n++) {
    const { zeta, weight } = term(n)
    all += weight * Math.exp(-zeta * zeta * fourier)
  }
  return all
}
