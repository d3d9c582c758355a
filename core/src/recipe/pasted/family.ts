import { catalogue } from '../ingredient/catalogue'
import type { Ingredient } from '../ingredient/ingredient'
import type { FamilyKey, StepKind } from '../method/method'
import type { PastedMaterial } from './material'
import type { PastedStep } from './work'

/** What a pasted recipe is most likely called here, by what is in it and what is done with it; somebody confirms it. */
export function familyOf(title: string, materials: readonly PastedMaterial[], steps: readonly PastedStep[]): FamilyKey {
  const foods = materials.flatMap(({ ingredient, grams }) =>
    ingredient === null ? [] : [{ food: catalogue[ingredient]!, grams: grams ?? 0 }],
  )
  const has = (test: (food: Ingredient) => boolean) => foods.some(({ food }) => test(food))
  const share = (test: (food: Ingredient) => boolean) => {
    const all = foods.reduce((sum, { grams }) => sum + grams, 0)
    return foods.reduce((sum, { food, grams }) => sum + (test(food) ? grams : 0), 0) / Math.max(all, 1)
  }
  const doing = (...kinds: StepKind[]) => steps.some((step) => kinds.some((kind) => step.kinds.includes(kind)))
  const called = (word: RegExp) => word.test(title)
  const egg = has(({ egg: part }) => part !== null)
  const dairy = share(({ origin, key }) => origin === 'milk' && !key.includes('butter')) > 0.15
  const flour = share(({ key }) => key.endsWith('flour') || key === 'semolina')

  if (doing('churn') || called(/\bice cream\b|\bgelato\b/i)) return 'churned-base'
  if (doing('bake') && egg && called(/\bsponge\b|\bg[eé]noise\b/i)) return 'sponge'
  if (doing('bake') && called(/\bmeringues?\b|\bwafers?\b|\btuiles?\b/i)) return 'dry-baked'
  if (called(/\bglaze\b|\bicing\b|\bfrosting\b/i)) return 'glaze'
  if (!egg && !dairy && called(/\bcompote\b|\b(?:roast|stewed|poached|baked) \w+/i)) return 'cooked-fruit'
  if (!egg && called(/\bsyrup\b|\bsauce\b|\bcoulis\b/i)) return 'syrup-sauce'
  if (doing('assemble') && called(/\b[eé]clairs?\b|\bprofiteroles?\b|\btarts?\b|\bcream puffs?\b/i))
    return 'filled-pastry'
  if (doing('bake')) return flour > 0.12 ? 'baked-crumb' : 'baked-custard'
  if (has(({ starch }) => starch) && doing('boil out')) return 'starch-custard'
  if (called(/\bnog\b/i) && egg) return 'heated-nog'
  if (has(({ key }) => key.endsWith('chocolate')) && doing('fold') && egg) return 'mousse'
  if (called(/\bmousse\b/i)) return 'mousse'
  if (called(/\bcurd\b/i) && egg) return 'fruit-curd'
  if (has(({ bloom }) => bloom > 0)) return dairy ? 'gelatine-cream' : 'fruit-jelly'
  if (doing('assemble') && !doing('cook')) return 'assembly'
  if (!egg && dairy && has(({ key }) => /(?:lemon|lime|orange|yuzu|grapefruit)-juice/.test(key))) return 'acid-cream'
  if (egg && !dairy) {
    if (has(({ alcohol }) => alcohol > 0) || called(/\bfoam\b/i)) return 'yolk-foam'
    return has(({ key }) => key.includes('butter')) ? 'fruit-curd' : 'white-foam'
  }
  if (egg && has(({ alcohol }) => alcohol > 0.2)) return 'heated-nog'
  if (egg && dairy) return has(({ starch }) => starch) ? 'starch-custard' : 'poured-custard'
  return doing('whip') && dairy ? 'whipped-cream' : 'assembly'
}
