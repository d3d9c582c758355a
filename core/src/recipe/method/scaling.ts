import { eggGrams, type EggPart, type EggSize } from '../ingredient/eggGrams'
import { ingredientOf } from './facts'
import type { Amount, Method } from './method'

/** How much of a method is made. */
export type Target =
  | { kind: 'factor'; factor: number }
  | { kind: 'portions'; portions: number }
  /** So many eggs, yolks or whites that are there to use up. */
  | { kind: 'eggs'; part: EggPart; count: number }
  | { kind: 'grams'; amount: string; grams: number }

/** The factor of a target. RangeError where the method does not say what it would need for it. */
export function factorOf(method: Method, target: Target, size: EggSize = 'US L'): number {
  switch (target.kind) {
    case 'factor':
      return requirePositive('factor', target.factor)
    case 'portions':
      if (method.portions === null) throw new RangeError(`portions: ${method.name} does not say how many it makes`)
      return requirePositive('portions', target.portions) / method.portions
    case 'eggs': {
      const { part, count } = target
      const has = eggsIn(method, part)
      if (has <= 0) throw new RangeError(`part: ${method.name} holds no ${part}`)
      return (requirePositive('count', count) * eggGrams(part, size)) / has
    }
    case 'grams': {
      const has = method.amounts.find(({ key }) => key === target.amount)?.grams ?? 0
      if (has <= 0) throw new RangeError(`amount: ${target.amount} has no quantity in ${method.name}`)
      return requirePositive('grams', target.grams) / has
    }
  }
}

/** Grams of one part of the egg in a method. */
export function eggsIn(method: Method, part: EggPart): number {
  return method.amounts
    .filter((amount) => ingredientOf(amount, method)?.egg === part)
    .reduce((sum, { grams }) => sum + (grams ?? 0), 0)
}

/**
 * A method made so many times over: grams to a tenth, eggs in whole numbers where they come out whole, in grams alone
 * where they do not, and the vessel filled as much deeper.
 */
export function scaled(method: Method, factor: number): Method {
  requirePositive('factor', factor)
  return {
    ...method,
    amounts: method.amounts.map((amount) => scaledAmount(amount, factor)),
    components: method.components.map((component) => ({
      ...component,
      grams: component.grams === null ? null : tenth(component.grams * factor),
    })),
    portions: method.portions === null ? null : Math.floor(method.portions * factor + 1e-9),
    vessel: { ...method.vessel, fillDepth: Math.round(method.vessel.fillDepth * factor * 1e4) / 1e4 },
  }
}

function scaledAmount({ said, ...amount }: Amount, factor: number): Amount {
  const count = amount.count === null ? null : amount.count * factor
  const whole = count !== null && Math.abs(count - Math.round(count)) < 1e-6
  return {
    ...amount,
    grams: amount.grams === null ? null : tenth(amount.grams * factor),
    count: whole ? Math.round(count) : null,
    // "2 cups" is true of the method as it is written, and of no other size of it.
    ...(said !== undefined && factor === 1 ? { said } : {}),
  }
}

function tenth(grams: number): number {
  return Math.round(grams * 10) / 10
}

function requirePositive(argument: string, value: number): number {
  if (!(value > 0) || !Number.isFinite(value)) throw new RangeError(`${argument}: ${value} is not a number above 0`)
  return value
}
