import type { Shape } from '../conduction/grid'
import type { Wall } from './faces'

/** Inside dimensions, m. */
export type Inside =
  | { kind: 'round'; diameter: number; height: number }
  | { kind: 'rectangular'; length: number; width: number; height: number }

/** A pot, tub or tray of this kitchen. */
export interface Vessel {
  name: string
  inside: Inside
  wall: Wall
}

export interface RegisteredVessel extends Vessel {
  /** Rated for contact with food. */
  food: boolean
  /** Rated for filling hot. */
  hotFill: boolean
}

/** From here on a filling is hot, °C: plastics that are not rated for it give off what they hold, or soften. House figure. */
export const HOT_FILL_FROM = 40

/** Why a product may not go into a vessel; null where it may. `celsius` null: nobody read it since the heat. */
export function fillRefusal(
  { food, hotFill }: Pick<RegisteredVessel, 'food' | 'hotFill'>,
  celsius: number | null,
): 'not for food' | 'not for hot' | null {
  if (!food) return 'not for food'
  return !hotFill && (celsius === null || celsius >= HOT_FILL_FROM) ? 'not for hot' : null
}

/** m². */
export function floorArea(inside: Inside): number {
  return inside.kind === 'round' ? (Math.PI * inside.diameter * inside.diameter) / 4 : inside.length * inside.width
}

/** How deep so many litres stand in each of so many vessels, m. */
export function depthOf(litres: number, inside: Inside, pans = 1): number {
  return litres / 1000 / pans / floorArea(inside)
}

/** How many vessels so many litres need to stand no deeper than `depth`, m, and not over the rim. */
export function pansFor(litres: number, inside: Inside, depth: number): number {
  return Math.max(1, Math.ceil(litres / 1000 / (floorArea(inside) * Math.min(depth, inside.height)) - 1e-9))
}

/** What stands `depth` deep in it. */
export function filledTo(inside: Inside, depth: number): Shape {
  return inside.kind === 'round'
    ? { kind: 'cylinder', radius: inside.diameter / 2, height: depth }
    : { kind: 'brick', length: inside.length, width: inside.width, height: depth }
}
