import type { Instant } from '../../ground/instant'
import type { BatchState } from '../../state/batch'
import { lastRead } from '../../state/lastRead'

/** What was never on the heat is at most as warm as a warm kitchen; what comes off it about so hot, °C. House figures. */
const WARM_KITCHEN = 25
const OFF_THE_HEAT = 80

/** How warm what is to be cooled is taken to be where nobody read it yet, °C; as it was last read where somebody did. */
export function beginsAt(batch: Pick<BatchState, 'facts' | 'method'>, at: Instant): number {
  return lastRead(batch, at) ?? (batch.method.cooling === 'ambient' ? WARM_KITCHEN : OFF_THE_HEAT)
}
