import {
  checksFor,
  type Check,
  limitSetOf,
  ruleSets,
  type Method,
  newMethod,
  NOTHING_YET,
  type BatchState,
  FORMER_TERMS,
  type Stream,
  judgeOf,
  type Judge,
} from '@logged-thermal/core'

/** Cooked for half an hour, cooled for six hours, held for the rest of a day, with the ripple of a real probe; °C. */
export function dayLong(readings: number): Stream {
  const at = new Float64Array(readings)
  const celsius = new Float64Array(readings)
  for (let i = 0; i < readings; i++) {
    const minutes = (i / readings) * 1440
    const base =
      minutes < 30
        ? 20 + 2 * minutes
        : minutes < 390
          ? 3 + 77 * Math.exp(-(minutes - 30) / 70)
          : 3.4 + Math.sin(minutes / 9)
    at[i] = Math.round((i / readings) * 86_400_000)
    celsius[i] = base + 0.2 * Math.sin(i * 1.7)
  }
  return { instrument: 'probe', where: 'core', of: 'mixture', at, celsius }
}

/** A batch with ten checks that readings decide: floors, ceiling, gates, levels, time in a band. */
export function batchOfTen(): BatchState {
  const method: Method = {
    ...newMethod({ id: 'method', vesselId: 'pan', name: 'bench', family: 'poured-custard' }),
    steps: (['temper', 'cook', 'cool', 'hold'] as const).map((kind) => ({ key: kind, kind, measures: 'mixture' })),
  }
  const all = Object.values(ruleSets).flatMap((set) =>
    checksFor(method, limitSetOf(set, { id: 'limits', from: 0 }), '2027-01-01'),
  )
  const read = all.filter(({ limit }) => !['days', 'no number'].includes(limit.rule.kind) && limit.key !== 'rework')
  const distinct = new Map(read.map((check): [string, Check] => [`${check.limit.origin}:${check.limit.key}`, check]))
  const checks = TEN.map((key) => ({ ...distinct.get(key)!, key }))
  const mark = (step: string, edge: 'combined' | 'done', at: number) => ({
    entry: `${step} ${edge}`,
    at,
    madeAt: at,
    recordedAt: null,
    knownAt: at,
    by: 'x',
    postedBy: null,
    value: { step, edge, reason: null },
    amends: [],
    waiting: [],
    late: false,
    void: false,
    accepted: null,
    refused: null,
  })
  return {
    id: 'batch',
    code: '1-1',
    startedAt: 0,
    startedBy: 'x',
    method,
    limits: { id: 'limits', version: 1 },
    checks,
    vessel: method.vessel,
    factor: 1,
    terms: FORMER_TERMS,
    ...NOTHING_YET,
    facts: {
      ...NOTHING_YET.facts,
      'step-marked': [mark('temper', 'combined', 60_000), mark('cook', 'done', 1_860_000)],
    },
  }
}

/** The checks that are judged: each by its origin and key. */
export const TEN = [
  'us-food-code-2022:egg',
  'uk-2013:egg',
  'method:ceiling',
  'us-food-code-2022:cool-first',
  'us-food-code-2022:cool-total',
  'anz-3-2-2:cool-first',
  'anz-3-2-2:cool-second',
  'fr-2009:cool-total',
  'us-food-code-2022:cold-holding',
  'anz-3-2-2:exposure',
]

/** Ratios of judging to one bare integral over the same readings. All durations ms, medians of `rounds`. */
export function benchJudging(now: () => number, rounds = 15) {
  const batch = batchOfTen()
  const stream = dayLong(86_400)
  const whole: number[] = []
  const bare: number[] = []
  for (let round = 0; round < rounds; round++) {
    whole.push(timed(now, () => judgeOf(batch, [stream], { zone: 'UTC' }).findings(86_400_000)))
    bare.push(timed(now, () => bareIntegral(stream)))
  }
  return {
    checks: TEN,
    wholeMs: median(whole),
    bareMs: median(bare),
    addAt1000: median(Array.from({ length: rounds }, () => perAdd(now, batch, 1_000))),
    addAt86400: median(Array.from({ length: rounds }, () => perAdd(now, batch, 86_400))),
  }
}

/** A judge that holds so many readings, for weighing. */
export function judgeHolding(readings: number): Judge {
  const judge = judgeOf(batchOfTen(), [], { zone: 'UTC' })
  const { at, celsius } = dayLong(readings)
  for (let i = 0; i < readings; i++) judge.add('probe', at[i]!, celsius[i]!)
  return judge
}

/** Microseconds for one more reading on a trace of so many. */
function perAdd(now: () => number, batch: BatchState, readings: number): number {
  const judge = judgeOf(batch, [dayLong(readings)], { zone: 'UTC' })
  const more = 20_000
  const took = timed(now, () => {
    for (let i = 1; i <= more; i++) judge.add('probe', 86_400_000 + i * 1000, 4 + (i % 7) / 10)
    return judge.findings(86_400_000)
  })
  return (took * 1000) / more
}

/** What it is measured against: one integral of a rate over typed arrays, and nothing else. */
function bareIntegral({ at, celsius }: Stream): number {
  let sum = 0
  const perDegree = Math.LN10 / 7.5
  for (let i = 1; i < at.length; i++) {
    const mean = (celsius[i]! + celsius[i - 1]!) / 2
    sum += (at[i]! - at[i - 1]!) * Math.exp(perDegree * (mean - 70))
  }
  return sum
}

function timed(now: () => number, work: () => unknown): number {
  const began = now()
  const result = work()
  const took = now() - began
  // The result is looked at, so that no compiler leaves the work out.
  return result === undefined ? NaN : took
}

function median(values: readonly number[]): number {
  return [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)]!
}
