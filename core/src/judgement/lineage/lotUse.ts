import type { Id } from '../../ledger/subject'
import { isUntreatedFruit } from '../../recipe/ingredient/produce'
import type { Ingredient } from '../../recipe/ingredient/ingredient'
import type { Amount } from '../../recipe/method/method'
import type { LotState } from '../../state/lot'

/** A lot of what the method takes, and what core finds of it. */
export interface LotUse {
  /** Key of the method's amount. */
  amount: string
  lot: Id
  code: string
  name: string
  /** Key of the catalogue, of the lot; null for what was bought ready. */
  ingredient: string | null
  /** One of the kitchen's own: its allergens are its own. */
  own?: Ingredient
  /** It is another thing than the method names: its allergens come along. */
  instead?: true
  /** Frozen fruit that the method takes treated, and of which nobody said how. */
  untreated?: true
}

/** What core finds of lots that are named for a step of a batch. */
export function lotUseOf(
  lot: Pick<LotState, 'id' | 'code' | 'name' | 'ingredient' | 'own'>,
  amount: Amount,
  isTreated: boolean,
): LotUse {
  const { id: of, code, name, ingredient, own } = lot
  const put = {
    ingredient: ingredient ?? amount.ingredient,
    state: isTreated ? ('treated' as const) : amount.state === 'treated' ? ('frozen' as const) : amount.state,
  }
  return {
    amount: amount.key,
    lot: of,
    code,
    name,
    ingredient,
    ...(own ? { own } : {}),
    ...((own?.key ?? ingredient) === amount.ingredient ? {} : { instead: true as const }),
    // What the method says of it already is counted there.
    ...(isUntreatedFruit(put) && !isUntreatedFruit(amount) ? { untreated: true as const } : {}),
  }
}
