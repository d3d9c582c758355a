import { at } from '../test/traces'
import { Story } from '../test/story'
import { isPressing, urgency, type Attention } from './attention'
import { isHeld } from '../state/batch'

const onTheHeat = (): Story => {
  const story = new Story()
  story.combined(5)
  story.read(6, 60)
  return story
}
const cooling = (): Story => {
  const story = onTheHeat()
  story.read(10, 80)
  story.offHeat(12)
  story.read(20, 57)
  return story
}

describe('a hold', () => {
  it.each([
    ['on the heat, read a moment ago', onTheHeat, 6.2],
    ['on the heat, due', onTheHeat, 9],
    ['cooling, read a moment ago', cooling, 21],
    ['cooling, due', cooling, 55],
  ] as const)('is a flag beside what has a time: %s', (_, make, when) => {
    const story = make()
    const before = story.asks(when)
    expect(before.kind).toBe('read')
    story.decide(when, 'hold')
    expect(story.asks(when)).toEqual(before)
    expect(isHeld(story.batch)).toBe(true)
  })
})

describe('the order of the Line', () => {
  const read = (deadline: number | null, due: number): Attention => ({
    kind: 'read',
    finding: { deadline: deadline === null ? null : at(deadline) } as never,
    at: at(due),
  })
  const rank = (asks: Attention) => urgency(asks, at(100))
  const rescue = (by: number): Attention => ({ kind: 'rescue', by: at(by) }) as never

  it('goes by the time left to the gate that a hand can still change, not by how late a reading is', () => {
    expect(rank(read(110, 99))).toBeLessThan(rank(read(300, 60)))
    // Its gate has passed unread: reading it changes nothing any more.
    expect(rank(read(110, 99))).toBeLessThan(rank(read(90, 60)))
    expect(rank(read(300, 60))).toBeLessThan(rank(read(110, 105)))
  })

  it('puts a rescue that is near before all, and one with hours left among what is due', () => {
    expect(rank(rescue(115))).toBeLessThan(rank(read(101, 99)))
    expect(rank(read(110, 99))).toBeLessThan(rank(rescue(340)))
  })

  it('is in berry only where acting within the next minutes changes the outcome', () => {
    const pressing = (asks: Attention) => isPressing(asks, at(100))
    expect([rescue(101), rescue(130), rescue(131), rescue(340)].map(pressing)).toEqual([true, true, false, false])
    expect([read(110, 98), read(200, 60), read(90, 60), read(null, 98), read(null, 100)].map(pressing)).toEqual([
      true,
      false,
      false,
      true,
      false,
    ])
    expect(pressing({ kind: 'mark', step: 'cook', edge: 'done' })).toBe(false)
  })
})
