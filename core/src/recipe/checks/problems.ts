import type { Ingredient } from '../ingredient/ingredient'
import { families } from '../method/families'
import { comparedAs } from '../../ground/temperature'
import type { LimitSet } from '../../rules/limit'
import { canonical } from '../../ground/canonical'
import { eggPlan } from '../egg/eggPlan'
import { checksFor } from './checksFor'
import { factsOf, ingredientOf, rawEggs, unboiledFruit, type FindMethod } from '../method/facts'
import { heatPlan } from '../method/heatPlan'
import type { Amount, Method, StepKind } from '../method/method'

/**
 * Something missing, unsafe or unlikely in a method, at the step or amount it belongs to. One that blocks keeps the
 * method from being approved until it is changed or justified in writing; one that asks wants a look.
 */
export interface Problem {
  /** Stable: what a justification names. */
  id: string
  code: ProblemCode
  weight: 'blocks' | 'asks'
  step: string | null
  amount: string | null
  values: Record<string, string | number>
}

export type ProblemCode =
  | 'step missing'
  | 'no amount'
  | 'no ingredients'
  | 'unknown ingredient'
  | 'starch not boiled'
  | 'egg after the last heat'
  | 'egg not heated'
  | 'frozen fruit not treated'
  | 'dry with what spoils'
  | 'floor above ceiling'
  | 'component unknown'
  | 'much sugar'
  | 'much gelatine'
  | 'much salt'
  | 'lean cream'
  | 'sugar slows the kill'

/** Everything that is the matter with a method under a kitchen's limits, in the order of its steps. */
export function problemsOf(method: Method, limits: LimitSet, day: string, find: FindMethod): Problem[] {
  const order = (step: string | null) => (step === null ? -1 : method.steps.findIndex(({ key }) => key === step))
  return [
    ...stepsMissing(method),
    ...amountsMissing(method),
    ...starchNotBoiled(method),
    ...eggsNotHeated(method),
    ...fruitNotTreated(method),
    ...dryWithWhatSpoils(method),
    ...floorAboveCeiling(method, limits, day),
    ...componentsUnknown(method, find),
    ...unlikely(method, find),
  ].sort((a, b) => order(a.step) - order(b.step))
}

/** What keeps it from being approved: blocking, and not justified. */
export function blocking(problems: readonly Problem[], { justified }: Pick<Method, 'justified'>): Problem[] {
  return problems.filter(({ id, weight }) => weight === 'blocks' && !justified.some(({ problem }) => problem === id))
}

function problem(
  code: ProblemCode,
  at: { step?: string | null; amount?: string | null },
  values: Problem['values'] = {},
  weight: Problem['weight'] = 'blocks',
): Problem {
  const { step = null, amount = null } = at
  return { id: [code, step, amount].filter(Boolean).join(' / '), code, weight, step, amount, values }
}

function stepsMissing({ family, steps, cooling }: Method): Problem[] {
  const kinds = new Set(steps.map(({ kind }) => kind))
  // What is served at once is neither cooled nor kept.
  const needs = families[family].needs.filter((kind) => cooling !== 'none' || !['cool', 'hold'].includes(kind))
  const wanted: StepKind[] = cooling === 'none' ? [...needs, 'serve at once'] : needs
  return wanted
    .filter((kind) => !kinds.has(kind))
    .map((kind) => ({ ...problem('step missing', {}, { kind }), id: `step missing / ${kind}` }))
}

function amountsMissing(method: Method): Problem[] {
  const { amounts, components } = method
  if (amounts.length === 0 && components.length === 0) return [problem('no ingredients', {})]
  return [
    ...amounts.flatMap((amount) => {
      const at = { step: amount.step, amount: amount.key }
      if (!ingredientOf(amount, method)) return [problem('unknown ingredient', at, { name: amount.ingredient })]
      return amount.grams === null ? [problem('no amount', at, { name: nameOf(amount, method) })] : []
    }),
    ...components.flatMap(({ key, name, grams, step }) =>
      grams === null ? [problem('no amount', { step, amount: key }, { name })] : [],
    ),
  ]
}

function starchNotBoiled(method: Method): Problem[] {
  const { steps } = method
  return method.amounts.flatMap((amount) => {
    const ingredient = ingredientOf(amount, method)
    const joins = indexOf(method, amount)
    const boiled = steps.some(({ kind }, i) => (kind === 'boil out' || kind === 'bake') && i >= joins)
    return ingredient?.starch && !boiled ? [problem('starch not boiled', at(amount), { name: ingredient.name })] : []
  })
}

function eggsNotHeated(method: Method): Problem[] {
  const { killed } = heatPlan(method)
  const kill = method.steps.findIndex(({ key }) => key === killed?.step)
  // What is left over stays what it was; it carries its own date.
  if (method.family === 'by-product') return []
  return rawEggs(method).flatMap((amount) => {
    const name = nameOf(amount, method)
    if (kill < 0) return [problem('egg not heated', at(amount), { name })]
    return indexOf(method, amount) > kill ? [problem('egg after the last heat', at(amount), { name })] : []
  })
}

function fruitNotTreated(method: Method): Problem[] {
  return unboiledFruit(method).map((amount) =>
    problem('frozen fruit not treated', at(amount), { name: nameOf(amount, method) }),
  )
}

/** Kept without cold is only what no filling and no later step makes moist or perishable again. */
function dryWithWhatSpoils(method: Method): Problem[] {
  if (method.cooling !== 'dry') return []
  const { killed } = heatPlan(method)
  const kill = method.steps.findIndex(({ key }) => key === killed?.step)
  const after = (each: Pick<Amount, 'step'>) => indexOf(method, each) > kill
  return [
    ...method.amounts
      .filter((amount) => after(amount) && ingredientOf(amount, method)?.needsCold !== false)
      .map((amount) => problem('dry with what spoils', at(amount), { name: nameOf(amount, method) })),
    ...method.components.map(({ key, step, name }) => problem('dry with what spoils', { step, amount: key }, { name })),
  ]
}

/** Every row of a floor lies above where the same pot spoils: it cannot be both. Each floor against each ceiling. */
function floorAboveCeiling(method: Method, limits: LimitSet, day: string): Problem[] {
  const checks = checksFor(method, limits, day, eggPlan(method, 1, limits, limits.practice.susceptible, day))
  const ceilings = checks.flatMap(({ limit: { rule, key }, unit, evidence }) =>
    key === 'ceiling' && rule.kind === 'stay' ? [{ of: evidence.of, top: comparedAs(rule.level, unit, 'under') }] : [],
  )
  const found = checks.flatMap(({ limit: { rule }, unit, step, evidence }) => {
    if (rule.kind !== 'hold') return []
    const floor = Math.min(...rule.rows.map((row) => comparedAs(row.at, unit, 'reach')))
    const ceiling = ceilings.find(({ of, top }) => canonical(of) === canonical(evidence.of) && floor > top)
    const { to } = evidence
    const where = to !== null && to !== 'batch started' ? to.step : step
    return ceiling ? [problem('floor above ceiling', { step: where }, { floor, ceiling: ceiling.top })] : []
  })
  return found.slice(0, 1)
}

function componentsUnknown(method: Method, find: FindMethod): Problem[] {
  return method.components
    .filter((component) => component.method === method.id || !find(component.method))
    .map(({ key, name, step }) => problem('component unknown', { step, amount: key }, { name }))
}

/** Amounts as a slip of the pen makes them: asked about, for a dessert may mean it. */
function unlikely(method: Method, find: FindMethod): Problem[] {
  const { grams } = factsOf(method, find)
  if (grams <= 0) return []
  const parts = method.amounts.flatMap((amount) => {
    const ingredient = ingredientOf(amount, method)
    return ingredient && amount.grams !== null ? [{ amount, ingredient, grams: amount.grams }] : []
  })
  const ask = (code: ProblemCode, amount: Amount, percent: number) =>
    problem(code, at(amount), { name: nameOf(amount, method), percent: Math.round(percent * 1000) / 10 }, 'asks')
  const isSugar = ({ composition }: Ingredient) => composition.carbohydrate > 0.6
  const foam = ['white-foam', 'yolk-foam', 'foam-topping', 'dry-baked'].includes(method.family)
  const share = parts.flatMap(({ amount, ingredient, grams: own }) => {
    const part = own / grams
    if (ingredient.bloom > 0 && part > 0.035) return [ask('much gelatine', amount, part)]
    if (ingredient.key === 'salt' && part > 0.02) return [ask('much salt', amount, part)]
    if (ingredient.key.includes('sugar') && part > (foam ? 0.75 : 0.5)) return [ask('much sugar', amount, part)]
    return []
  })
  const whipped = parts.filter(({ amount, ingredient }) => {
    const kind = method.steps.find(({ key }) => key === amount.step)?.kind
    return kind === 'whip' && ingredient.key.startsWith('cream')
  })
  const lean = whipped
    .filter(({ ingredient }) => ingredient.composition.fat < 0.3)
    .map(({ amount, ingredient }) => ask('lean cream', amount, ingredient.composition.fat))
  return [...share, ...lean, ...sugarSlowsKill(method, parts, isSugar)]
}

/** Published egg rows are for eggs with little sugar: above 40 % of sugar and water the kill is slower than they say. */
function sugarSlowsKill(
  method: Method,
  parts: { amount: Amount; ingredient: Ingredient; grams: number }[],
  isSugar: (ingredient: Ingredient) => boolean,
): Problem[] {
  const { killed } = heatPlan(method)
  if (!killed || !families[method.family].egg || rawEggs(method).length === 0) return []
  const kill = method.steps.findIndex(({ key }) => key === killed.step)
  const heated = parts.filter(({ amount }) => indexOf(method, amount) <= kill)
  const sugar = heated.filter(({ ingredient }) => isSugar(ingredient) && !ingredient.starch)
  const sugars = sugar.reduce((sum, { grams, ingredient }) => sum + grams * ingredient.composition.carbohydrate, 0)
  const water = heated.reduce((sum, { grams, ingredient }) => sum + grams * ingredient.composition.water, 0)
  const share = sugars + water > 0 ? sugars / (sugars + water) : 0
  const most = sugar.reduce<(typeof sugar)[number] | null>((a, b) => (a && a.grams >= b.grams ? a : b), null)
  if (share <= 0.4 || !most) return []
  return [problem('sugar slows the kill', at(most.amount), { percent: Math.round(share * 100) }, 'asks')]
}

function at({ step, key }: Amount) {
  return { step, amount: key }
}

function indexOf({ steps }: Method, { step }: Pick<Amount, 'step'>): number {
  return steps.findIndex(({ key }) => key === step)
}

function nameOf(amount: Amount, method: Method): string {
  return ingredientOf(amount, method)?.name ?? amount.ingredient
}
