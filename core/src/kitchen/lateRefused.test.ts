import { waitingIn } from '../judgement/evidence/waiting'
import { changesIn } from '../judgement/log/changes'
import { COOK, KitchenStory, LEAD } from '../test/kitchenStory'

describe('what came late and the lead refused', () => {
  it('goes on denying once the lead has refused it, waits no more, and may be let count later', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const early = story.read(batch, 60, 30)
    const late = story.read(batch, 70, 65, { after: 60 })
    const denial = story.correct(batch, 132, early)
    const before = story.standing(batch, 'cool-first', 200)
    const entries = [late, denial].map((entry) => ({ type: 'batch' as const, id: batch, entry }))
    const decide = (kind: 'entries-refused' | 'entries-accepted', minutes: number, by = LEAD) =>
      story.post(kind, story.kitchen.id, minutes, { entries, reason: 'nobody saw it' }, { by }).posted
    const { kitchen } = story
    const changes = () => changesIn(kitchen.read('batch', batch)!).map(({ stands }) => stands)
    expect(waitingIn(kitchen.read('batch', batch)!)).toHaveLength(2)
    expect(changes()).toEqual(['waits', 'waits'])
    expect(decide('entries-refused', 200, COOK)).toMatchObject({ ok: false, code: 'may not' })
    expect(decide('entries-refused', 201)).toMatchObject({ ok: true })
    expect(waitingIn(kitchen.read('batch', batch)!)).toEqual([])
    expect(changes()).toEqual(['refused', 'refused'])
    expect(story.standing(batch, 'cool-first', 202)).toBe(before)
    // What no longer waits is not refused again.
    expect(decide('entries-refused', 203)).toMatchObject({ ok: false, code: 'not there' })
    expect(decide('entries-accepted', 204)).toMatchObject({ ok: true })
    expect(changes()).toEqual(['accepted', 'accepted'])
  })

  it('is asked about anew once its author puts another value in its place', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const late = story.read(batch, 70, 65, { after: 30 })
    const entries = [{ type: 'batch' as const, id: batch, entry: late }]
    story.enter('entries-refused', story.kitchen.id, 102, { entries, reason: 'nobody saw it' }, { by: LEAD })
    const state = () => story.kitchen.read('batch', batch)!
    const fact = state().facts['reading-taken'].find(({ entry }) => entry === late)!
    const typed = { value: 20, unit: 'C' as const }
    story.correct(batch, 104, late, { at: fact.at, reading: { ...fact.value, typed }, batch: null })
    expect(waitingIn(state()).map(({ entry }) => entry)).toEqual([late])
    expect(story.standing(batch, 'cool-first', 105)).not.toBe('proven')
  })
})
