import type { ReceivingVerdict, LotReceived } from '../../ledger/storeEntries'
import type { Day } from '../../ground/zone'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { isFrozenFruit, isLookedAt } from '../../recipe/ingredient/produce'
import { limitsOf } from '../../recipe/checks/checksFor'
import type { LimitSet } from '../../rules/limit'
import { SAME_DEGREE } from '../../ground/temperature'
import { canProve } from '../../state/instrument'
import { celsiusRead } from '../../state/reading'
import { receivedLevel, receivedMilkLevel, shellEggLevel, type Level } from '../../recipe/checks/unitKind'

/** Why a lot is not simply accepted. */
export type ReceivingReason =
  | { code: 'too warm'; celsius: number; level: Level }
  /** Milk, warmer than other cold food may come, and not than a law of its own may allow. */
  | { code: 'milk by its law'; celsius: number; level: Level; own: Level }
  | { code: 'not read'; level: Level }
  /** Read by an instrument that proves nothing just then. */
  | { code: 'instrument in doubt'; level: Level }
  | { code: 'past its day'; useBy: Day }
  /** A best-before is noted, and binds nothing. */
  | { code: 'past its best'; bestBefore: Day }
  | { code: 'no use-by' }
  | { code: 'no scheme' }
  | { code: 'fruit not treated' }
  | { code: 'looks bad'; why: string | null }
  | { code: 'not looked at' }

export interface Receiving {
  verdict: ReceivingVerdict
  reasons: ReceivingReason[]
  /** The level its temperature is held against; null for what needs no cold. */
  level: Level | null
}

type Arriving = Pick<
  LotReceived,
  'ingredient' | 'form' | 'received' | 'useBy' | 'scheme' | 'treatment' | 'condition' | 'dateKind'
>

/** Milk and cream as they are bought to be kept cold. */
function isMilk(ingredient: string | null): boolean {
  return ingredient !== null && MILK.includes(ingredient)
}

const MILK = ['milk', 'skimmed-milk', 'buttermilk', 'cream-18', 'cream-36', 'cream-48']

/**
 * What a kitchen may do with a lot at the door, under its limits on that day. Too warm or past its day is refused; what
 * is not known is held for the lead.
 * @param susceptible whether the kitchen serves highly susceptible people
 */
export function receivingOf(lot: Arriving, limits: LimitSet, day: Day, susceptible: boolean): Receiving {
  const level = receivingLevel(lot, limits, day)
  const found: [ReceivingVerdict, ReceivingReason][] = []
  if (level && !lot.received) found.push(['hold', { code: 'not read', level }])
  if (level && lot.received) {
    const celsius = celsiusRead(lot.received)
    const { readBy } = lot.received
    if (readBy && !canProve(readBy)) found.push(['hold', { code: 'instrument in doubt', level }])
    const own = isMilk(lot.ingredient) ? receivedMilkLevel(limits, day) : null
    const isOver = (each: Level) => celsius > each.celsius + SAME_DEGREE
    if (isOver(level) && own && !isOver(own)) found.push(['hold', { code: 'milk by its law', celsius, level, own }])
    else if (isOver(level)) found.push(['refuse', { code: 'too warm', celsius, level: own ?? level }])
  }
  if (lot.useBy !== null && lot.useBy < day)
    found.push(
      lot.dateKind === 'best-before'
        ? ['accept', { code: 'past its best', bestBefore: lot.useBy }]
        : ['refuse', { code: 'past its day', useBy: lot.useBy }],
    )
  if (lot.useBy === null && level) found.push(['hold', { code: 'no use-by' }])
  if (lot.form === 'shell' && susceptible && asksForScheme(limits, day) && lot.scheme === null)
    found.push(['hold', { code: 'no scheme' }])
  if (isFrozenFruit(lot.ingredient) && lot.treatment === null) found.push(['hold', { code: 'fruit not treated' }])
  if (isLookedAt(lot.ingredient) && lot.condition === null) found.push(['hold', { code: 'not looked at' }])
  if (lot.condition && !lot.condition.good) found.push(['refuse', { code: 'looks bad', why: lot.condition.why }])
  const verdict = (['refuse', 'hold'] as const).find((each) => found.some(([of]) => of === each)) ?? 'accept'
  return { verdict, reasons: found.map(([, reason]) => reason), level }
}

/** Whether a verdict that was given is one that core allows: as strict, or stricter. */
export function isAllowed(given: ReceivingVerdict, { verdict }: Receiving): boolean {
  return STRICT.indexOf(given) >= STRICT.indexOf(verdict)
}

const STRICT: ReceivingVerdict[] = ['accept', 'hold', 'refuse']

/** How warm a lot may come in under limits on a day; null: it needs no cold. */
export function receivingLevel(lot: Arriving, limits: LimitSet, day: Day): Level | null {
  const food = lot.ingredient === null ? null : catalogue[lot.ingredient]
  if (food && !food.needsCold) return null
  if (lot.form === 'shell') return shellEggLevel(limits, day)
  return receivedLevel(limits, day)
}

function asksForScheme(limits: LimitSet, day: Day): boolean {
  return limitsOf(limits, 'raw-egg', day).length > 0
}
