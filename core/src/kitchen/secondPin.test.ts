import { PRACTICE } from '../rules/practice'
import type { Id } from '../ledger/subject'
import { at } from '../test/traces'
import { CHEF, COOK, idOf, KitchenStory, LEAD, OTHER } from '../test/kitchenStory'

/** A house that asks for somebody else's PIN where the lead lets an entry of their own count. Minutes are after ten. */
describe('a second pair of eyes', () => {
  const house = (secondPin?: boolean) => {
    const story = new KitchenStory()
    const { id: kitchen, limits } = story.kitchen
    const people = [
      { id: COOK, role: 'cook' as const },
      { id: CHEF, role: 'chef' as const },
      { id: LEAD, role: 'lead' as const },
      { id: OTHER, role: 'inspector' as const },
    ]
    story.enter('people-found', kitchen, -30, { people }, { by: kitchen })
    const last = story.kitchen.read('limits', limits)!.versions.at(-1)!
    const practice = { ...PRACTICE, ...(secondPin === undefined ? {} : { secondPin }) }
    const set = { ...last, version: last.version + 1, from: at(-20), practice }
    story.enter('limits-set', limits, -20, { set }, { by: LEAD })
    return story
  }
  const accept = (story: KitchenStory, batch: Id, late: Id[], secondedBy?: Id) => {
    const entries = late.map((entry) => ({ type: 'batch' as const, id: batch, entry }))
    const how = { by: LEAD, ...(secondedBy ? { secondedBy } : {}) }
    return story.post('entries-accepted', story.kitchen.id, 202, { entries, reason: 'on paper' }, how).posted
  }
  const entered = (by: Id, story = house(true)) => {
    const batch = story.cooked()
    return { story, batch, late: story.read(batch, 130, 20.4, { after: 60, by }) }
  }
  const accepted = (story: KitchenStory, batch: Id, late: Id) =>
    story.kitchen.read('batch', batch)!.facts['reading-taken'].find(({ entry }) => entry === late)!.accepted

  it('is asked for where it is the lead’s own, and stands in the record', () => {
    const { story, batch, late } = entered(LEAD)
    expect(accept(story, batch, [late])).toMatchObject({ ok: false, code: 'second needed', field: 'second' })
    expect(accepted(story, batch, late)).toBeNull()
    expect(accept(story, batch, [late], COOK)).toMatchObject({ ok: true })
    expect(accepted(story, batch, late)).toMatchObject({ by: LEAD, second: COOK })
    expect(story.kitchen.entries().at(-1)!.seal).toMatchObject({ signedBy: LEAD, secondedBy: COOK })
  })

  it.each([
    ['the lead’s own again', LEAD],
    ['of somebody who only reads', OTHER],
    ['of nobody here', idOf('a stranger')],
  ])('is not %s', (_, second) => {
    const { story, batch, late } = entered(LEAD)
    expect(accept(story, batch, [late], second)).toMatchObject({ code: 'second needed' })
  })

  it('is not asked for what somebody else entered, but for all of one act where one of it is the lead’s own', () => {
    const { story, batch, late } = entered(COOK)
    const own = story.read(batch, 135, 20, { after: 60, by: LEAD })
    expect(accept(story, batch, [late, own])).toMatchObject({ code: 'second needed' })
    expect(accept(story, batch, [late])).toMatchObject({ ok: true })
    expect(accepted(story, batch, late)).not.toHaveProperty('second')
  })

  it('is asked for under another name too, where it was entered in the lead’s own shift', () => {
    const story = house(true)
    const batch = story.cooked()
    const late = story.read(batch, 130, 20.4, { after: 60, by: COOK, postedBy: LEAD })
    expect(accept(story, batch, [late])).toMatchObject({ code: 'second needed' })
    expect(accept(story, batch, [late], CHEF)).toMatchObject({ ok: true })
  })

  it('is asked for a correction of the lead’s own that came late, of whoever’s reading', () => {
    const story = house(true)
    const batch = story.cooked()
    const reading = story.read(batch, 60, 30)
    const corrected = story.correct(batch, 190, reading, 'void', { by: LEAD })
    expect(accept(story, batch, [corrected])).toMatchObject({ code: 'second needed' })
    expect(accept(story, batch, [corrected], CHEF)).toMatchObject({ ok: true })
  })

  it('is not asked for where the house never did, or said that it does not', () => {
    for (const asks of [undefined, false]) {
      const { story, batch, late } = entered(LEAD, house(asks))
      expect(accept(story, batch, [late])).toMatchObject({ ok: true })
    }
  })
})
