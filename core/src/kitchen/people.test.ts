import type { Role } from '../ledger/subject'
import { CHEF, COOK, idOf, KitchenStory, LEAD, OTHER } from '../test/kitchenStory'

/** Who may do what, once the logbook itself says so. Minutes are after ten. */
describe('people', () => {
  const found = (story: KitchenStory, roles: Record<string, Role>) => {
    const people = Object.entries(roles).map(([id, role]) => ({ id, role }))
    return story.post('people-found', story.kitchen.id, -20, { people }, { by: story.kitchen.id }).posted
  }
  const all = { [COOK]: 'cook', [CHEF]: 'chef', [LEAD]: 'lead' } as const
  const lot = { verdict: 'accept' as const, reason: 'the papers came after all', item: null }

  it('are who the logbook says, whatever a list beside it says', () => {
    const story = new KitchenStory()
    expect(found(story, { ...all, [COOK]: 'lead', [LEAD]: 'cook' })).toMatchObject({ ok: true })
    const decided = (by: string) => story.post('lot-decided', idOf('no lot'), 0, lot, { by }).posted
    expect(decided(LEAD)).toMatchObject({ code: 'may not' })
    expect(decided(COOK)).toMatchObject({ code: 'not there' })
    expect(story.post('noted', story.begin('b'), 1, { text: 'x' } as never, { by: OTHER }).posted).toMatchObject({
      ok: false,
    })
  })

  it('are found once, by the program and by nobody in its name', () => {
    const story = new KitchenStory()
    const { id } = story.kitchen
    const people = [{ id: COOK, role: 'lead' as const }]
    const claim = (by: string, postedBy: string) =>
      story.post('people-found', id, -20, { people }, { by, postedBy }).posted
    expect(claim(LEAD, LEAD)).toMatchObject({ code: 'may not' })
    expect(claim(id, COOK)).toMatchObject({ code: 'sign yourself' })
    expect(claim(COOK, id)).toMatchObject({ code: 'may not' })
    expect(found(story, all)).toMatchObject({ ok: true })
    expect(found(story, all)).toMatchObject({ code: 'already there' })
    expect(
      story.post('restored', id, 0, { backupMade: 1e12, seq: 1, hash: '0'.repeat(64) }, { by: LEAD }).posted,
    ).toMatchObject({
      code: 'may not',
    })
  })

  it('get a role from the lead alone, at once, and the last lead keeps theirs', () => {
    const story = new KitchenStory()
    found(story, all)
    const give = (person: string, role: Role | null, by = LEAD, minutes = 0) =>
      story.post('role-given', story.kitchen.id, minutes, { person, role }, { by }).posted
    expect(give(COOK, 'lead', CHEF)).toMatchObject({ code: 'may not' })
    expect(give(LEAD, 'cook')).toMatchObject({ code: 'no lead left' })
    expect(give(LEAD, null)).toMatchObject({ code: 'no lead left' })
    expect(give(CHEF, 'lead')).toMatchObject({ ok: true })
    expect(give(LEAD, null)).toMatchObject({ ok: true })
    expect(give(COOK, 'chef', LEAD, 1)).toMatchObject({ code: 'not on the list' })
    expect(give(COOK, null, CHEF, 1)).toMatchObject({ ok: true })
    expect(story.kitchen.read('kitchen', story.kitchen.id)!.people).toEqual([{ id: CHEF, role: 'lead' }])
  })

  it('change their own PIN, and the lead anybody’s', () => {
    const story = new KitchenStory()
    found(story, all)
    const change = (person: string, by: string) =>
      story.post('pin-changed', story.kitchen.id, 0, { person }, { by }).posted
    expect(change(COOK, COOK)).toMatchObject({ ok: true })
    expect(change(COOK, LEAD)).toMatchObject({ ok: true })
    expect(change(LEAD, COOK)).toMatchObject({ code: 'may not' })
    expect(change(COOK, CHEF)).toMatchObject({ code: 'may not' })
  })
})
