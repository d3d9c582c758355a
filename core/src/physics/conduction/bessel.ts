/**
 * Bessel functions of the first kind of order 0 and 1, by the midpoint rule on their integral: its integrand is periodic,
 * so the error is about J of twice the steps at x, below 1e-9 for x from 0 to 35.
 */
export function bessel(order: 0 | 1, x: number): number {
  const steps = Math.ceil(10 + 0.75 * x)
  const { theta, sine } = midpoints(steps)
  let sum = 0
  for (let i = 0; i < steps; i++) sum += cos(order * theta[i]! - x * sine[i]!)
  return sum / steps
}

const { cos } = Math

interface Midpoints {
  theta: Float64Array
  sine: Float64Array
}

const known: Midpoints[] = []

/** So many places between 0 and π, made once. */
function midpoints(steps: number): Midpoints {
  const there = known[steps]
  if (there) return there
  const theta = Float64Array.from({ length: steps }, (_, i) => (Math.PI * (i + 0.5)) / steps)
  return (known[steps] = { theta, sine: theta.map((angle) => Math.sin(angle)) })
}

/**
 * The root of a function between two places where its sign differs, to 1e-12 of the distance between them: interpolated,
 * truncated and projected (Oliveira and Takahashi, ACM Trans. Math. Software 47, 2020), in no more steps than halving and one.
 */
export function rootBetween(f: (x: number) => number, from: number, to: number): number {
  const [first, last] = [f(from), f(to)]
  const rising = first < last ? 1 : -1
  let [a, b] = [from, to]
  let [low, high] = [rising * first, rising * last]
  const close = CLOSE * (to - from)
  let most = close * MOST
  for (; b - a > 2 * close; most /= 2) {
    const middle = (a + b) / 2
    const straight = (high * a - low * b) / (high - low)
    const way = Math.sign(middle - straight)
    const cut = (0.2 / (to - from)) * (b - a) * (b - a)
    const nearer = cut <= Math.abs(middle - straight) ? straight + way * cut : middle
    const slack = most - (b - a) / 2
    const next = Math.abs(nearer - middle) <= slack ? nearer : middle - way * slack
    const here = rising * f(next)
    if (here > 0) [b, high] = [next, here]
    else if (here < 0) [a, low] = [next, here]
    else return next
  }
  return (a + b) / 2
}

const CLOSE = 1e-12
/** How wide the bracket may still be, at first, for halving alone to come that close with a step to spare. */
const MOST = 2 ** (Math.ceil(Math.log2(1 / (2 * CLOSE))) + 1)
