import { MINUTE, type Instant } from '../ground/instant'
import { celsiusOf, type Typed } from '../ground/temperature'
import type { Against, CheckFound } from '../ledger/instrumentEntries'
import { boilingPoint } from '../physics/heating/boilingPoint'
import { hundredths, offAt, passBefore, type InstrumentState } from './instrument'

/** So many readings make a check: the middle one counts. House rule. */
export const CHECK_READINGS = 3
/** They lie no further apart than this, °C: until then it has not settled. House rule. */
export const STEADY = 0.5
/** A check that is entered later than this speaks only from when the kitchen knew of it, ms. House rule. */
export const CHECK_LATE_AFTER = 15 * MINUTE

/**
 * What a check shows: how far the instrument is out, whether it passes, and what a failure throws doubt on. Touching the
 * tolerance passes.
 * @param shown as it showed, the middle one counts; none for buffers
 * @param other the instrument it is compared with, where it is
 */
export function checkFound(
  instrument: InstrumentState,
  { at, against, shown }: { at: Instant; against: Against; shown: readonly Typed[] },
  other: InstrumentState | null,
): CheckFound {
  const { reference, error } =
    against.kind === 'buffers' ? worstBuffer(against.buffers) : outBy(against, shown, at, other)
  const passed = Math.abs(error) <= instrument.tolerance + TINY
  if (passed) return { reference, error, passed, since: null, doubted: [] }
  const since = passBefore(instrument.history, at)?.at ?? null
  const doubted = instrument.uses
    .filter(({ type, last }) => type !== 'instrument' && (since === null || last >= since))
    .map(({ type, id }) => ({ type, id }))
  return { reference, error, passed, since, doubted }
}

// Far under any last digit: 0.3 − 0.1 is 0.2.
const TINY = 1e-9

function outBy(
  against: Exclude<Against, { kind: 'buffers' }>,
  shown: readonly Typed[],
  at: Instant,
  other: InstrumentState | null,
): { reference: number; error: number } {
  const reference = hundredths(checkReference(against, at, other))
  return { reference, error: hundredths(middle(shown.map(celsiusOf)) - reference) }
}

/**
 * Ice water is 0 °C; boiling water by the altitude; what a laboratory's was as its certificate says; another instrument as
 * its own last check corrects it.
 */
export function checkReference(
  against: Exclude<Against, { kind: 'buffers' }>,
  at: Instant,
  other: InstrumentState | null,
): number {
  if (against.kind === 'ice') return 0
  if (against.kind === 'boiling') return boilingPoint(against.altitude)
  if (against.kind === 'certificate') return celsiusOf(against.truth)
  const celsius = celsiusOf(against.shown)
  return other ? celsius - offAt(other, at, celsius) : celsius
}

function worstBuffer(buffers: readonly { nominal: number; read: number }[]): { reference: number; error: number } {
  const all = buffers.map(({ nominal, read }) => ({ reference: nominal, error: hundredths(read - nominal) }))
  return all.reduce((worst, each) => (Math.abs(each.error) > Math.abs(worst.error) ? each : worst), all[0]!)
}

/** How far apart readings lie, °C. */
export function spread(shown: readonly Typed[]): number {
  const all = shown.map(celsiusOf)
  return hundredths(Math.max(...all) - Math.min(...all))
}

function middle(values: readonly number[]): number {
  const sorted = [...values].sort((a, b) => a - b)
  return sorted[Math.floor(sorted.length / 2)] ?? 0
}
