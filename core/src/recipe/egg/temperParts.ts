import type { Composition } from '../../physics/material/properties'
import type { EggPart } from '../ingredient/eggGrams'
import { mixed } from '../ingredient/mixed'
import { ingredientOf } from '../method/facts'
import { heatPlan } from '../method/heatPlan'
import type { Amount, Method } from '../method/method'

/** The two sides of a tempering: what is poured on, and what is poured. Kilograms. */
export interface TemperParts {
  base: { kg: number; composition: Composition; eggs: EggPart[] }
  hot: { kg: number; composition: Composition }
}

/**
 * The masses that meet when this method is tempered: the eggs with what is beaten into them, and the hot liquid. null
 * where nothing is poured on egg.
 * @param factor how many times over it is made
 */
export function temperParts(method: Method, factor: number): TemperParts | null {
  const { combined } = heatPlan(method)
  if (combined === 'batch started') return null
  const kindOf = ({ step }: Amount) => method.steps.find(({ key }) => key === step)?.kind
  const heated = method.amounts.filter((amount) => ['heat dairy', 'infuse', 'mise'].includes(kindOf(amount) ?? ''))
  const cold = method.amounts.filter((amount) => amount.step === combined.step || kindOf(amount) === 'eggs')
  const eggs = cold.flatMap((amount) => ingredientOf(amount, method)?.egg ?? [])
  const hot = mixedOf(heated, method, factor)
  const base = mixedOf(cold, method, factor)
  return hot && base && eggs.length ? { base: { ...base, eggs: [...new Set(eggs)] }, hot } : null
}

function mixedOf(amounts: readonly Amount[], method: Method, factor: number) {
  const parts = amounts.flatMap((amount) => {
    const composition = ingredientOf(amount, method)?.composition
    return composition && amount.grams ? [{ grams: amount.grams, composition }] : []
  })
  const composition = mixed(parts)
  const grams = parts.reduce((sum, part) => sum + part.grams, 0)
  return composition ? { kg: (grams * factor) / 1000, composition } : null
}
