import { MINUTE, type Instant } from '../../ground/instant'
import { placeFigures } from '../../physics/cooling/place'
import type { StepMark } from '../../rules/rule'
import type { BatchState } from '../../state/batch'
import { instantOf } from './offHeat'

/** Chilling begins within so long of cooking: the cook-chill guideline, ms. */
export const CHILL_BEGINS = 30 * MINUTE

/**
 * When chilling began: as it went into the cold, and half an hour after the heat at the latest, whatever was done with
 * it until then; null while it is on the heat.
 */
export function chillStart(batch: BatchState, heat: StepMark): Instant | null {
  const off = instantOf(heat, batch)
  if (off === null) return null
  const placed = batch.facts.placed
    .filter(({ void: gone, at, value }) => !gone && at >= off && placeFigures[value.place].surroundings.celsius < 10)
    .map(({ at }) => at)
  return Math.min(off + CHILL_BEGINS, ...placed)
}
