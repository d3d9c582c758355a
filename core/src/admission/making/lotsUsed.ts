import type { Bodies } from '../../ledger/entry'
import { id, list, object, oneOf, text } from '../../ground/field'
import { dayOf } from '../../ground/zone'
import { ingredientOf } from '../../recipe/method/facts'
import type { Ingredient } from '../../recipe/ingredient/ingredient'
import type { Method } from '../../recipe/method/method'
import type { BatchState } from '../../state/batch'
import { isEggLot } from '../../state/lot'
import type { Read } from '../../state/state'
import { isTreatedLot, lotShut } from '../../judgement/eggs/mayGoIn'
import { useByOf } from '../../judgement/dates/useBy'
import { lotUseOf, type LotUse } from '../../judgement/lineage/lotUse'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { atKnownStep, isRefusal } from '../guard/knownStep'

declare module '../../ledger/entry' {
  interface Bodies {
    /** `happened`: they are in already, whatever stood against them. */
    'lots-used': { step: string; uses: LotUse[]; happened?: true }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'lots-used': Bodies['lots-used']
  }
}

/** From which received lots the milk, the fruit, the sugar of a step come. Eggs have an entry of their own. */
export const lotsUsed: KindOf<'lots-used'> = {
  kind: 'lots-used',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { step, uses, happened } = object(body, ['step', 'uses', 'happened'])
    return {
      step: text(step, 40),
      uses: list(
        uses,
        (field) => {
          const names = ['amount', 'lot', 'code', 'name', 'ingredient', 'own', 'instead', 'untreated'] as const
          const { amount, lot, ...found } = object(field, names)
          // What core finds of the lot needs no parsing: it is taken from there.
          const { code, name, ingredient } = found
          return {
            amount: text(amount, 40),
            lot: id(lot),
            code: code.value as string,
            name: name.value as string,
            ingredient: ingredient.value as string | null,
            ...(found.own.value === undefined ? {} : { own: found.own.value as Ingredient }),
            ...(found.instead.value === undefined ? {} : { instead: true as const }),
            ...(found.untreated.value === undefined ? {} : { untreated: true as const }),
          }
        },
        40,
      ),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ body: { uses } }) => uses.map(({ lot }) => ({ type: 'lot', id: lot })),
  readsThen: ({ about }, read) => {
    const batch = read('batch', about.id)
    return batch ? [{ type: 'method', id: batch.method.id }] : []
  },
  refuse(claim, read, { zone }) {
    const batch = atKnownStep(claim, claim.body.step, read)
    if (isRefusal(batch)) return batch
    const method = methodOf(batch, read)
    for (const { amount: key, lot: of } of claim.body.uses) {
      const lot = read('lot', of)
      if (!lot) return { code: 'not there', field: 'body.uses', what: 'lot' }
      const amount = method?.amounts.find((each) => each.key === key)
      if (!method || !amount) return { code: 'not there', field: 'body.uses', what: 'amount' }
      // Whatever is egg is named where its heat is judged.
      if (isEggLot(lot) || ingredientOf(amount, method)?.egg != null)
        return { code: 'other lot', field: 'body.uses', lot: lot.code }
      if (claim.body.happened) continue
      const shut = lotShut(lot, dayOf(claim.at, zone))
      if (shut === 'past its day')
        return { code: 'lot past its day', field: 'body.lot', lot: lot.code, useBy: useByOf(lot)! }
      if (shut) return { code: 'lot not accepted', field: 'body.lot', lot: lot.code }
    }
    return null
  },
  derive: ({ about, body }, read) => usesFrom(read('batch', about.id)!, body, read),
  fact: asEntered,
}

function usesFrom(batch: BatchState, { step, uses, happened }: Bodies['lots-used'], read: Read): Bodies['lots-used'] {
  const method = methodOf(batch, read)!
  return {
    step,
    uses: uses.map((use) => {
      const lot = read('lot', use.lot)!
      return lotUseOf(
        lot,
        method.amounts.find(({ key }) => key === use.amount)!,
        isTreatedLot(lot, lot.ingredient ?? ''),
      )
    }),
    ...(happened ? { happened } : {}),
  }
}

/** The version of the method that the batch was made by. */
function methodOf({ method: { id: of, version } }: BatchState, read: Read): Method | null {
  return read('method', of)?.versions.find((each) => each.version === version) ?? null
}
