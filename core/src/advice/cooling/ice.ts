import { mixtureProperties } from '../../physics/material/properties'
import type { Load } from './choice'
import type { Cooldown } from '../../physics/cooling/simulateCooldown'

/** Heat that melting ice takes up, kJ/kg. */
export const ICE_MELTS = 333.55

/** A bath in a warm kitchen melts by itself too: so much more. House figure. */
export const BATH_WARMS = 1.2

/** kg of ice that a product melts while it stands in a bath for so many minutes, with what the kitchen adds. */
export function iceMelted(
  { kilograms, composition }: Pick<Load, 'kilograms' | 'composition'>,
  { at, mean }: Cooldown,
  minutes: number,
): number {
  const last = at.findLastIndex((seconds) => seconds <= minutes * 60)
  if (minutes <= 0 || last <= 0) return 0
  const { specificHeat } = mixtureProperties(composition, 35)
  const kilojoules = (kilograms * specificHeat * (mean[0]! - mean[last]!)) / 1000
  return (BATH_WARMS * kilojoules) / ICE_MELTS
}

/** Share of a unit's power that is left over for hot product: the rest keeps it cold with its door in use. House figure. */
export const UNIT_SPARE = 0.5

/**
 * Kilograms of a hot product that a unit takes before it gets more heat than it takes out, and its air goes over its
 * limit.
 * @param watts the unit's stated power
 * @param perKilogram the most heat that a kilogram gives off over a quarter of an hour, W
 */
export function unitTakes(watts: number, perKilogram: number): number {
  return perKilogram <= 0 ? Infinity : (UNIT_SPARE * watts) / perKilogram
}
