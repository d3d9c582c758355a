import { waitingIn } from '../judgement/evidence/waiting'
import type { Id } from '../ledger/subject'
import { COOK, idOf, KitchenStory, LEAD, OTHER, PROBE, sha256 } from '../test/kitchenStory'

/** Readings that are copied from a sheet of paper, by two people, with its picture. Minutes are after ten. */
describe('what is copied from paper', () => {
  const paper = sha256('a sheet')
  const copied = { paper, secondedBy: OTHER }
  const body = {
    typed: { value: 20, unit: 'C' as const },
    where: 'core' as const,
    of: 'mixture' as const,
    instrument: PROBE,
  }
  const asked = (story: KitchenStory, batch: Id) =>
    waitingIn(story.kitchen.read('batch', batch)!).map(({ entry }) => entry)

  it.each([
    ['nobody', undefined],
    ['the very one who copies it', COOK],
    ['a stranger', idOf('a stranger')],
  ])('is not taken with %s looking on', (_, secondedBy) => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const how = secondedBy ? { secondedBy } : {}
    expect(story.post('reading-taken', batch, 90, { ...body, paper }, how).posted).toMatchObject({
      ok: false,
      code: 'second needed',
      field: 'second',
    })
  })

  it('is not taken in a name that was only tapped, with nobody looking on but whose shift it is', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const how = { by: COOK, postedBy: OTHER }
    const posted = (secondedBy: Id) =>
      story.post('reading-taken', batch, 90, { ...body, paper }, { ...how, secondedBy }).posted
    expect(posted(OTHER)).toMatchObject({ ok: false, code: 'second needed' })
    expect(posted(LEAD)).toMatchObject({ ok: true })
  })

  it('waits for the lead however soon it is entered, and then proves no more than "not proven" where it was missed', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const cool = () => story.standing(batch, 'cool-first', 150)
    const entries = [90, 100].map((minutes) => story.read(batch, minutes, 20, copied))
    expect(asked(story, batch)).toEqual(entries)
    expect(cool()).not.toBe('proven')
    const accepted = entries.map((entry) => ({ type: 'batch' as const, id: batch, entry }))
    story.enter(
      'entries-accepted',
      story.kitchen.id,
      110,
      { entries: accepted, reason: 'the sheet is here' },
      { by: LEAD },
    )
    expect(cool()).toBe('proven')
    expect(story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!.value.paper).toBe(paper)
  })

  it('counts against the batch at once', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 100, 20)
    expect(story.standing(batch, 'cool-first', 150)).toBe('proven')
    story.read(batch, 101, 30, copied)
    expect(story.standing(batch, 'cool-first', 150)).not.toBe('proven')
  })

  it('stays that when it is put right or moved to another pot, and nothing else becomes it', () => {
    const story = new KitchenStory()
    const [batch, other] = [story.cooked(), story.cooked('other pot')]
    const copy = story.read(batch, 100, 20, copied)
    // A tablet that leaves the paper out.
    story.correct(batch, 101, copy, {
      at: story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!.at,
      reading: body,
      batch: null,
    })
    expect(asked(story, batch)).toEqual([copy])
    const moved = story.correct(batch, 102, copy, {
      at: story.kitchen.read('batch', batch)!.facts['reading-taken'].at(-1)!.at,
      reading: body,
      batch: other,
    })
    expect(asked(story, other)).toEqual([moved])
    expect(story.standing(other, 'cool-first', 150)).not.toBe('proven')
    const typed = story.read(batch, 103, 20)
    const fact = () => story.kitchen.read('batch', batch)!.facts['reading-taken'].find(({ entry }) => entry === typed)!
    story.correct(batch, 104, typed, { at: fact().at, reading: { ...body, paper }, batch: null })
    expect(fact().value.paper).toBeUndefined()
  })
})
