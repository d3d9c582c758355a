import { MINUTE, type Instant } from '../../ground/instant'
import { isWashed } from '../../recipe/ingredient/produce'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'

/** Longer after it went in nobody can say any more that it was washed. */
const WITHIN = 60 * MINUTE

/**
 * What of the method's at this step, or of what was put in besides, is still to be told as washed: keys of the catalogue.
 * @param step where the batch is; null once it has gone through all
 */
export function washingDue(batch: BatchState, step: string | null, now: Instant): string[] {
  const washed = valid(batch.facts.washed)
  const planned = batch.terms.washed
    .filter((each) => each.step === step && !washed.some(({ value }) => value.step === step))
    .map(({ ingredient }) => ingredient)
  const added = valid(batch.facts.added)
    .filter(({ at, value }) => isWashed(value) && now <= at + WITHIN && !washed.some((tick) => tick.at >= at - WITHIN))
    .map(({ value }) => value.ingredient)
  return [...new Set([...planned, ...added])]
}
