import {
  attention,
  forecastOf,
  checksFor,
  FORMER_TERMS,
  judgeBatch,
  limitSetOf,
  newMethod,
  NOTHING_YET,
  ruleSets,
  type BatchState,
  type Method,
} from '@logged-thermal/core'

const TEN = Date.UTC(2027, 2, 3, 10)
export const at = (minutes: number) => TEN + minutes * 60_000
const set = limitSetOf(ruleSets['us-food-code-2022']!, { id: 'l', from: 0, unit: 'C' })
const steps = (['temper', 'cook', 'cool', 'hold'] as const).map((kind) => ({
  key: kind,
  kind,
  measures: 'mixture' as const,
}))
const vessel = { id: 'v', name: 'pan', fillDepth: 0.1 }
const method: Method = {
  ...newMethod({ id: 'm', vesselId: 'v', name: 'Custard', family: 'poured-custard' }),
  steps: [...steps],
  vessel,
}
export const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }

/** A custard under the US Food Code, read so many minutes after ten; judged at `now`, minutes too. */
export function judged(readings: [minutes: number, celsius: number][], now: number, cooked = true) {
  const told = { madeAt: 0, recordedAt: null, knownAt: at(0), by: 'x', postedBy: null }
  const fact = { ...told, amends: [], waiting: [], void: false, late: false, accepted: null, refused: null }
  const marks = [
    { ...fact, entry: 'm1', at: at(0), value: { step: 'temper', edge: 'combined' as const, reason: null } },
    ...(cooked
      ? [{ ...fact, entry: 'm2', at: at(12), value: { step: 'cook', edge: 'done' as const, reason: null } }]
      : []),
  ]
  const made: BatchState['facts']['reading-taken'] = readings.map(([minutes, celsius], i) => ({
    ...fact,
    entry: `r${i}`,
    at: at(minutes),
    madeAt: at(minutes),
    value: { typed: { value: celsius, unit: 'C' }, where: 'core', of: 'mixture', instrument: 'P2' },
  }))
  const batch: BatchState = {
    id: 'b',
    code: '62-1',
    startedAt: at(-5),
    startedBy: 'x',
    method,
    limits: { id: 'l', version: 1 },
    checks: checksFor(method, set, '2027-03-03'),
    vessel,
    factor: 1,
    terms: FORMER_TERMS,
    ...NOTHING_YET,
    facts: { ...NOTHING_YET.facts, 'step-marked': marks, 'reading-taken': made },
  }
  const findings = judgeBatch(batch, { zone: 'UTC' }, at(now))
  const asks = attention(batch, findings, { zone: 'UTC' }, at(now))
  return { batch, findings, asks, forecast: forecastOf(batch, findings), standing: 'open' as const }
}

/** Off the heat at ten past, half-way to a gate that it will miss. */
export const cooling = () =>
  judged(
    [
      [8, 64],
      [10, 80],
      [20, 57],
      [80, 40],
    ],
    81,
  )
