import { NO_MEANS } from '@logged-thermal/core'
import { cooling } from '../test/judgedBatch'
import { judgedAt } from './kitchen'

const TEN = Date.UTC(2027, 2, 3, 10)
const at = (minutes: number, seconds = 0) => TEN + minutes * 60_000 + seconds * 1000

describe('a batch as it stands', () => {
  it('is the very same object from second to second, and another once anything changes', () => {
    const { batch } = cooling()
    const one = judgedAt(batch, 'UTC', NO_MEANS, at(80))
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(80, 1))).toBe(one)
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(80, 9))).toBe(one)
    expect(judgedAt({ ...batch }, 'UTC', NO_MEANS, at(80, 9))).not.toBe(one)
    expect(judgedAt(batch, 'UTC', { ...NO_MEANS }, at(80, 9))).not.toBe(one)
    expect(judgedAt(batch, 'UTC', NO_MEANS, at(79))).not.toBe(one)
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
