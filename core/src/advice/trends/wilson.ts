/** 95 %, both sides. */
const Z = 1.959964

/**
 * The range that a share lies in with 95 % confidence, from 0 to 1, by Wilson's score interval (E. B. Wilson, Journal of
 * the American Statistical Association 22, 1927). Of few it is wide: so few say little. RangeError for counts that are none.
 */
export function wilson(of: number, all: number): { low: number; high: number } {
  if (!(Number.isInteger(of) && Number.isInteger(all) && of >= 0 && all >= of)) throw new RangeError(`${of} of ${all}`)
  if (all === 0) return { low: 0, high: 1 }
  const share = of / all
  const square = Z * Z
  const middle = share + square / (2 * all)
  const half = Z * Math.sqrt((share * (1 - share)) / all + square / (4 * all * all))
  const whole = 1 + square / all
  return { low: of === 0 ? 0 : (middle - half) / whole, high: of === all ? 1 : (middle + half) / whole }
}
