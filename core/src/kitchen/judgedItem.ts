import type { Instant } from '../calendar/instant'
import { storeOf } from '../kinds/storeOf'
import type { LimitSet } from '../limits/limit'
import type { ItemState } from '../state/item'
import type { Read } from '../state/state'
import { itemStanding } from '../store/itemStanding'
import { fastBar, lineageBars, withLineage } from '../store/lineageBars'
import { itemShut } from '../store/part'
import type { World } from '../verdict/judge'
import type { ItemAsIs } from './memoryKitchen'

/** An item as it stands at an instant, with all that it was made of. */
export function judgedItem(item: ItemState, read: Read, world: World, limits: LimitSet, now: Instant): ItemAsIs {
  const around = storeOf(item, read, world, now)
  const store = around?.store ?? { units: [], limits, zone: world.zone }
  const further = around?.ancestry.further
  const bar = further ? fastBar(lineageBars(item, further, world.zone, now)) : null
  const { asks, until, exposure } = withLineage(itemStanding(item, store, now), bar)
  const shut = around ? itemShut(item, null, around.ancestry, around.store, now) : null
  return {
    asks,
    until,
    usable: asks !== 'gone' && shut === null,
    heat: item.facts.heat,
    advisory: item.facts.advisory,
    exposure: exposure.time,
  }
}
