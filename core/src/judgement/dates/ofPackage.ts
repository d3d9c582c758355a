import type { Instant } from '../../ground/instant'
import type { Day } from '../../ground/zone'
import { catalogue } from '../../recipe/ingredient/catalogue'
import type { ItemFacts, LotHeld, LotReceived } from '../../ledger/storeEntries'
import { limitsOf } from '../../recipe/checks/checksFor'
import type { LimitSet } from '../../rules/limit'
import { practiceSource } from '../../rules/practice'
import { claimsOf } from '../../recipe/method/facts'
import { listed } from '../../recipe/ingredient/listed'
import type { Keep } from '../../ledger/dating'
import { useByOf } from './useBy'

/** What a package is held by: its maker's use-by, and the opened days once it is opened. */
export function packageOf(
  lot: Pick<LotReceived, 'ingredient' | 'form' | 'name' | 'useBy' | 'treatment' | 'dateKind' | 'own'>,
  limits: LimitSet,
  day: Day,
  at: Instant,
): Pick<LotHeld, 'dating' | 'facts'> {
  const facts = packageFacts(lot)
  const opened = limitsOf(limits, 'opened-package', day).flatMap(({ rule, force, source }): Keep[] =>
    rule.kind === 'days' ? [{ what: 'once opened', count: rule.days, from: null, force, source }] : [],
  )
  const house: Keep = {
    what: 'once opened',
    count: limits.practice.openedDays,
    from: null,
    force: 'house',
    source: practiceSource('opened package', limits),
  }
  const keeps = facts.needsCold ? [...opened, house] : []
  // A best-before is noted, and binds nothing.
  const noted = lot.dateKind === 'best-before' && lot.useBy !== null ? { bestBefore: lot.useBy } : {}
  const { frozenUseBy, freezerAir } = limits.practice
  const frozen = frozenUseBy !== null && freezerAir <= HARD_FROZEN ? { frozenDays: frozenUseBy } : {}
  return { dating: { prepared: at, keeps, useBy: useByOf(lot), parts: [], ...noted, ...frozen }, facts }
}

/** Food is frozen before its use-by only where the house keeps its freezers at this or under, °C. */
const HARD_FROZEN = -18

function packageFacts({ ingredient, own, form, name }: Parameters<typeof packageOf>[0]): ItemFacts {
  const food = own ?? (ingredient === null ? null : catalogue[ingredient])
  // Of a bought component nothing is known but its name: nothing is claimed.
  if (!food)
    return { allergens: [], claims: [], advisory: false, heat: 'no heat asked', needsCold: true, unknown: [name] }
  const { allergens, needsCold, egg, unchecked } = food
  const heat = egg === null ? 'no heat asked' : form === 'pasteurized' ? 'pasteurized' : 'raw'
  const ingredients = [listed(food, null)]
  return {
    allergens: [...allergens].sort(),
    claims: claimsOf([food]),
    advisory: false,
    heat,
    needsCold,
    unknown: unchecked ? [food.name] : [],
    ingredients,
  }
}
