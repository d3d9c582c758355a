import { ingredientOf } from './facts'
import { heatPlan } from './heatPlan'
import type { Method } from './method'

/** Where kitchens differ in how they make a thing: which way this method goes. Each way is as good as its readings. */
export type Way =
  | { about: 'heat'; way: 'water' | 'flame' | 'not said' }
  | { about: 'boil'; way: 'boiled' | 'never boiled' }
  | { about: 'butter'; way: 'before the proof' | 'after the proof' }
  | { about: 'strain'; way: 'before the heat' | 'after the heat' | 'never' }
  | { about: 'cooling'; way: 'counter' | 'cold' | 'not said' }
  | { about: 'cover'; way: 'at once' | 'when set' | 'not said' }

/** A fat that is worked in by itself, as butter is: share of its mass. */
const FAT = 0.6

/** The ways of a method, of those that it has at all, in the order of the work. */
export function waysOf(method: Method): Way[] {
  const { steps, instructions } = method
  const { killed } = heatPlan(method)
  const at = (key: string | undefined) => steps.findIndex((step) => step.key === key)
  const kill = at(killed?.step)
  const ways: Way[] = []
  const cook = steps.find(({ kind }) => kind === 'cook')
  if (cook) ways.push({ about: 'heat', way: instructions[cook.key]?.over ?? 'not said' })
  const foods = method.amounts.map((amount) => ({ step: amount.step, food: ingredientOf(amount, method) }))
  const boils = steps.some(({ kind }) => kind === 'boil out' || kind === 'bake')
  if (foods.some(({ food }) => food?.starch)) ways.push({ about: 'boil', way: boils ? 'boiled' : 'never boiled' })
  const butter = foods.filter(({ food }) => (food?.composition.fat ?? 0) > FAT && food?.egg === null)
  if (kill >= 0 && butter.length > 0) {
    const after = butter.some(({ step }) => at(step) > kill)
    ways.push({ about: 'butter', way: after ? 'after the proof' : 'before the proof' })
  }
  if (cook) {
    const strained = steps.findLastIndex(({ kind }) => kind === 'strain')
    const way = strained < 0 ? 'never' : strained > at(cook.key) ? 'after the heat' : 'before the heat'
    ways.push({ about: 'strain', way })
  }
  const cool = steps.find(({ kind }) => kind === 'cool')
  if (cool) {
    const { first, cover } = instructions[cool.key] ?? {}
    ways.push({ about: 'cooling', way: first ?? 'not said' }, { about: 'cover', way: cover ?? 'not said' })
  }
  return ways
}
