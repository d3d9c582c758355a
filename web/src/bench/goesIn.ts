import {
  ingredientOf,
  isEggLot,
  isTreatedLot,
  lotShut,
  lotUseOf,
  type Amount,
  type BatchState,
  type Day,
  type Ingredient,
  type LotState,
  type LotUse,
  type Method,
} from '@logged-thermal/core'

/** Something of the method's that goes in at a step, with its lots. */
export interface GoesIn {
  amount: Amount
  food: Ingredient
  /** Of this batch; null: not written down. */
  grams: number | null
  /** Named already. */
  named: LotUse | null
  /** That which was used of it last and may still be, else that which ends first; null where none is there. */
  offered: LotState | null
  /** Every lot that may go in: of the same thing first, then whatever else is no egg. */
  lots: LotState[]
}

/** What of the method's goes in at a step, beside eggs. */
export function goesIn(
  batch: BatchState,
  method: Method,
  step: string,
  { lots, batches }: { lots: readonly LotState[]; batches: readonly BatchState[] },
  day: Day,
): GoesIn[] {
  const named = batch.facts['lots-used'].flatMap(({ void: gone, value }) => (gone ? [] : value.uses))
  const usable = lots.filter((lot) => !isEggLot(lot) && lot.verdict !== 'refuse' && lotShut(lot, day) === null)
  return method.amounts.flatMap((amount): GoesIn[] => {
    const food = ingredientOf(amount, method)
    if (amount.step !== step || !food || food.egg != null) return []
    const same = usable
      .filter(({ ingredient }) => ingredient === amount.ingredient)
      .sort((a, b) => (a.useBy ?? '9').localeCompare(b.useBy ?? '9'))
    const last = lastUsed(amount.ingredient, batches)
    return [
      {
        amount,
        food,
        grams: amount.grams === null ? null : Math.round(amount.grams * batch.factor * 10) / 10,
        named: named.findLast((use) => use.amount === amount.key) ?? null,
        offered: same.find(({ id }) => id === last) ?? same[0] ?? null,
        lots: [...same, ...usable.filter((lot) => !same.includes(lot))],
      },
    ]
  })
}

/** What a lot is in the place of an amount, as core finds it too. */
export function usedFrom(lot: LotState, amount: Amount): LotUse {
  return lotUseOf(lot, amount, isTreatedLot(lot, lot.ingredient ?? ''))
}

function lastUsed(ingredient: string, batches: readonly BatchState[]): string | null {
  const uses = batches.flatMap(({ facts }) =>
    facts['lots-used'].flatMap(({ void: gone, at, value }) =>
      gone ? [] : value.uses.filter((use) => use.ingredient === ingredient).map(({ lot }) => ({ at, lot })),
    ),
  )
  return uses.sort((a, b) => a.at - b.at).at(-1)?.lot ?? null
}
