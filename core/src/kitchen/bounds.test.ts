import { DAY, MINUTE } from '../ground/instant'
import { standingsOf } from '../judgement/batch/disposition'
import { portionOf } from '../judgement/lineage/portion'
import { COOK, custard, FRIDGE, idOf, KitchenStory, LEAD, OTHER } from '../test/kitchenStory'
import { at } from '../test/traces'

/** The edges of what may still be done, each to the minute: what no example in the middle would notice. */
describe('whoever decides for the lead', () => {
  it('does so until the minute that was said, and not after', () => {
    const story = new KitchenStory()
    const batch = story.begin('b')
    story.enter(
      'delegated',
      story.kitchen.id,
      1,
      { to: COOK, from: at(1), until: at(60), earlier: 'stays' },
      { by: LEAD },
    )
    const hold = (minutes: number, by = COOK) => {
      const findings = standingsOf(story.kitchen.findings(batch, at(minutes)))
      const body = { decision: 'hold' as const, reason: 'smells of the fridge', findings, core: '1' }
      return story.post('disposed', batch, minutes, body, { by }).posted
    }
    expect(hold(58, OTHER)).toMatchObject({ ok: false, code: 'may not' })
    expect(hold(59)).toMatchObject({ ok: true })
    expect(hold(60)).toMatchObject({ ok: false, code: 'may not' })
    expect(hold(DAY / MINUTE)).toMatchObject({ ok: false, code: 'may not' })
  })
})

describe('a correction by its author counts by itself', () => {
  const undo = (target: string) => ({ target, reason: 'undo' as const, now: 'void' as const, item: null })
  const done = {
    'of a mark for two minutes': {
      within: 2,
      act: (story: KitchenStory, batch: string) => story.mark(batch, 1, 'warm', 'done').id,
      gone: (story: KitchenStory, batch: string) => story.kitchen.read('batch', batch)!.facts['step-marked'][0]!.void,
    },
    'of a cover for ten': {
      within: 10,
      act: (story: KitchenStory, batch: string) => story.enter('covered', batch, 1, { cover: 'lid' }),
      gone: (story: KitchenStory, batch: string) => story.kitchen.read('batch', batch)!.facts.covered[0]!.void,
    },
    'of an addition for ten': {
      within: 10,
      act: (story: KitchenStory, batch: string) =>
        story.enter('added', batch, 1, { step: 'cook', ingredient: 'sugar', grams: 5, state: 'as it is', lot: null }),
      gone: (story: KitchenStory, batch: string) => story.kitchen.read('batch', batch)!.facts.added[0]!.void,
    },
  }
  it.each(Object.entries(done))('%s', (_, { within, act, gone }) => {
    for (const [late, counts] of [
      [0, true],
      [1, false],
    ] as const) {
      const story = new KitchenStory()
      const batch = story.begin('b')
      const target = act(story, batch)
      const when = 1 + within + late
      story.enter('corrected', batch, when, undo(target))
      expect(gone(story, batch)).toBe(counts)
    }
  })
})

it('keeps the codes of the last 300 batches apart, and lets an older one come round again', () => {
  const story = new KitchenStory()
  const begun = (code: string, minutes: number) => ({ ...story.begun('x', minutes, custard), code })
  for (let i = 0; i < 300; i++) story.enter('batch-started', idOf(`b${i}`), i / 10, begun(`62-${i}`, 0))
  const again = (code: string, name: string) => story.post('batch-started', idOf(name), 31, begun(code, 31)).posted
  expect(again('62-0', 'taken')).toMatchObject({ ok: false, code: 'code taken' })
  expect(again('62-300', 'next')).toMatchObject({ ok: true })
  expect(again('62-0', 'round')).toMatchObject({ ok: true })
  expect(again('62-2', 'still taken')).toMatchObject({ ok: false, code: 'code taken' })
})

it('takes what only core works out from core, also where the tablet leaves it out', () => {
  const story = new KitchenStory()
  const batch = story.cooked()
  const limits = story.kitchen.limitsAt(at(30))
  const said = { code: 'c-1a', as: 'portion' as const, last: false, unit: FRIDGE, shelf: 1 }
  const put = { ...said, measure: { value: 500, unit: 'g' as const } }
  const body = portionOf(story.kitchen.read('batch', batch)!, custard, put, limits, 'UTC', at(30))
  expect(body.coldAt).toBeNull()
  const silent = { ...body, coldAt: undefined, carried: undefined } as unknown as typeof body
  const item = idOf('silent')
  expect(story.post('portioned', item, 30, silent).posted).toMatchObject({ ok: true })
  expect(story.kitchen.read('item', item)).toMatchObject({ coldAt: null, carried: body.carried })
})
