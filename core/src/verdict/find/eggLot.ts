import { covers, coversAsPart } from '../../egg/ledger'
import type { Check } from '../../limits/checksFor'
import type { BatchState } from '../../state/batch'
import { standing } from '../../state/fact'
import type { Finding } from '../finding'
import { findingOf, type Span } from './checkWatch'

/**
 * Egg that no step heats: proven by the pasteurized lots that were named or the pasteurized parts
 * that were kept, missed by a raw one, never by silence.
 */
export function findEggLot(check: Check, batch: BatchState, span: Span, together: boolean): Finding {
  const uses = batch.terms.eggs.uses.filter(({ heated }) => !heated)
  const taken = standing(batch.eggs).filter(({ value }) => uses.some((use) => covers(value, use)))
  const kept = standing(batch.parts).filter(({ value }) => uses.some((use) => coversAsPart(value, use)))
  const raw = [
    ...taken.filter(({ value }) => value.form !== 'pasteurized'),
    ...kept.filter(({ value }) => value.part.facts.heat === 'raw'),
  ]
  if (raw.length) {
    const because = { code: 'shell egg used' as const, at: raw[0]!.at }
    return findingOf(check, span, { standing: 'missed', because, deciding: raw.map(({ at }) => at) })
  }
  const unnamed = uses.filter(
    (use) => !taken.some(({ value }) => covers(value, use)) && !kept.some(({ value }) => coversAsPart(value, use)),
  )
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
