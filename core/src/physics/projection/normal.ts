/** The share of a normal distribution under z: Abramowitz and Stegun 26.2.17, good to 1e-7. */
export function normalShare(z: number): number {
  if (z < 0) return 1 - normalShare(-z)
  if (z > 8) return 1
  const t = 1 / (1 + 0.2316419 * z)
  const tail = t * (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))))
  return 1 - 0.3989422804014327 * Math.exp((-z * z) / 2) * tail
}

/** The z under which a share lies: Acklam's rational approximation, good to 1e-9 relative; between ±8. */
export function normalQuantile(share: number): number {
  if (share <= 0) return -8
  if (share >= 1) return 8
  if (share > 0.5) return -normalQuantile(1 - share)
  if (share < 0.02425) {
    const q = Math.sqrt(-2 * Math.log(share))
    return Math.max(-8, polynomial(C, q) / (polynomial(D, q) * q + 1))
  }
  const q = share - 0.5
  const r = q * q
  return (polynomial(A, r) * q) / (polynomial(B, r) * r + 1)
}

const A = [
  -39.69683028665376, 220.9460984245205, -275.9285104469687, 138.357751867269, -30.66479806614716, 2.506628277459239,
]
const B = [-54.47609879822406, 161.5858368580409, -155.6989798598866, 66.80131188771972, -13.28068155288572]
const C = [
  -0.007784894002430293, -0.3223964580411365, -2.400758277161838, -2.549732539343734, 4.374664141464968,
  2.938163982698783,
]
const D = [0.007784695709041462, 0.3224671290700398, 2.445134137142996, 3.754408661907416]

function polynomial(coefficients: readonly number[], x: number): number {
  let sum = 0
  for (const coefficient of coefficients) sum = sum * x + coefficient
  return sum
}
