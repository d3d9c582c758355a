import type { Id } from '../ledger/subject'
import type { Bodies } from '../ledger/entry'
import { addDays, dayOf } from '../ground/zone'
import { batchStanding } from '../judgement/batch/judgeBatch'
import { newMethod } from '../recipe/method/newMethod'
import type { Method } from '../recipe/method/method'
import { COOK, custard, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { at } from '../test/traces'

/** What the lead signs for one method: a line in place of guidance, a bake in place of the probe. Minutes are after ten. */

const today = dayOf(at(0), 'UTC')
const DAY = 24 * 60

describe('a line signed in place of guidance', () => {
  const sign = (story: KitchenStory, line: Bodies['guidance-replaced']['line'], minutes = -20, by = LEAD) =>
    story.post(
      'guidance-replaced',
      custard.id,
      minutes,
      { limits: story.kitchen.limits, limit: 'cool-total', line },
      { by },
    ).posted
  const line = { most: 180, reason: 'Deep pans, read every half hour', validUntil: addDays(today, 90) }
  const slow = (story: KitchenStory, name: string, minutes = 0) => {
    const batch = story.begin(name, minutes)
    story.mark(batch, minutes + 5, 'temper', 'combined')
    for (const after of [10, 13, 16]) story.read(batch, minutes + after, 80)
    story.mark(batch, minutes + 17, 'cook', 'done')
    story.read(batch, minutes + 25, 63)
    story.read(batch, minutes + 90, 20)
    story.read(batch, minutes + 120, 14)
    story.read(batch, minutes + 146, 10)
    story.read(batch, minutes + 190, 7.5)
    return batch
  }

  it('asks nobody inside its bound, prints both, and ends with its last day', () => {
    const story = new KitchenStory({ ruleSet: 'uk-2013' })
    const asked = slow(story, 'before')
    expect(story.standing(asked, 'cool-total', 195)).toBe('missed')
    expect(sign(story, line, 300)).toMatchObject({ ok: true })
    const batch = slow(story, 'signed', 310)
    const { check, standing } = story.check(batch, 'cool-total', 310 + 195)
    expect(standing).toBe('proven')
    expect(check.limit).toMatchObject({
      force: 'house',
      rule: { withinMinutes: 180 },
      source: { section: line.reason },
      inPlaceOf: { force: 'guidance', rule: { withinMinutes: 90 } },
    })
    expect(story.standing(asked, 'cool-total', 520)).toBe('missed')
    const late = story.begin('late', 91 * DAY)
    expect(story.check(late, 'cool-total', 91 * DAY + 1).check.limit).toMatchObject({ force: 'guidance' })
  })

  it('is the lead’s to answer for beyond its bound', () => {
    const story = new KitchenStory({ ruleSet: 'uk-2013' })
    sign(story, { ...line, most: 120 })
    const batch = slow(story, 'pot')
    expect(story.standing(batch, 'cool-total', 195)).toBe('missed')
    expect(story.kitchen.attention(batch, at(195)).kind).toBe('decide')
  })

  it('is taken back by the lead, for batches from then on', () => {
    const story = new KitchenStory({ ruleSet: 'uk-2013' })
    sign(story, line)
    expect(sign(story, null, -10)).toMatchObject({ ok: true })
    expect(story.check(story.begin('pot'), 'cool-total', 1).check.limit.force).toBe('guidance')
  })

  it.each<[string, Partial<typeof line>, string, object]>([
    [
      'is never for longer than ninety days',
      { validUntil: addDays(today, 91) },
      'uk-2013',
      { code: 'signed too long' },
    ],
    ['is no longer than any rule set prints', { most: 361 }, 'uk-2013', { code: 'bad field' }],
    ['stands in place of nothing when it is stricter', { most: 80 }, 'uk-2013', { code: 'bad field' }],
    ['never stands in place of law', { most: 359 }, 'us-food-code-2022', { code: 'not guidance' }],
  ])('%s', (_, more, ruleSet, refused) => {
    const story = new KitchenStory({ ruleSet })
    expect(sign(story, { ...line, ...more })).toMatchObject({ ok: false, ...refused })
  })

  it('is not for a cook to sign, nor for a batch to claim', () => {
    const story = new KitchenStory({ ruleSet: 'uk-2013' })
    expect(sign(story, line, -20, COOK).ok).toBe(false)
    sign(story, line)
    const signed = story.kitchen.read('method', custard.id)!.signed
    sign(story, null, -10)
    const begun = story.begun('b', 0, custard, signed)
    expect(story.post('batch-started', idOf('b'), 0, begun).posted).toMatchObject({ ok: true })
    // What was signed no longer is: the batch is held to the guidance.
    const held = story.kitchen.read('batch', idOf('b'))!
    expect(held.checks).not.toEqual(begun.checks)
    expect(held.checks).toEqual(story.begun('c', 0, custard).checks)
  })
})

describe('a validated bake', () => {
  const sponge: Method = {
    ...newMethod({ id: idOf('sponge'), vesselId: idOf('tin'), name: 'Sponge', family: 'baked-crumb' }),
    steps: (['bake', 'hold'] as const).map((kind) => ({ key: kind, kind, measures: 'mixture' as const })),
    vessel: { id: idOf('tin'), name: 'tin', fillDepth: 0.03 },
    amounts: [
      { key: 'egg', ingredient: 'egg', grams: 500, count: 10, step: 'bake', state: 'as it is' },
      { key: 'sugar', ingredient: 'sugar', grams: 300, count: null, step: 'bake', state: 'as it is' },
    ],
  }
  const OVEN = { value: 180, unit: 'C' as const }
  interface Baking {
    deep?: number
    minutes?: number
    oven?: number | null
    core?: number | null
    after?: number
  }
  const bake = (story: KitchenStory, name: string, from: number, how: Baking = {}): Id => {
    const { minutes = 30, oven = 180, core = null, deep = 0.03, after = 0 } = how
    const batch = idOf(name)
    const begun = story.begun(name, from, sponge)
    story.enter('batch-started', batch, from, { ...begun, vessel: { ...begun.vessel, fillDepth: deep } })
    story.mark(batch, from + 1, 'bake', 'started')
    if (core !== null) story.read(batch, from + 1 + minutes - 0.5, core)
    const body = { step: 'bake', edge: 'done' as const, reason: null }
    const typed = oven === null ? {} : { oven: { value: oven, unit: 'C' as const } }
    story.enter('step-marked', batch, from + 1 + minutes, { ...body, ...typed }, { after })
    return batch
  }
  const validation = (batches: Id[], more: Partial<NonNullable<Bodies['bake-validated']['bake']>> = {}) => ({
    version: 1,
    oven: OVEN,
    minutes: 30,
    cue: 'golden, springs back',
    shownBy: { batches },
    validUntil: addDays(today, 180),
    ...more,
  })
  const sign = (story: KitchenStory, shown: Bodies['bake-validated']['bake'], minutes = 300, of = sponge, by = LEAD) =>
    story.post('bake-validated', of.id, minutes, { limits: story.kitchen.limits, step: 'bake', bake: shown }, { by })
      .posted
  const three = (story: KitchenStory, how: Baking = {}) =>
    [0, 60, 120].map((from, i) => bake(story, `shown ${i}`, from, { core: 96, ...how }))
  const validated = () => {
    const story = new KitchenStory({}, [custard, sponge])
    expect(sign(story, validation(three(story)))).toMatchObject({ ok: true })
    return story
  }

  it('closes the floor by oven, minutes and cue, which nobody reads; the record says so', () => {
    const story = validated()
    const batch = bake(story, 'later', 310, { minutes: 31 })
    const floor = story.check(batch, 'egg', 345)
    expect(floor).toMatchObject({ standing: 'proven', because: { code: 'baked as validated', minutes: 31 } })
    expect(batchStanding(story.kitchen.findings(batch, at(345)))).toBe('proven')
    expect(story.kitchen.findings(batch, at(345)).some(({ check }) => check.limit.rule.kind === 'reach')).toBe(false)
    const item = story.putAway(batch, 350, {}, sponge)
    expect(story.kitchen.read('item', item)!.facts).toMatchObject({ heat: 'cooked', needsCold: false, advisory: false })
  })

  it.each<[string, Baking]>([
    ['is another bake in a colder oven', { oven: 170 }],
    ['is another bake when it was shorter', { minutes: 29 }],
    ['is none when nobody told the oven', { oven: null }],
    ['is none when a probe read it colder', { core: 84 }],
    ['is none when its end was told late', { minutes: 31, after: 30 }],
    ['is none of a deeper tin', { deep: 0.05 }],
  ])('%s', (_, how) => {
    const story = validated()
    const batch = bake(story, 'later', 310, how)
    // 84° in the middle is proof by itself; only the bake is another.
    expect(story.check(batch, 'egg', 440).because.code).not.toBe('baked as validated')
  })

  it('is opened again by raw egg that went in after', () => {
    const story = validated()
    const batch = bake(story, 'later', 310)
    story.enter('added', batch, 345, { step: 'bake', ingredient: 'white', grams: 30, state: 'as it is', lot: null })
    expect(story.standing(batch, 'egg', 600)).not.toBe('proven')
  })

  it('needs the cold again once something that spoils went in', () => {
    const story = validated()
    const batch = bake(story, 'later', 310)
    story.enter('added', batch, 345, { step: 'bake', ingredient: 'cream-36', grams: 200, state: 'as it is', lot: null })
    const keys = story.kitchen.findings(batch, at(346)).map(({ check }) => check.limit.key)
    expect(keys).toEqual(expect.arrayContaining(['cold-holding', 'date-marking']))
    expect(story.kitchen.read('item', story.putAway(batch, 350, {}, sponge))!.facts.needsCold).toBe(true)
  })

  it('needs the cold also for cream that is said to have gone in before the oven, once it came out', () => {
    const story = validated()
    const batch = bake(story, 'later', 310)
    const cream = { step: 'bake', ingredient: 'cream-36', grams: 200, state: 'as it is' as const, lot: null }
    story.enter('added', batch, 335, cream, { after: 10 })
    expect(story.kitchen.read('item', story.putAway(batch, 350, {}, sponge))!.facts.needsCold).toBe(true)
  })

  it('keeps no filling without cold, baked along or not', () => {
    const story = validated()
    const filling = story.putAway(story.made('filling'), 550)
    const batch = story.begin('tart', 560, sponge)
    story.enter('part-used', filling, 561, story.part(filling, batch, 561, 'bake'))
    story.mark(batch, 562, 'bake', 'started')
    const out = { step: 'bake', edge: 'done' as const, reason: null, oven: OVEN }
    story.enter('step-marked', batch, 593, out)
    const item = story.putAway(batch, 600, {}, sponge)
    expect(story.kitchen.read('item', item)!.facts).toMatchObject({ needsCold: true, allergens: ['egg', 'milk'] })
    expect(story.kitchen.item(item, at(601)).until).toBeLessThanOrEqual(story.kitchen.item(filling, at(601)).until!)
  })

  it('holds for its interval and its version', () => {
    const story = validated()
    expect(story.check(story.begin('next', 400, sponge), 'egg', 401).check.bake).toBeDefined()
    expect(story.check(story.begin('old', 181 * DAY, sponge), 'egg', 181 * DAY + 1).check.bake).toBeUndefined()
    const newer = { ...sponge, version: 2, amounts: [...sponge.amounts] }
    const again = validated()
    again.publish(newer, 400)
    expect(again.check(again.begin('newer', 410, newer), 'egg', 411).check.bake).toBeUndefined()
  })

  it.each<[string, (story: KitchenStory) => Bodies['bake-validated']['bake'], object]>([
    ['three different bakes', (story) => validation(three(story).slice(0, 2)), { code: 'bakes wanting' }],
    ['90° in the middle', (story) => validation(three(story, { core: 88 })), { code: 'bake not shown' }],
    ['a probe', (story) => validation(three(story, { core: null })), { code: 'bake not shown' }],
    ['no hotter oven', (story) => validation(three(story, { oven: 190 })), { code: 'bake not shown' }],
    ['tins as deep', (story) => validation(three(story, { deep: 0.02 })), { code: 'bake not shown' }],
    ['no longer a bake', (story) => validation(three(story, { minutes: 34 })), { code: 'bake not shown' }],
    [
      'the same method',
      (story) => validation([story.made('a'), story.made('b'), story.made('c')]),
      { code: 'bake not shown' },
    ],
    [
      'its interval',
      (story) => validation(three(story), { validUntil: addDays(today, 181) }),
      { code: 'signed too long' },
    ],
  ])('is signed only on %s', (_, shown, refused) => {
    const story = new KitchenStory({}, [custard, sponge])
    expect(sign(story, shown(story))).toMatchObject({ ok: false, ...refused })
  })

  it('may rest on a study where no probe fits, never in a custard, never by a cook', () => {
    const story = new KitchenStory({}, [custard, sponge])
    const study = validation([], { shownBy: { study: 'Wafer study W-3, 2 mm' } })
    expect(sign(story, study, 10, custard)).toMatchObject({ ok: false, code: 'not crumb' })
    expect(sign(story, study, 11, sponge, COOK).ok).toBe(false)
    expect(sign(story, study, 12)).toMatchObject({ ok: true })
    expect(story.standing(bake(story, 'wafer', 20), 'egg', 60)).toBe('proven')
  })
})
