import type { Instant } from '../../ground/instant'
import { celsiusOf, SAME_DEGREE, type Typed } from '../../ground/temperature'
import { dayOf } from '../../ground/zone'
import type { Dispatched } from '../../ledger/storeEntries'
import { unanswered, type BatchState } from '../../state/batch'
import { placeOf, type ItemState } from '../../state/item'
import { batchStanding, judgeBatch } from '../batch/judgeBatch'
import type { Finding } from '../finding'
import { itemLevel, type Store } from '../keeping/itemStanding'
import { servingShut, type Ancestry, type PartShut } from './part'

/**
 * Why some of an item may not leave the kitchen; null when it may. To highly susceptible people goes nothing raw, nothing
 * with untreated fruit, and nothing that the lead only let go on: every floor and every cooling is proven by readings (Food
 * Code 2022, 3-801.11).
 */
export function dispatchShut(
  item: ItemState,
  { measure, to, typed }: Pick<Dispatched, 'measure' | 'to' | 'typed'>,
  ancestry: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  const shut = servingShut(item, measure, ancestry, store, now)
  if (shut) return shut
  const how = placeOf(item)?.value.how
  if (how === 'serve' || how === 'hot') return { code: 'out for good' }
  const { batch, further } = ancestry
  if (to === 'care home') {
    const { heat, advisory, untreatedFruit } = item.facts
    if (heat === 'raw' || advisory || untreatedFruit) return { code: 'susceptible' }
    const unproven = [...(batch ? [batch] : []), ...(further?.batches ?? [])].find(
      (of) => unanswered(of).length > 0 || batchStanding(judgedWithoutDays(of, store.zone, now)) !== 'proven',
    )
    if (unproven) return { code: 'not proven', batch: unproven.code }
  }
  if (!itemLevel(item, store.limits, dayOf(now, store.zone))) return null
  if (typed === null) return { code: 'asks first', asks: 'read it' }
  return isOverLimit(item, typed, store, now)
}

/** Over its cold limit as it was read; null: it is not, or needs no cold. */
export function isOverLimit(item: ItemState, typed: Typed, { limits, zone }: Store, now: Instant): PartShut | null {
  const level = itemLevel(item, limits, dayOf(now, zone))
  const celsius = celsiusOf(typed)
  return level && celsius > level.celsius + SAME_DEGREE ? { code: 'too warm', celsius, level: level.celsius } : null
}

/** Its own dates are not those of what was made of it. */
function judgedWithoutDays(batch: BatchState, zone: string, now: Instant): Finding[] {
  return judgeBatch(batch, { zone }, now).filter(({ check }) => !['days', 'hours'].includes(check.limit.rule.kind))
}
