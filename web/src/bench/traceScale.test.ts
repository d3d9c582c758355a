import { windowOf } from '@logged-thermal/core'
import { traceScale } from './traceScale'
import { boardMarks } from '../board/boardMarks'
import { at, cooling, judged } from '../test/judgedBatch'

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
