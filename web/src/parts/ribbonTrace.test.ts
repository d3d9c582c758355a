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
  windowOf,
  type BatchState,
  type Method,
} from '@logged-thermal/core'
import { asksWords } from '../line/asksWords'
import { lineSentence } from '../line/lineSentence'
import { traceScale } from '../bench/traceScale'
import { boardMarks } from '../bench/boardMarks'
import { ribbonTrace } from './ribbonTrace'

const TEN = Date.UTC(2027, 2, 3, 10)
const at = (minutes: number) => TEN + minutes * 60_000
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
const reader = { unit: 'C' as const, zone: 'UTC' }

function judged(readings: [minutes: number, celsius: number][], now: number, cooked = true) {
  const fact = { madeAt: 0, recordedAt: null, by: 'x', amends: [], void: false, accepted: null }
  const marks = [
    { ...fact, entry: 'm1', at: at(0), value: { step: 'temper', edge: 'combined' as const, reason: null } },
    ...(cooked
      ? [{ ...fact, entry: 'm2', at: at(12), value: { step: 'cook', edge: 'done' as const, reason: null } }]
      : []),
  ]
  const made: BatchState['readings'] = readings.map(([minutes, celsius], i) => ({
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
    marks,
    readings: made,
  }
  const findings = judgeBatch(batch, { zone: 'UTC' }, at(now))
  const asks = attention(batch, findings, { zone: 'UTC' }, at(now))
  return { batch, findings, asks, forecast: forecastOf(batch, findings), standing: 'open' as const }
}

const cooling = () =>
  judged(
    [
      [8, 64],
      [10, 80],
      [20, 57],
      [80, 40],
    ],
    81,
  )
const ribbon = ({ batch, findings, forecast }: ReturnType<typeof judged>, now: number) =>
  ribbonTrace(batch, findings, at(now), forecast)

describe('the ribbon', () => {
  it('has the floor where it was reached, the gates at their deadlines, and the wall after the last day', () => {
    const { gates, wall, read } = ribbon(cooling(), 81)
    expect(gates.map((gate) => [gate.kind, gate.at, gate.standing])).toEqual([
      ['reach', at(10), 'proven'],
      ['be under', at(140), 'open'],
      ['be under', at(380), 'open'],
    ])
    expect(wall).toBe(Date.UTC(2027, 2, 6))
    expect(read.map(({ celsius }) => celsius)).toEqual([64, 80, 57, 40])
  })

  it('shows what it will likely be at a gate that it misses, and how far that may be out', () => {
    const { gates, ahead, fan } = ribbon(cooling(), 81)
    expect(gates[1]!.clash).toBeGreaterThan(21)
    expect(gates[1]!.clash).toBeLessThan(35)
    expect(ahead[0]!.at).toBe(at(80))
    expect(ahead.every((bend, i) => i === 0 || bend.at > ahead[i - 1]!.at)).toBe(true)
    expect(fan.every(({ celsius, least, most }) => least < celsius && celsius < most)).toBe(true)
    const spreads = fan.map(({ least, most }) => most - least)
    expect(spreads[14]!).toBeGreaterThan(spreads[0]!)
  })

  it('goes as the gates ask where nothing can be forecast', () => {
    const one = judged(
      [
        [10, 80],
        [20, 57],
      ],
      21,
    )
    expect(ribbon({ ...one, forecast: null }, 21).ahead.map(({ celsius }) => celsius)).toEqual([57, 21, 5, 5])
  })

  it('puts a passed gate where it was passed', () => {
    const { gates } = ribbon(
      judged(
        [
          [10, 80],
          [20, 57],
          [70, 20],
        ],
        71,
      ),
      71,
    )
    expect(gates[1]).toMatchObject({ at: at(70), standing: 'proven', clash: null })
  })

  it('is empty before anything was read', () => {
    expect(ribbon(judged([], 5, false), 5)).toMatchObject({ read: [], ahead: [] })
  })
})

describe('the words of the Line', () => {
  it('say what to do, by when, and why', () => {
    const { asks } = cooling()
    expect(asksWords(asks, at(81), reader)).toEqual({
      action: 'Ice bath + stir',
      reason: expect.stringMatching(/^before 1[12]:\d\d or it misses 21°$/) as string,
      number: expect.stringMatching(/^\d+$/) as string,
      unit: 'min left',
    })
    expect(asksWords({ kind: 'read', finding: judged([], 5).findings[2]!, at: at(0) }, at(30), reader)).toMatchObject({
      action: 'Read now',
      number: '30',
      unit: 'min late',
    })
  })

  it('make one sentence of many batches', () => {
    const rescue = cooling()
    const proven = judged(
      [
        [10, 80],
        [20, 57],
        [70, 20],
        [200, 4],
      ],
      201,
    )
    expect(lineSentence([rescue, rescue, proven], at(81))).toEqual({ urgent: 'Two batches to rescue.', rest: '' })
    expect(lineSentence([proven], at(201))).toEqual({ urgent: null, rest: 'Nothing needs hands just now.' })
    expect(lineSentence([], at(0))).toEqual({ urgent: null, rest: 'Nothing on the stove yet.' })
  })
})

describe('the Bench', () => {
  it('never turns time back, cooking or cooling', () => {
    const cook = judged([[8, 64]], 9, false)
    for (const [one, now, cookedAt] of [
      [cooling(), 81, at(12)],
      [cook, 9, null],
    ] as const) {
      const scale = traceScale(one.batch, one.findings, cookedAt, at(8), at(now), windowOf(one.batch, one.findings))
      const places = Array.from({ length: 500 }, (_, i) => scale.x(at(i)))
      expect(places.every((place, i) => i === 0 || place > places[i - 1]!)).toBe(true)
    }
  })

  it('marks on the board what the phase asks: the floor and the ceiling, then the gates', () => {
    const { findings } = cooling()
    expect(
      boardMarks(findings, { step: 'cook', of: 'mixture', next: { step: 'cook', edge: 'done' }, cooking: true }, 'C'),
    ).toEqual([
      { value: 68, kind: 'reach' },
      { value: 85, kind: 'be under' },
    ])
    const gates = boardMarks(findings, { step: 'cool', of: 'mixture', next: null, cooking: false }, 'F')
    expect(gates.map(({ value }) => Math.round(value * 10) / 10)).toEqual([69.8, 41])
  })
})
