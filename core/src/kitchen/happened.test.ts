import type { Bodies } from '../ledger/entry'
import { portionOf } from '../judgement/lineage/portion'
import { COOK, custard, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { at } from '../test/traces'

/** What has happened can always be entered: it betters nothing, opens a decision, and lists where it went. */

const ANSWER = 'the table was told and nobody had eaten of it'
const held = (story: KitchenStory) => {
  const item = story.putAway(story.made(), 245)
  story.enter('item-held', item, 250, { reason: 'smells' })
  return item
}
const sold = (value = 200, more: Partial<Bodies['item-used']> = {}): Bodies['item-used'] => ({
  measure: { value, unit: 'g' },
  then: 'sold',
  ...more,
})
const findingsOf = (story: KitchenStory, batch: string, minutes: number) =>
  story.kitchen.findings(batch, at(minutes)).map(({ check, standing }) => ({
    check: check.key,
    force: check.limit.force,
    standing,
  }))

describe('sold out of a hold', () => {
  it('is refused as a plan and taken as a fact; the lead answers before anything else of it is used', () => {
    const story = new KitchenStory()
    const item = held(story)
    expect(story.post('item-used', item, 260, sold()).posted.ok).toBe(false)
    expect(story.post('item-used', item, 260, sold(200, { happened: true })).posted.ok).toBe(true)
    expect(story.kitchen.item(item, at(261))).toMatchObject({ asks: 'lead decides', usable: false })
    // Letting it go on answers for nothing that went out.
    story.enter('item-released', item, 262, { reason: 'it smells of vanilla, as it should' }, { by: LEAD })
    expect(story.kitchen.item(item, at(263))).toMatchObject({ asks: 'lead decides', usable: false })
    expect(story.post('went-out-answered', item, 264, { reason: ANSWER }, { by: COOK }).posted.ok).toBe(false)
    expect(story.post('went-out-answered', item, 264, { reason: 'fine' }, { by: LEAD }).posted.ok).toBe(false)
    story.enter('went-out-answered', item, 265, { reason: ANSWER }, { by: LEAD })
    expect(story.kitchen.item(item, at(266))).toMatchObject({ asks: 'keep', usable: true })
    expect(story.post('went-out-answered', item, 267, { reason: ANSWER }, { by: LEAD }).posted.ok).toBe(false)
  })

  it('is asked about when nothing is left of it, and after it was said to be in the bin', () => {
    const story = new KitchenStory()
    const all = held(story)
    story.enter('item-used', all, 260, sold(2000, { happened: true }))
    expect(story.kitchen.item(all, at(261)).asks).toBe('lead decides')
    story.enter('went-out-answered', all, 262, { reason: ANSWER }, { by: LEAD })
    expect(story.kitchen.item(all, at(263)).asks).toBe('gone')
    story.enter('item-used', all, 264, sold(100, { happened: true }))
    expect(story.kitchen.item(all, at(265)).asks).toBe('lead decides')
  })

  it('hides nothing that goes into the bin', () => {
    const story = new KitchenStory()
    const item = held(story)
    story.enter('item-used', item, 260, sold(200, { happened: true }))
    expect(story.kitchen.item(item, at(20 * 24 * 60)).asks).toBe('discard')
  })
})

describe('a hold of an item', () => {
  it('hides nothing that hands must do: what is warm goes into the cold, and is not used', () => {
    const story = new KitchenStory()
    const item = held(story)
    story.air(255, 3)
    expect(story.kitchen.item(item, at(256)).asks).toBe('held')
    story.air(270, 9)
    story.air(320, 9)
    expect(story.kitchen.item(item, at(321))).toMatchObject({ asks: 'chill again', usable: false })
    expect(story.post('item-used', item, 322, sold()).posted.ok).toBe(false)
  })

  it('is also that of what it was made of: what stands with the guests goes off the table', () => {
    const story = new KitchenStory()
    const into = story.made('next')
    const part = story.putAway(story.made(), 245)
    story.enter('part-used', part, 260, story.part(part, into, 260, 'cook'))
    story.read(into, 262, 4)
    const portion = story.putAway(into, 275)
    story.enter('item-moved', portion, 280, { how: 'serve', unit: null, shelf: null })
    story.enter('item-held', part, 285, { reason: 'a splinter' })
    expect(story.kitchen.item(portion, at(286))).toMatchObject({ asks: 'held', usable: false })
  })
})

describe('in already', () => {
  it('a part out of a hold goes into the record with its allergens, and bars what is made of it', () => {
    const story = new KitchenStory()
    const item = held(story)
    const into = story.cooked('next')
    const body = story.part(item, into, 260, 'cook')
    expect(story.post('part-used', item, 260, body).posted).toMatchObject({ ok: false, code: 'item shut' })
    story.enter('part-used', item, 260, { ...body, happened: true })
    story.read(into, 270, 4)
    expect(story.kitchen.item(item, at(261)).asks).toBe('lead decides')
    const portion = story.putAway(into, 275)
    expect(story.kitchen.item(portion, at(276)).usable).toBe(false)
    expect(story.kitchen.read('item', portion)!.facts.allergens).toEqual(expect.arrayContaining(['milk', 'egg']))
  })

  it('asks the lead about a batch that is proven, until a decision of after that', () => {
    const story = new KitchenStory()
    const item = held(story)
    const batch = story.made('second')
    const body = story.part(item, batch, 256, 'cook')
    story.enter('part-used', item, 256, { ...body, happened: true })
    expect(story.kitchen.attention(batch, at(257)).kind).toBe('decide')
    const said = { code: 'z-1', as: 'portion' as const, measure: { value: 1, unit: 'g' as const }, last: true }
    const portion = portionOf(
      story.kitchen.read('batch', batch)!,
      custard,
      { ...said, unit: null, shelf: null },
      story.kitchen.limitsAt(at(257)),
      'UTC',
      at(257),
    )
    expect(story.post('portioned', idOf('last'), 257, portion).posted).toMatchObject({ code: 'not proven to leave' })
    const findings = findingsOf(story, batch, 258)
    const release = { decision: 'release' as const, reason: `${ANSWER}, looked at`, findings, core: '1' }
    story.enter('disposed', batch, 258, release, { by: LEAD })
    expect(story.kitchen.attention(batch, at(259)).kind).toBe('keep')
    // A decision of before says nothing of what went in after.
    story.enter('part-used', item, 260, { ...story.part(item, batch, 260, 'cook'), happened: true })
    expect(story.kitchen.attention(batch, at(261)).kind).toBe('decide')
  })

  it('eggs of a lot that is held are raw egg in the pot, and the lot bars what is made of it', () => {
    const story = new KitchenStory()
    const lot = idOf('lot')
    story.enter('lot-received', lot, -30, {
      code: 'L-1',
      ingredient: 'egg',
      name: 'Eggs',
      form: 'shell',
      size: 'US L',
      supplier: 'Hens',
      useBy: null,
      pasteurized: null,
      scheme: null,
      treatment: null,
      received: null,
      condition: null,
      verdict: 'hold',
      why: 'not read',
      held: null,
    })
    const batch = story.begin('pot')
    const taken: Bodies['eggs-taken'] = {
      step: 'temper',
      lot,
      form: 'shell',
      as: 'whole',
      cracked: 6,
      rejected: 0,
      grams: {},
      size: 'US L',
      item: null,
    }
    expect(story.post('eggs-taken', batch, 2, taken).posted).toMatchObject({ ok: false, code: 'lot not accepted' })
    story.enter('eggs-taken', batch, 2, { ...taken, happened: true })
    story.mark(batch, 5, 'temper', 'combined')
    story.read(batch, 10, 80)
    story.mark(batch, 12, 'cook', 'done')
    story.read(batch, 20, 57)
    story.read(batch, 100, 20)
    story.read(batch, 240, 4.5)
    expect(story.kitchen.standing(batch, at(241))).toBe('proven')
    expect(story.kitchen.attention(batch, at(241)).kind).toBe('decide')
    expect(story.kitchen.item(story.putAway(batch, 245), at(246)).usable).toBe(false)
  })
})

describe('a decision of the very moment', () => {
  it('is not one about what was told in the same millisecond', () => {
    const story = new KitchenStory()
    const batch = story.made('second')
    const item = held(story)
    const findings = findingsOf(story, batch, 256)
    const body = { decision: 'release' as const, reason: ANSWER, findings, core: '1' }
    story.enter('part-used', item, 256, { ...story.part(item, batch, 256, 'cook'), happened: true })
    story.enter('disposed', batch, 256, body, { by: LEAD })
    expect(story.kitchen.attention(batch, at(257)).kind).toBe('decide')
  })
})
