import { covers } from '../../egg/ledger'
import type { Check } from '../../limits/checksFor'
import type { BatchState } from '../../state/batch'
import type { Finding } from '../finding'
import { findingOf, type Span } from './checkWatch'

/** Egg that no step heats: proven by the pasteurized lots that were named, missed by a shell egg, never by silence. */
export function findEggLot(check: Check, batch: BatchState, span: Span, together: boolean): Finding {
  const uses = batch.terms.eggs.uses.filter(({ heated }) => !heated)
  const taken = batch.eggs.filter(({ void: gone, value }) => !gone && uses.some((use) => covers(value, use)))
  const raw = taken.filter(({ value }) => value.form !== 'pasteurized')
  if (raw.length) {
    const because = { code: 'shell egg used' as const, at: raw[0]!.at }
    return findingOf(check, span, { standing: 'missed', because, deciding: raw.map(({ at }) => at) })
  }
  const unnamed = uses.filter((use) => !taken.some(({ value }) => covers(value, use)))
  if (unnamed.length) {
    const standing = together ? 'unproven' : 'open'
    return findingOf(check, span, { standing, because: { code: 'no lot named' } })
  }
  const lots = new Set(taken.map(({ value }) => value.lot)).size
  return findingOf(check, span, {
    standing: 'proven',
    because: { code: 'pasteurized lots', lots },
    deciding: taken.map(({ at }) => at),
  })
}
