import { NO_MEANS, urgency, type BatchState } from '@logged-thermal/core'
import { cooling, judged } from '../test/judgedBatch'
import { judgedAt, judgedLine, shownAsked } from './kitchen'
import type { LineData } from './lineData'

const TEN = Date.UTC(2027, 2, 3, 10)
const at = (minutes: number, seconds = 0) => TEN + minutes * 60_000 + seconds * 1000

describe('the batches of a line', () => {
  const line = (batches: BatchState[]) =>
    ({ kitchen: { id: 'k', name: 'k', zone: 'UTC', unit: 'C' }, batches }) as unknown as LineData

  it('are the very same list until one of them changes, by an entry or by time', () => {
    const { batch } = cooling()
    const two = line([batch, { ...batch, id: 'other' }])
    const list = judgedLine(two, NO_MEANS, at(80))
    expect(list).toHaveLength(2)
    expect(judgedLine(two, NO_MEANS, at(80, 30))).toBe(list)
    const entered = { ...two, batches: [{ ...batch, code: '62-9' }, two.batches[1]!] }
    const after = judgedLine(entered, NO_MEANS, at(80, 30))
    expect(after).not.toBe(list)
    expect(after.find(({ batch: { id } }) => id === 'other')).toBe(list.find(({ batch: { id } }) => id === 'other'))
    expect(judgedLine(two, NO_MEANS, at(400))).not.toBe(list)
  })

  it('leave out what was thrown away, and have the most urgent first', () => {
    const { batch } = cooling()
    const cold = { ...batch, id: 'read', facts: { ...batch.facts, 'reading-taken': [] } }
    const served = { value: {}, void: false, knownAt: 0 } as unknown as BatchState['served']
    const list = judgedLine(line([{ ...batch, id: 'gone', served }, batch, cold]), NO_MEANS, at(80))
    expect(list.map(({ batch: { id } }) => id)).not.toContain('gone')
    const ranks = list.map(({ asks }) => urgency(asks, at(80)))
    expect(ranks).toEqual([...ranks].sort((a, b) => a - b))
  })
})

describe('a batch as it stands', () => {
  it('is the very same object from second to second, and another once anything changes', () => {
    const { batch } = cooling()
    const one = judgedAt(batch, 'UTC', NO_MEANS, at(80))
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(80, 1))).toBe(one)
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(80, 9))).toBe(one)
    // Looked at again and found the same.
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(80, 40))).toBe(one)
    expect(judgedAt({ ...batch }, 'UTC', NO_MEANS, at(80, 9))).not.toBe(one)
    expect(judgedAt(batch, 'UTC', { ...NO_MEANS }, at(80, 9))).not.toBe(one)
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(200))).not.toBe(one)
  })

  it('says since when its next reading is asked for, once it was shown, and nothing before that is due', () => {
    const { batch } = judged(
      [
        [10, 80],
        [14, 66],
      ],
      15,
    )
    expect(shownAsked(batch, at(15))).toBeNull()
    const { asks } = judgedAt(batch, 'UTC', NO_MEANS, at(15))
    if (asks.kind !== 'read') throw new Error(`It asks for ${asks.kind}.`)
    expect(shownAsked(batch, asks.at - 1)).toBeNull()
    expect(shownAsked(batch, asks.at + 5000)).toBe(asks.at)
  })

  it('is judged anew at the very instant at which time alone changes a finding', () => {
    const { batch } = cooling()
    const gate = judgedAt(batch, 'UTC', NO_MEANS, at(80)).findings.find(({ nextAt }) => nextAt !== null)!
    const next = gate.nextAt!
    const standingAt = (now: number) =>
      judgedAt(batch, 'UTC', NO_MEANS, now).findings.find(({ check }) => check.key === gate.check.key)
    const before = standingAt(next - 1)
    expect(standingAt(next)).not.toEqual(before)
  })
})
