import { mayUse } from '../egg/eggPlan'
import { catalogue } from '../ingredient/catalogue'
import { number, object, oneOf, text } from '../ledger/parse'
import { heatPlan } from '../method/heatPlan'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { atKnownStep, isRefusal } from './knownStep'

/** Something went in on the heat or after it. Raw egg and untreated fruit open the cook check again. */
export const added: KindOf<'added'> = {
  kind: 'added',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { step, ingredient, grams, state, lot } = object(body, ['step', 'ingredient', 'grams', 'state', 'lot'])
    return {
      step: text(step, 40),
      ingredient: oneOf(ingredient, Object.keys(catalogue)),
      grams: grams.value === null ? null : number(grams, 0.1, 500_000),
      state: oneOf(state, ['as it is', 'pasteurized lot', 'frozen', 'treated'] as const),
      lot: lot.value === null ? null : text(lot, 40),
    }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit(claim, read) {
    const { step, ingredient, state, lot } = claim.body
    const batch = atKnownStep(claim, step, read)
    if (isRefusal(batch)) return batch
    const isEgg = catalogue[ingredient]?.egg != null
    if (!isEgg) return null
    if (state === 'pasteurized lot') return lot === null ? { code: 'lot needed', field: 'body.lot' } : null
    const { terms, method } = batch
    const rule = heatPlan(method).killed ? terms.eggs.heated : terms.eggs.unheated
    if (mayUse(rule, 'shell')) return null
    const why = terms.susceptible ? 'susceptible' : 'unheated'
    return { code: 'wrong egg', field: 'body.state', lot: lot ?? catalogue[ingredient]!.name, why }
  },
}
