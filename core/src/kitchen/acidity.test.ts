import type { AcidDocument } from '../recipe/checks/acidDocument'
import type { AcidityMeasure } from '../recipe/checks/acidity'
import { acidKeeping } from '../judgement/lineage/acidKeeping'
import { itemWalls } from '../judgement/dates/walls'
import { COOK, custard, KitchenStory, LEAD } from '../test/kitchenStory'
import { item, lastDay } from '../test/pot'
import { at } from '../test/traces'

/** A document lets a dessert keep by its pH; each batch's own figure has to be inside. Day one is 3 March. */

const document = (more: Partial<AcidDocument> = {}): AcidDocument => ({
  version: 1,
  by: 'authority',
  issuer: 'Harbour county',
  number: 'V-12',
  least: null,
  most: 4.2,
  how: 'of the strained curd, at 20°, one jar a batch',
  days: 21,
  needsCold: true,
  validUntil: '2027-09-01',
  ...more,
})
const measure = (ph: number, more: Partial<AcidityMeasure> = {}): AcidityMeasure => ({
  ph,
  phTolerance: 0.05,
  waterActivity: null,
  waterTolerance: 0.01,
  meter: 'M1',
  buffers: [
    { nominal: 4.01, read: 4.02 },
    { nominal: 7, read: 7 },
  ],
  ...more,
})

function kitchen(of: AcidDocument | null) {
  const story = new KitchenStory()
  if (of) story.enter('acidity-documented', custard.id, -20, { document: of }, { by: LEAD })
  return { story, pot: story.made('pot') }
}
const measured = (story: KitchenStory, pot: string, minutes: number, said = measure(4)) =>
  story.enter('acidity-measured', pot, minutes, said)
const dated = (story: KitchenStory, pot: string, minutes = 260) => lastDay(story, story.putAway(pot, minutes))
const why = (story: KitchenStory, pot: string, minutes: number) => {
  const keeping = acidKeeping(story.kitchen.read('batch', pot)!, 'UTC', at(minutes))
  return keeping.holds ? null : keeping.why
}
const ORDINARY = '2027-03-05'

it('keeps for the days of an authority, by its own pH; without a document it is written down and changes nothing', () => {
  const { story, pot } = kitchen(document())
  expect(why(story, pot, 250)).toBe('not measured')
  measured(story, pot, 250)
  expect(dated(story, pot)).toBe('2027-03-23')
  const portion = item(story, story.putAway(pot, 261))
  expect(itemWalls(portion, 'UTC')[0]!.keep).toMatchObject({ force: 'law', source: { document: 'Harbour county' } })
  expect(portion.facts.needsCold).toBe(true)
  const none = kitchen(null)
  measured(none.story, none.pot, 250)
  expect([why(none.story, none.pot, 251), dated(none.story, none.pot)]).toEqual(['no document', ORDINARY])
})

it('needs no cold only where an authority or an assessment says so, or the code itself asks for none', () => {
  const cold = (of: Partial<AcidDocument>, ph: number) => {
    const { story, pot } = kitchen(document({ needsCold: false, most: 4.6, ...of }))
    measured(story, pot, 250, measure(ph))
    return item(story, story.putAway(pot, 260)).facts.needsCold
  }
  expect(cold({ by: 'assessment' }, 4.4)).toBe(false)
  expect(cold({ by: 'house' }, 4.4)).toBe(true)
  // Under 4.2 the code's own table asks for no control.
  expect(cold({ by: 'house' }, 4)).toBe(false)
})

it('is only shortened by the house, but where the code asks for no control or leaves the days to the maker', () => {
  const days = (of: Partial<AcidDocument>, ph = 4.4) => {
    const { story, pot } = kitchen(document({ by: 'house', most: 4.6, ...of }))
    measured(story, pot, 250, measure(ph))
    return dated(story, pot)
  }
  expect([days({ days: 2 }), days({ days: 21 })]).toEqual(['2027-03-04', ORDINARY])
  expect(days({ days: 21 }, 4)).toBe('2027-03-23')
  // Where the rule set prints no days, they are the maker's to set.
  const lines = { 'date-marking': { rule: { kind: 'days' as const, days: 4 }, reason: 'looked at by two' } }
  const story = new KitchenStory({ ruleSet: 'uk-2013', lines })
  const mine = document({ by: 'house', most: 4.6 })
  story.enter('acidity-documented', custard.id, -20, { document: mine }, { by: LEAD })
  const pot = story.begin('pot')
  story.mark(pot, 5, 'temper', 'combined')
  for (const minutes of [10, 10.4]) story.read(pot, minutes, 82)
  story.mark(pot, 12, 'cook', 'done')
  for (const [minutes, celsius] of [
    [20, 57],
    [60, 20],
    [100, 7],
  ] as const)
    story.read(pot, minutes, celsius)
  measured(story, pot, 110, measure(4.4))
  expect([why(story, pot, 111), dated(story, pot, 111)]).toEqual([null, '2027-03-23'])
})

describe('every doubt leaves the ordinary days', () => {
  const { story: base } = kitchen(null)
  it.each<[string, (story: KitchenStory, pot: string) => void]>([
    ['outside', (story, pot) => measured(story, pot, 250, measure(4.18))],
    ['outside', (story, pot) => [measure(4), measure(4.6)].forEach((each, i) => measured(story, pot, 250 + i, each))],
    [
      'meter not checked',
      (story, pot) => measured(story, pot, 250, measure(4, { buffers: [{ nominal: 7, read: 7 }] })),
    ],
    ['not finished', (story, pot) => measured(story, pot, 150)],
    [
      'not measured',
      (story, pot) => {
        story.enter('acidity-measured', pot, 245, measure(4), { after: 60 })
      },
    ],
    [
      'changed since',
      (story, pot) => {
        measured(story, pot, 250)
        const sugar = { step: 'hold', ingredient: 'sugar', grams: 200, state: 'as it is' as const, lot: null }
        story.enter('added', pot, 252, sugar)
      },
    ],
  ])('%s', (said, act) => {
    const { story, pot } = kitchen(document())
    act(story, pot)
    expect([why(story, pot, 320), dated(story, pot, 320)]).toEqual([said, ORDINARY])
  })

  it('is measured too late by the clock of another day, or its document has ended meanwhile', () => {
    const { story, pot } = kitchen(document({ validUntil: '2027-03-04' }))
    measured(story, pot, 250)
    expect(why(story, pot, 260)).toBeNull()
    expect(why(story, pot, 2 * 24 * 60)).toBe('ended')
    expect(base.kitchen.read('method', custard.id)!.signed.acid).toBeNull()
  })

  it('never where raw egg is in it after the heat', () => {
    const { story, pot } = kitchen(document({ needsCold: false }))
    const yolk = { step: 'hold', ingredient: 'yolk', grams: 60, state: 'as it is' as const, lot: null }
    story.enter('added', pot, 245, { ...yolk, happened: true })
    measured(story, pot, 250)
    const portion = item(story, story.putAway(pot, 260))
    expect(portion.facts).toMatchObject({ heat: 'raw', needsCold: true })
    expect(itemWalls(portion, 'UTC')[0]!.keep?.what).toBe('hours')
  })
})

it('is the lead’s to sign, for the version in force, for a year at most', () => {
  const { story } = kitchen(null)
  const sign = (of: AcidDocument, by = LEAD) =>
    story.post('acidity-documented', custard.id, 10, { document: of }, { by }).posted
  expect(sign(document(), COOK)).toMatchObject({ ok: false })
  expect(sign(document({ version: 2 }))).toMatchObject({ code: 'older version' })
  expect(sign(document({ validUntil: '2028-05-01' }))).toMatchObject({ code: 'signed too long' })
  expect(sign(document({ validUntil: '2027-03-02' }))).toMatchObject({ code: 'signed too long' })
  expect(sign(document({ least: 4.2 }))).toMatchObject({ code: 'bad field', field: 'body.document.least' })
  expect(sign(document({ days: 400 }))).toMatchObject({ code: 'bad field' })
  expect(sign(document())).toMatchObject({ ok: true })
  // A batch keeps what it began under, and a new version has none.
  const pot = story.made('after')
  story.enter('acidity-documented', custard.id, 245, { document: null }, { by: LEAD })
  expect(story.kitchen.read('batch', pot)!.terms.acid).toMatchObject({ number: 'V-12' })
})
