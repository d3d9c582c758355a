import type { Role } from '../ledger/subject'
import type { OpenDay } from '../ledger/week'
import { kinds } from '../admission/kinds'
import { CHEF, COOK, idOf, KitchenStory, LEAD, OTHER } from '../test/kitchenStory'
import { at } from '../test/traces'

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
      story.post('role-given', story.kitchen.id, minutes, { person, role, administers: false }, { by }).posted
    expect(give(COOK, 'lead', CHEF)).toMatchObject({ code: 'may not' })
    expect(give(LEAD, 'cook')).toMatchObject({ code: 'no lead left' })
    expect(give(LEAD, null)).toMatchObject({ code: 'no lead left' })
    expect(give(CHEF, 'lead')).toMatchObject({ ok: true })
    expect(give(LEAD, null)).toMatchObject({ ok: true })
    expect(give(COOK, 'chef', LEAD, 1)).toMatchObject({ code: 'not on the list' })
    expect(give(COOK, null, CHEF, 1)).toMatchObject({ ok: true })
    expect(story.kitchen.read('kitchen', story.kitchen.id)!.people).toEqual([{ id: CHEF, role: 'lead' }])
  })

  it('are looked after by a cook or chef whom the lead asked to, who makes and unmakes no lead and nobody like themselves', () => {
    const story = new KitchenStory()
    found(story, all)
    const give = (person: string, role: Role | null, by: string, administers = false) =>
      story.post('role-given', story.kitchen.id, 0, { person, role, administers }, { by }).posted
    const password = (person: string, by: string) =>
      story.post('password-given', story.kitchen.id, 0, { person }, { by }).posted
    expect(give(OTHER, 'cook', CHEF)).toMatchObject({ code: 'may not' })
    expect(give(COOK, 'inspector', LEAD, true)).toMatchObject({ code: 'no role for it' })
    expect(give(CHEF, 'chef', LEAD, true)).toMatchObject({ ok: true })
    expect(give(OTHER, 'inspector', CHEF)).toMatchObject({ ok: true })
    expect(password(OTHER, CHEF)).toMatchObject({ ok: true })
    expect(password(LEAD, CHEF)).toMatchObject({ ok: true })
    for (const [person, role, administers] of [
      [OTHER, 'lead', false],
      [LEAD, 'cook', false],
      [LEAD, null, false],
      [OTHER, 'cook', true],
      [CHEF, 'lead', false],
      [CHEF, null, false],
    ] as const)
      expect(give(person, role, CHEF, administers)).toMatchObject({ code: 'may not' })
    expect(story.post('pin-changed', story.kitchen.id, 0, { person: COOK }, { by: CHEF }).posted).toMatchObject({
      code: 'may not',
    })
    // Nor does it make anybody decide about food.
    expect(story.post('lot-decided', idOf('no lot'), 0, lot, { by: CHEF }).posted).toMatchObject({ code: 'may not' })
    // Another role ends it, unless it is given anew.
    expect(give(CHEF, 'chef', LEAD)).toMatchObject({ ok: true })
    expect(give(OTHER, null, CHEF)).toMatchObject({ code: 'may not' })
    expect(password(CHEF, CHEF)).toMatchObject({ code: 'not there' })
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

  it('get a password as leads and auditors, from themselves or the lead', () => {
    const story = new KitchenStory()
    found(story, { ...all, [OTHER]: 'inspector' })
    const give = (person: string, by: string) =>
      story.post('password-given', story.kitchen.id, 0, { person }, { by }).posted
    expect(give(LEAD, LEAD)).toMatchObject({ ok: true })
    expect(give(OTHER, LEAD)).toMatchObject({ ok: true })
    expect(give(OTHER, OTHER)).toMatchObject({ ok: true })
    expect(give(OTHER, CHEF)).toMatchObject({ code: 'may not' })
    expect(give(COOK, COOK)).toMatchObject({ code: 'not there', field: 'body.person' })
    expect(give(CHEF, LEAD)).toMatchObject({ code: 'not there' })
  })

  it('decide for the lead in the hours that the lead gave them, and in no others', () => {
    const story = new KitchenStory()
    found(story, { ...all, [OTHER]: 'inspector' })
    const { id } = story.kitchen
    // Minutes after ten on a Friday in the kitchen's zone.
    const open = { opens: '06:00', closes: '22:00', signs: [{ person: CHEF, from: '11:00', until: '12:00' }] }
    const week = (by = LEAD, day: OpenDay = open) =>
      story.post('week-set', id, -10, { week: Array.from({ length: 7 }, () => day) }, { by }).posted
    const delegate = (to: string | null, from: number, until: number, earlier: 'stays' | 'ends' = 'stays') =>
      story.post('delegated', id, 0, { to, from: at(from), until: at(until), earlier }, { by: LEAD }).posted
    const decides = (by: string, minutes: number) =>
      (story.post('lot-decided', idOf('no lot'), minutes, lot, { by }).posted as { code: string }).code === 'not there'

    expect(week(CHEF)).toMatchObject({ code: 'may not' })
    expect(week(LEAD, { ...open, signs: [{ ...open.signs[0]!, person: OTHER }] })).toMatchObject({ code: 'not there' })
    expect(week()).toMatchObject({ ok: true })
    expect([59, 60, 119, 120].map((minutes) => decides(CHEF, minutes))).toEqual([false, true, true, false])

    expect(delegate(OTHER, 0, 60)).toMatchObject({ code: 'not there', field: 'body.to' })
    expect(delegate(COOK, 0, 32 * 24 * 60)).toMatchObject({ code: 'bad field', field: 'body.until' })
    expect(delegate(COOK, 130, 150)).toMatchObject({ ok: true })
    expect(delegate(CHEF, 140, 160)).toMatchObject({ ok: true })
    expect([129, 130, 139, 140].map((minutes) => decides(COOK, minutes))).toEqual([false, true, true, false])
    expect([139, 140, 159, 160].map((minutes) => decides(CHEF, minutes))).toEqual([false, true, true, false])

    // Naming nobody shuts the hours of the week too; nothing that was named before comes back after it.
    expect(delegate(null, 65, 70, 'ends')).toMatchObject({ ok: true })
    expect([64, 65, 69, 70].map((minutes) => decides(CHEF, minutes))).toEqual([true, false, false, true])
    expect(decides(COOK, 135)).toBe(false)
  })

  it('has a week of seven days, turns inside the opening hours, and no day that opens before the last has closed', () => {
    const parsed = (...days: unknown[]) =>
      kinds['week-set'].parse({
        path: 'body',
        value: { week: Array.from({ length: 7 }, (_, i) => days[i % days.length]) },
      })
    const hours = (opens: string, closes: string, from = opens, until = closes) => ({
      opens,
      closes,
      signs: [{ person: CHEF, from, until }],
    })
    for (const day of [hours('06:00', '22:00'), hours('22:00', '08:00'), hours('07:00', '07:00'), null])
      expect(() => parsed(day)).not.toThrow()
    expect(() => parsed(hours('06:00', '22:00', '05:45', '12:00'))).toThrow('body.week[0].signs[0].from')
    expect(() => parsed(hours('06:00', '22:00', '12:00', '22:15'))).toThrow('body.week[0].signs[0].from')
    expect(() => parsed(hours('22:00', '08:00', '09:00', '10:00'))).toThrow('body.week[0].signs[0].from')
    expect(() => parsed(hours('22:00', '08:00'), hours('06:00', '12:00'))).toThrow('body.week[0].closes')
    expect(() => parsed(hours('6:00', '25:00'))).toThrow('body.week[0].opens')
    expect(() => kinds['week-set'].parse({ path: 'body', value: { week: [null] } })).toThrow('body.week')
  })
})
