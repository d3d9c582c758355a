import type { Faces } from '../conduction/response'
import { placeFigures, type Place } from './place'

export const WALLS = ['steel', 'glass or ceramic', 'plastic'] as const
export type Wall = (typeof WALLS)[number]

export const COVERS: readonly Cover[] = ['open', 'film on the surface', 'lid']

/** Resistance of what lies between product and surroundings, m²·K/W: engineering figures; plastic is 2 mm of polypropylene. */
export const wallResistance: Record<Wall, number> = { steel: 0.00006, 'glass or ceramic': 0.004, plastic: 0.01 }
export const coverResistance: Record<Cover, number> = { open: 0, 'film on the surface': 0.0001, lid: 0.2 }

/**
 * What passes through each face of a product in a place: its convection, and wall or cover, in series, W/(m²·K).
 * Through the top of what stands in water nothing is reckoned: the air over it is warm.
 */
export function facesIn(place: Place, wall: Wall, cover: Cover, bound: 'least' | 'likely' | 'most' = 'likely'): Faces {
  const { coefficient, wet } = placeFigures[place]
  const through = (resistance: number) => 1 / (1 / coefficient[bound] + resistance)
  const sides = through(wallResistance[wall])
  return { top: wet ? 0 : through(coverResistance[cover]), side: sides, bottom: sides }
}

export type Cover = 'open' | 'film on the surface' | 'lid'
