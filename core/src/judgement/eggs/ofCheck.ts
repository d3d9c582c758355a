import type { EggUse } from '../../recipe/egg/eggPlan'
import { gramsTaken } from '../../state/gramsTaken'
import { covers, coversAsPart } from './eggLedger'
import type { EggsTaken } from '../../ledger/entry'
import type { PartUsed } from '../../ledger/storeEntries'
import type { Check } from '../../recipe/checks/checksFor'
import type { BatchState } from '../../state/batch'
import { valid, type Fact } from '../../state/fact'
import type { Finding } from '../finding'
import { timelineOf } from '../timeline/timeline'
import { findingOf, type Span } from '../find/checkWatch'

/** Of what the method takes so much is named at least: a scale and a count never agree to the gram. */
const ENOUGH = 0.9

function gramsNamed(use: EggUse, taken: readonly Fact<EggsTaken>[], kept: readonly Fact<PartUsed>[]): number {
  const lots = taken.filter(({ value }) => covers(value, use)).map(({ value }) => gramsTaken(value)[use.part])
  const parts = kept
    .filter(({ value }) => coversAsPart(value, use))
    .map(({ value: { measure } }) => (measure.unit === 'g' || measure.unit === 'ml' ? measure.value : use.grams))
  return [...lots, ...parts].reduce((sum, grams) => sum + grams, 0)
}

/**
 * Egg that no step heats: proven by the pasteurized lots that were named or the pasteurized parts
 * that were kept, missed by a raw one, never by silence.
 */
export function findEggLot(check: Check, batch: BatchState, span: Span, together: boolean): Finding {
  const uses = batch.terms.eggs.uses.filter(({ heated }) => !heated)
  const taken = valid(batch.facts['eggs-taken']).filter(({ value }) => uses.some((use) => covers(value, use)))
  const kept = valid(batch.facts['part-used']).filter(({ value }) => uses.some((use) => coversAsPart(value, use)))
  // By whatever entry, and at whatever step it says that it went in.
  const raw = timelineOf(batch).raw.filter(({ what, onPurpose }) => what !== 'fruit' && !onPurpose)
  if (raw.length) {
    const because = { code: 'shell egg used' as const, at: raw[0]!.at }
    return findingOf(check, span, { standing: 'missed', because, deciding: raw.map(({ at }) => at) })
  }
  const enough = (use: EggUse) => gramsNamed(use, taken, kept) >= use.grams * ENOUGH
  const unnamed = uses.filter((use) => !enough(use))
  if (unnamed.length) {
    return findingOf(check, span, { standing: together ? 'unproven' : 'open', because: { code: 'no lot named' } })
  }
  const lots = new Set([...taken.map(({ value }) => value.lot), ...kept.map(({ value }) => value.part.item)]).size
  return findingOf(check, span, {
    standing: 'proven',
    because: { code: 'pasteurized lots', lots },
    deciding: [...taken, ...kept].map(({ at }) => at),
  })
}
