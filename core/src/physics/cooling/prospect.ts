import { type Composition, mixtureProperties } from '../material/properties'
import { type Cover, facesIn, type Wall } from './faces'
import type { Shape } from '../conduction/grid'
import { responseOf, stirredTau, type Faces } from '../conduction/response'
import { bends, STRAIGHT, type Bend } from '../projection/family'
import { ANY_SCALE, type Surroundings, type TimeScale } from '../projection/posterior'
import { placeFigures, type Place } from './place'

/** What is cooled, in one vessel. */
export interface Product {
  /** Of the product, m. */
  shape: Shape
  composition: Composition
  wall: Wall
  /** Only the depth is known for certain. */
  guessed?: true
  /** So much of its mass is of a composition that nobody documented, 0 to 1; left out: none. */
  unsure?: number
}

/** How something will cool somewhere, before anything is read: towards what, how fast, how it bends. */
export interface Prospect {
  surroundings: Surroundings
  scale: TimeScale
  bends: readonly Bend[]
}

/** Between hot and cold: where the properties are taken. */
const MIDDLE_CELSIUS = 35
/** Depth as measured, and the composition of a recipe: of ln τ. */
const OWN_SPREAD = 0.08
const GUESSED_SPREAD = 0.2
/** Conductivity and heat capacity of a food that is rounded from ordinary tables: of ln τ, where all of it is. */
const UNSURE_SPREAD = 0.1

/**
 * How a product will cool in a place, from the closed answer of conduction with the range of its coefficients.
 * @param settled how it stood until now, where that was long enough for its profile to begin to settle
 */
export function prospectOf(product: Product, place: Place, cover: Cover, settled?: Faces): Prospect {
  const { shape, composition, wall } = product
  const { surroundings, stirEveryMinutes } = placeFigures[place]
  const material = mixtureProperties(composition, MIDDLE_CELSIUS)
  const at = (bound: 'least' | 'likely' | 'most', from?: Faces) => {
    const faces = facesIn(place, wall, cover, bound)
    if (stirEveryMinutes !== null)
      return { tauMinutes: stirredTau(shape, material, faces, stirEveryMinutes), curve: STRAIGHT.curve }
    return responseOf(shape, material, faces, from)
  }
  const [least, likely, most] = [at('least'), at('likely'), at('most')]
  // The range of a coefficient holds nearly all there is.
  const ofCoefficient = Math.log(least.tauMinutes / most.tauMinutes) / (2 * 1.96)
  const even = [least, likely, most].map(({ curve }, i) => ({ curve, weight: i === 1 ? 2 : 1 }))
  // A profile on its way to settle lies between an even one and a settled one.
  const known =
    settled && stirEveryMinutes === null ? [...even, { curve: at('likely', settled).curve, weight: 4 }] : even
  return {
    surroundings,
    scale: {
      tauMinutes: likely.tauMinutes,
      spread: Math.hypot(
        ofCoefficient,
        product.guessed ? GUESSED_SPREAD : OWN_SPREAD,
        UNSURE_SPREAD * (product.unsure ?? 0),
      ),
    },
    bends: known,
  }
}

/** Where nothing is known of what is cooled: only where it stands. */
export function prospectOfAnything(place: Place): Prospect {
  return { surroundings: placeFigures[place].surroundings, scale: ANY_SCALE, bends: bends() }
}

/**
 * The product of a mass that stands so deep, m, in a vessel of which only that is known: as wide as the mass asks, and
 * round.
 */
export function roundProduct(kilograms: number, depth: number, composition: Composition, wall: Wall): Product {
  const { density } = mixtureProperties(composition, MIDDLE_CELSIUS)
  const radius = Math.sqrt(kilograms / density / depth / Math.PI)
  return { shape: { kind: 'cylinder', radius, height: depth }, composition, wall }
}
