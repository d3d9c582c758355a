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

/** A mould, a cup, a glass: so little of it each that pieces alike are one lot, litres. House figure. */
export const PIECE_LITRES = 0.5
/** A piece is filled so far, as a share of its height. House figure. */
const PIECE_FILLED = 0.9

/** Whether a vessel is a cup or a mould, of which a batch fills many. */
export function isPiece(inside: Inside): boolean {
  return floorArea(inside) * inside.height * 1000 <= PIECE_LITRES + 1e-9
}

/** How many pieces so many litres fill. */
export function piecesFor(litres: number, inside: Inside): number {
  return pansFor(litres, inside, inside.height * PIECE_FILLED)
}

/** What stands `depth` deep in it. */
export function filledTo(inside: Inside, depth: number): Shape {
  return inside.kind === 'round'
    ? { kind: 'cylinder', radius: inside.diameter / 2, height: depth }
    : { kind: 'brick', length: inside.length, width: inside.width, height: depth }
}
