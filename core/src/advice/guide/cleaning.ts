import { MINUTE, type Instant } from '../../ground/instant'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { heatPlan } from '../../recipe/method/heatPlan'
import { timelineOf } from '../../judgement/timeline/timeline'

/** Why hands, cloth, sieve and spatula are to be clean and the probe wiped, now. */
export type CleaningWhy = 'raw to cooked' | 'separated by hand'

/** Longer after it nobody can say any more that it was done then. */
const WITHIN = 60 * MINUTE

/** Whether the one tick is due: after the heat of a mixture with raw egg, and after eggs were separated by hand. */
export function cleaningDue(batch: BatchState, now: Instant): CleaningWhy | null {
  const { killed } = heatPlan(batch.method)
  const cleaned = Math.max(-Infinity, ...valid(batch.facts.cleaned).map(({ at }) => at))
  const cooked = killed ? timelineOf(batch).at(killed) : null
  const raw = batch.terms.eggs.uses.some(({ heated }) => heated) || valid(batch.facts['eggs-taken']).length > 0
  if (cooked !== null && raw && cleaned < cooked && now <= cooked + WITHIN) return 'raw to cooked'
  const separated = valid(batch.facts['eggs-taken'])
    .filter(({ value }) => value.as === 'separated' && value.cracked !== null)
    .at(-1)
  return separated && cleaned < separated.at && now <= separated.at + WITHIN ? 'separated by hand' : null
}
