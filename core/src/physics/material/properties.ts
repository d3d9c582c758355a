/** Polynomials in T, °C: k W/(m·K), density kg/m³, specific heat kJ/(kg·K). */
interface Pure {
  k: readonly number[]
  density: readonly number[]
  heat: readonly number[]
}

type Part = 'water' | 'protein' | 'fat' | 'carbohydrate' | 'fibre' | 'ash'

const PURE: Record<Part, Pure> = {
  water: {
    k: [0.57109, 1.7625e-3, -6.7036e-6],
    density: [997.18, 3.1439e-3, -3.7574e-3],
    heat: [4.1762, -9.0864e-5, 5.4731e-6],
  },
  protein: {
    k: [0.17881, 1.1958e-3, -2.7178e-6],
    density: [1329.9, -0.5184],
    heat: [2.0082, 1.2089e-3, -1.3129e-6],
  },
  fat: {
    k: [0.18071, -2.7604e-4, -1.7749e-7],
    density: [925.59, -0.41757],
    heat: [1.9842, 1.4733e-3, -4.8008e-6],
  },
  carbohydrate: {
    k: [0.20141, 1.3874e-3, -4.3312e-6],
    density: [1599.1, -0.31046],
    heat: [1.5488, 1.9625e-3, -5.9399e-6],
  },
  fibre: {
    k: [0.18331, 1.2497e-3, -3.1683e-6],
    density: [1311.5, -0.36589],
    heat: [1.8459, 1.8306e-3, -4.6509e-6],
  },
  ash: { k: [0.32962, 1.4011e-3, -2.9069e-6], density: [2423.8, -0.28063], heat: [1.0926, 1.8896e-3, -3.6817e-6] },
}

const PARTS = Object.keys(PURE) as Part[]

/**
 * Conductivity W/(m·K), density kg/m³ and specific heat J/(kg·K) of a food without air, from its mass fractions, at a
 * temperature in °C. Specific heat by mass, 1/density by mass, conductivity by volume. Choi and Okos 1986, for -40 to
 * 150 °C; ice is not in it, so below freezing it is only good for what stays liquid.
 * RangeError when the fractions do not sum to 1 within 0.001, or the temperature is not from -90 to 400 °C.
 */
export function mixtureProperties(
  composition: Composition,
  celsius: number,
): { conductivity: number; density: number; specificHeat: number } {
  if (!Number.isFinite(celsius) || celsius < -90 || celsius > 400)
    throw new RangeError(`celsius: ${celsius} is not from -90 to 400`)
  const shares = PARTS.map((part) => ({ pure: PURE[part], share: composition[part] ?? 0 }))
  const sum = shares.reduce((all, { share }) => all + share, 0)
  if (!(Math.abs(sum - 1) <= 0.001) || shares.some(({ share }) => share < 0))
    throw new RangeError(`composition: mass fractions sum to ${sum}, not to 1`)
  const volumes = shares.map(({ pure, share }) => ({ pure, volume: share / at(pure.density, celsius) }))
  const volume = volumes.reduce((all, each) => all + each.volume, 0)
  return {
    conductivity: volumes.reduce((all, each) => all + (each.volume / volume) * at(each.pure.k, celsius), 0),
    density: sum / volume,
    specificHeat: 1000 * shares.reduce((all, { pure, share }) => all + share * at(pure.heat, celsius), 0),
  }
}

function at(polynomial: readonly number[], celsius: number): number {
  return polynomial.reduceRight((sum, coefficient) => sum * celsius + coefficient, 0)
}

/** Mass fractions of a food; they sum to 1. */
export interface Composition {
  water: number
  protein: number
  fat: number
  carbohydrate: number
  fibre?: number
  ash: number
}
