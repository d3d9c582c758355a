/** Bessel functions of the first kind of order 0 and 1, by their integral: good to 1e-9 for x up to 35, for the integrand is periodic. */
export function bessel(order: 0 | 1, x: number): number {
  let sum = 0
  for (let i = 0; i < STEPS; i++) sum += cos(order * THETA[i]! - x * SINE[i]!)
  return sum / STEPS
}

const { cos } = Math
const STEPS = 56
const THETA = Float64Array.from({ length: STEPS }, (_, i) => (Math.PI * (i + 0.5)) / STEPS)
const SINE = THETA.map((theta) => Math.sin(theta))

/** The root of a function between two places where its sign differs. */
export function rootBetween(f: (x: number) => number, from: number, to: number): number {
  let [low, high] = [from, to]
  const rising = f(low) < f(high)
  for (let i = 0; i < 48; i++) {
    const middle = (low + high) / 2
    if (f(middle) < 0 === rising) low = middle
    else high = middle
  }
  return (low + high) / 2
}
