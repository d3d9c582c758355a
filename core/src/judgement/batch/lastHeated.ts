import type { Instant } from '../../ground/instant'
import type { BatchState } from '../../state/batch'
import type { World } from '../world'
import { isBinding, judgeBatch } from './judgeBatch'

/**
 * By when a batch was heated as its limits ask, by the readings that prove it: what hands did after it, no heat came
 * after. null where no heat is asked for, or any of them is not proven by a reading. Of several heats it is the first:
 * doubt counts against the batch.
 */
export function lastHeated(batch: BatchState, world: World, now: Instant): Instant | null {
  const heats = judgeBatch(batch, world, now).filter(
    (finding) => isBinding(finding) && ['hold', 'equivalent'].includes(finding.check.limit.rule.kind),
  )
  const ends = heats.flatMap(({ standing, deciding }) =>
    standing === 'proven' && deciding.length > 0 ? [Math.max(...deciding)] : [],
  )
  return ends.length > 0 && ends.length === heats.length ? Math.min(...ends) : null
}
