import { rewarmed } from '../../admission/cooling/rewarmed'
import type { Claim } from '../../ledger/entry'
import { limitsFrom, Story, wellMade, world } from '../../test/story'
import { at } from '../../test/traces'
import type { Read } from '../../state/state'
import { batchStanding, rulingDate } from '../batch/judgeBatch'

const again = { how: 'melted again' } as const
/** Proven at 14:00, in the warmth again at 15:00. */
function warmedAgain(): Story {
  const story = wellMade()
  story.enter('rewarmed', 300, again)
  return story
}
const admitted = (story: Story, minutes: number) =>
  rewarmed.refuse(
    { about: { type: 'batch', id: 'batch' }, at: at(minutes), body: again } as Claim<'rewarmed'>,
    ((type: string) => (type === 'batch' ? story.batch : null)) as Read,
    world,
  )

describe('a batch that is warmed again', () => {
  it('has a way back to the cold of its own, and keeps what was proven of its heat and its cooling', () => {
    const story = warmedAgain()
    story.read(310, 44)
    expect(story.finding('rewarmed', 311)).toMatchObject({ standing: 'open', deadline: at(540) })
    expect([story.standing('egg', 311), story.standing('cool-first', 311)]).toEqual(['proven', 'proven'])
    expect(batchStanding(story.findings(311))).toBe('open')
    story.read(420, 4.6)
    expect(story.standing('rewarmed', 421)).toBe('proven')
    expect(batchStanding(story.findings(421))).toBe('proven')
  })

  it('misses that way when it is read too warm too late', () => {
    const story = warmedAgain()
    story.read(310, 44)
    story.read(545, 8)
    expect(story.standing('rewarmed', 546)).toBe('missed')
  })

  it('keeps its oldest date', () => {
    const before = rulingDate(wellMade().findings(290))?.deadline
    const story = warmedAgain()
    story.read(310, 44)
    story.read(420, 4.6)
    expect(rulingDate(story.findings(430))?.deadline).toBe(before)
  })

  it('cools under the limits of heat once more where it got hot', () => {
    const story = warmedAgain()
    story.read(320, 78)
    expect(story.finding('cool-first', 321)).toMatchObject({ standing: 'open', because: { code: 'on the heat' } })
    expect(story.findings(321).some(({ check }) => check.limit.key === 'rewarmed')).toBe(false)
    story.offHeat(325)
    story.read(340, 57)
    story.read(440, 20)
    story.read(600, 4.5)
    expect([story.standing('cool-first', 601), story.standing('cool-total', 601)]).toEqual(['proven', 'proven'])
  })

  it('is refused where it is not proven, and oftener than the house allows', () => {
    const story = new Story()
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    expect(admitted(story, 20)).toMatchObject({ code: 'not proven to rewarm' })
    expect(admitted(wellMade(), 300)).toBeNull()
    const once = warmedAgain()
    once.read(310, 44)
    once.read(420, 4.6)
    expect(admitted(once, 500)).toEqual({ code: 'rewarmed enough', field: 'about.id', most: 1 })
  })

  it('has its own way also under rule sets that print none for what is made at room temperature', () => {
    const story = new Story(limitsFrom('fr-2009'))
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    story.read(15, 62.5)
    story.read(60, 9)
    story.read(90, 2.5)
    story.enter('rewarmed', 300, again)
    story.read(310, 40)
    expect(story.finding('rewarmed', 311)).toMatchObject({ standing: 'open', deadline: at(420) })
  })
})
