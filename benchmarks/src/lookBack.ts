import { lookBack, type BatchState, type Fact, type FailedProbe, type ReadingBody } from '@logged-thermal/core'
import { batchOfTen, dayLong } from './judging'

/** As many batches as a busy kitchen makes between two checks, and readings of each. */
const BATCHES = 500
const READINGS = 24

/** How long it takes to judge five hundred batches again, three ways each, because their probe failed. */
export function benchLookBack(now: () => number): { ms: number; batches: number; risky: number } {
  const batches = Array.from({ length: BATCHES }, (_, i) => readBy('probe', i))
  const from = now()
  const found = batches.map((batch) => lookBack(batch, 'check', { zone: 'UTC' }, 86_400_000))
  return { ms: now() - from, batches: BATCHES, risky: found.filter(({ risk }) => risk !== 'holds').length }
}

function readBy(instrument: string, i: number): BatchState {
  const batch = batchOfTen()
  const { at, celsius } = dayLong(READINGS)
  const readings = Array.from(at, (instant, r): Fact<ReadingBody> => {
    // A little apart, so that no two batches are the same.
    const value = Math.round((celsius[r]! + (i % 7) * 0.1) * 10) / 10
    const typed = { value, unit: 'C' as const }
    return fact(`${i} ${r}`, instant, { typed, where: 'core', of: 'mixture', instrument })
  })
  const failed = fact<FailedProbe>('check', 86_400_000, { instrument, since: null, error: 1.9 })
  return {
    ...batch,
    id: String(i),
    facts: { ...batch.facts, 'reading-taken': readings },
    failedProbes: [failed],
  }
}

function fact<T>(entry: string, at: number, value: T): Fact<T> {
  const told = { entry, at, madeAt: at, recordedAt: null, knownAt: at, by: 'x', postedBy: null }
  return { ...told, value, amends: [], waiting: [], late: false, void: false, accepted: null, refused: null }
}
