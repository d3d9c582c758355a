import type { Instant } from '../ground/instant'
import type { Bounded } from '../physics/trace/reading'
import { storeOf } from '../admission/guard/storeOf'
import type { LimitSet } from '../rules/limit'
import type { ItemState } from '../state/item'
import type { Read } from '../state/state'
import { itemStanding } from '../judgement/keeping/itemStanding'
import { fastBar, lineageBars, withLineage } from '../judgement/lineage/lineageBars'
import { itemShut } from '../judgement/lineage/part'
import type { World } from '../judgement/world'

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

/** An item as it stands: what it asks for, until when it may be used, and what has to be said of it. */
export interface ItemAsIs {
  asks: string
  until: Instant | null
  usable: boolean
  heat: string
  advisory: boolean
  /** ms above its cold limit. */
  exposure: Bounded
}
