import fc from 'fast-check'
import { limitsFrom, method, Story, wellMade } from '../../test/story'
import { at } from '../../test/traces'
import { Timeline, timelineOf } from './timeline'

const OFF = { step: 'cook', edge: 'done' } as const
const COMBINED = { step: 'temper', edge: 'combined' } as const

function egg(story: Story, minutes: number, form: 'shell' | 'pasteurized' = 'shell'): string {
  const body = { as: 'whole' as const, cracked: 1, rejected: 0, grams: {}, size: 'EU M' as const, item: null }
  return story.enter('eggs-taken', minutes, { step: 'cook', lot: 'eggs', form, ...body })
}

describe('what happened to a batch', () => {
  it('is worked out once for each state of it', () => {
    const { batch } = wellMade()
    expect(timelineOf(batch)).toBe(timelineOf(batch))
    expect(timelineOf({ ...batch })).not.toBe(timelineOf(batch))
  })

  it('goes from step to step as it was marked and read', () => {
    const story = new Story()
    expect(timelineOf(story.batch).phase).toMatchObject({ step: 'warm', of: { part: 'dairy' }, next: COMBINED })
    story.combined(5)
    story.read(10, 80)
    expect(timelineOf(story.batch).phase).toMatchObject({ step: 'cook', next: OFF, cooking: true })
    story.offHeat(12)
    const { phase, marks } = timelineOf(story.batch)
    expect(phase).toMatchObject({ step: 'cool', next: null, cooking: false })
    expect(marks.all(COMBINED)).toEqual([at(5)])
    expect(marks.first('batch started')).toBe(at(0))
    expect(marks.first(COMBINED, at(6))).toBeNull()
  })

  it('takes a heat to have ended by the last hot reading, where it was read cold before anybody marked it', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    story.read(30, 50)
    expect(timelineOf(story.batch).at(OFF)).toBe(at(10))
    expect(timelineOf(story.batch).stepEnded('cook')).toBe(at(10))
    story.offHeat(40)
    expect(timelineOf(story.batch).at(OFF)).toBe(at(10))
  })

  it('goes on with the heat where it was put back while it was still hot, and ends it by the next mark', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    story.enter('step-marked', 15, { step: 'cook', edge: 'started', reason: null })
    expect(timelineOf(story.batch).at(OFF)).toBeNull()
    story.offHeat(18)
    expect(timelineOf(story.batch).at(OFF)).toBe(at(18))
  })

  it('counts the heat anew from what went in raw, by when it was known too', () => {
    const story = wellMade()
    expect(timelineOf(story.batch)).toMatchObject({ reopenings: [], reopenedAt: -Infinity, heatSince: -Infinity })
    const raw = egg(story, 8)
    // It tells of a time before the reading and was entered before it: it was in the pot that was read.
    expect(timelineOf(story.batch).reopenings).toEqual([at(8)])
    egg(story, 25)
    const { reopenedAt, heatSince, raw: all } = timelineOf(story.batch)
    expect(reopenedAt).toBe(at(25))
    expect(heatSince).toBe(at(25))
    expect(all).toHaveLength(2)
    expect(timelineOf(story.batch).stepEnded('cook')).toBeNull()
    story.enter('already-in', 26, { target: raw, reason: 'was in it' })
    expect(timelineOf(story.batch).reopenings).toEqual([at(0), at(25)])
  })

  it('says of pans which was read, which is the slowest, and since when it is split', () => {
    const story = wellMade()
    expect(timelineOf(story.batch).pans).toMatchObject({ count: 1, read: [], splitAt: Infinity })
    story.read(30, 50, { portion: '2' })
    story.read(31, 55, { portion: '1' })
    story.read(60, 30, { portion: '1' })
    story.read(61, 33, { portion: '2' })
    expect(timelineOf(story.batch).pans).toMatchObject({ read: ['2', '1'], slowest: '2', splitAt: at(30) })
  })

  it('takes what is to be cooled to be as warm as it was read, and what was never hot as no hotter than a kitchen', () => {
    const hot = new Story()
    expect(timelineOf(hot.batch).warmth(at(5))).toBe(80)
    hot.read(10, 57.2)
    expect(timelineOf(hot.batch).warmth(at(12))).toBe(57.2)
    const neverHot = new Story(limitsFrom('us-food-code-2022'), { ...method, cooling: 'ambient' })
    expect(timelineOf(neverHot.batch).warmth(at(5))).toBe(25)
  })

  it('begins a leg by nothing but what says so: the number by the decision, the time once its row is proven', () => {
    const story = wellMade()
    expect(timelineOf(story.batch).leg).toEqual({ number: 1, from: -Infinity, reworkedAt: -Infinity })
    story.decide(250, 'rework')
    expect(timelineOf(story.batch).leg).toEqual({ number: 2, from: -Infinity, reworkedAt: at(250) })
    story.read(270, 76)
    story.read(270.5, 76)
    expect(timelineOf(story.batch).leg.from).toBe(at(250))
  })

  it('is the same in whatever order the readings were entered, and leaves out what was taken back', () => {
    const reading = fc.record({ minutes: fc.nat(300), celsius: fc.integer({ min: 2, max: 90 }), gone: fc.boolean() })
    fc.assert(
      fc.property(fc.uniqueArray(reading, { selector: ({ minutes }) => minutes, maxLength: 8 }), (readings) => {
        const story = new Story()
        story.combined(5)
        for (const { minutes, celsius } of readings) story.read(minutes, celsius)
        const { batch } = story
        const facts = batch.facts['reading-taken'].map((fact, i) => ({ ...fact, void: readings[i]!.gone }))
        const ordered = { ...batch, facts: { ...batch.facts, 'reading-taken': facts } }
        const turned = { ...batch, facts: { ...batch.facts, 'reading-taken': [...facts].reverse() } }
        const [one, other] = [new Timeline(ordered), new Timeline(turned)]
        expect(other.core).toEqual(one.core)
        expect(one.core).toHaveLength(readings.filter(({ gone }) => !gone).length)
        expect(other.at(OFF)).toBe(one.at(OFF))
        expect(other.phase).toEqual(one.phase)
      }),
    )
  })
})
