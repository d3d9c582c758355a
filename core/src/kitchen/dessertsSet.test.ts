import { itemWalls } from '../judgement/dates/walls'
import { custard, idOf, KitchenStory } from '../test/kitchenStory'
import { COOLED, eggs, item, lastDay, Pot, waits, written } from '../test/pot'
import { at } from '../test/traces'

/** Desserts that set, are folded raw or are melted again, as their cooks make them. */

it('set by acid: no floor, its gates, a counted set, and pH that changes no day', () => {
  const posset = written(
    'Posset',
    'acid-cream',
    [
      ['warm', 'heat dairy'],
      ['acid', 'add after heat'],
      ['cool', 'cool'],
      ['set', 'set', waits(240, 1440)],
      ['hold', 'hold'],
    ],
    [
      ['cream-36', 2000, 'warm'],
      ['lemon-juice', 260, 'acid'],
    ],
  )
  const story = new KitchenStory({}, [custard, posset])
  const pot = new Pot(story, posset)
  pot.reads([8, 92])
  pot.ends(12, 'warm')
  pot.ends(13, 'acid')
  pot.reads(...COOLED)
  expect(pot.stands('egg', 231)).toBeUndefined()
  expect(pot.asks(231)).toMatchObject({ kind: 'step', step: 'set', at: at(470) })
  const buffers = [
    { nominal: 4.01, read: 4.01 },
    { nominal: 7, read: 7 },
  ]
  const ph = { ph: 3.9, phTolerance: 0.02, waterActivity: null, waterTolerance: 0, meter: 'M1', buffers }
  pot.ends(471, 'set')
  const before = lastDay(story, story.putAway(pot.id, 472, {}, posset))
  story.enter('acidity-measured', pot.id, 473, ph)
  expect(lastDay(story, story.putAway(pot.id, 474, { last: true }, posset))).toBe(before)
})

it('only warmed, never hot: it cools as what is made at room temperature, by its warmest reading', () => {
  const cream = written(
    'Berry set cream',
    'gelatine-cream',
    [
      ['soak', 'mise', { part: 'gelatine' }],
      ['warm', 'heat dairy'],
      ['cool', 'cool', { target: { from: { c: 15, f: 59 }, to: { c: 20, f: 68 } } }],
      ['set', 'set', waits(180, 1440)],
      ['hold', 'hold'],
    ],
    [
      ['gelatine', 20, 'soak'],
      ['cream-36', 1500, 'warm'],
    ],
  )
  const story = new KitchenStory({}, [custard, cream])
  const pot = new Pot(story, cream)
  pot.ends(1, 'soak')
  pot.reads([6, 44])
  pot.ends(8, 'warm')
  expect(pot.stands('cool-ambient', 9)).toBe('open')
  pot.reads([25, 19])
  // Into the cups: it sets, and the clock of the law runs on beside it.
  expect(pot.at(26)).toBe('set')
  expect(pot.leads(26)).toBe('read')
  pot.reads([200, 4.8])
  expect(pot.stands('cool-ambient', 201)).toBe('proven')
  expect(pot.asks(201)).toMatchObject({ kind: 'step', step: 'set', at: at(205) })
  pot.ends(206, 'set')
  expect(pot.asks(207).kind).toBe('keep')
})

it('raw on purpose: hours from combining to the minute, in everything that is made with it', () => {
  const mousse = written(
    'Raw mousse',
    'mousse',
    [
      ['melt', 'mise', { part: 'chocolate' }],
      ['fold', 'fold'],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    [
      ['dark-chocolate', 500, 'melt'],
      ['egg', 300, 'fold'],
    ],
    {
      raw: true,
      houseDays: 2,
      justified: [{ problem: 'egg not heated / fold / a1', reason: 'raw on purpose, with the word to the guest' }],
    },
  )
  const cups = written(
    'Cups',
    'assembly',
    [
      ['build', 'assemble'],
      ['hold', 'hold'],
    ],
    [['cream-36', 500, 'build']],
  )
  const rawCups = { ...cups, id: idOf('raw cups'), name: 'Raw cups', raw: true }
  const story = new KitchenStory({}, [custard, mousse, cups, rawCups])
  const pot = new Pot(story, mousse)
  pot.ends(5, 'melt')
  pot.cracks(8, eggs(story), 6)
  pot.ends(10, 'fold')
  pot.reads([120, 4.5])
  const raw = story.putAway(pot.id, 130, {}, mousse)
  const until = at(10) + 24 * 3_600_000
  expect(item(story, raw).facts).toMatchObject({ heat: 'raw', advisory: true })
  expect(itemWalls(item(story, raw), 'UTC')[0]).toMatchObject({ until })
  const built = new Pot(story, cups, 140)
  story.air(139, 3)
  story.enter('part-used', raw, 141, story.part(raw, built.id, 141, 'build'))
  built.ends(145, 'build')
  built.reads([150, 4.8])
  const cup = item(story, story.putAway(built.id, 160, {}, cups))
  expect(cup.facts).toMatchObject({ heat: 'raw', advisory: true })
  expect(itemWalls(cup, 'UTC')[0]).toMatchObject({ until })
  // Not approved as raw itself, it asks for the lead; approved, it is what it was meant to be.
  expect(built.asks(161).kind).toBe('decide')
  const meant = new Pot(story, rawCups, 165)
  story.enter('part-used', raw, 166, story.part(raw, meant.id, 166, 'build'))
  meant.ends(170, 'build')
  meant.reads([175, 4.8])
  expect(meant.asks(176).kind).toBe('keep')
  const meantCup = item(story, story.putAway(meant.id, 180, { last: true }, rawCups))
  expect(meantCup.facts).toMatchObject({ heat: 'raw', advisory: true, meantRaw: true })
  expect(itemWalls(meantCup, 'UTC')[0]).toMatchObject({ until })
  // Raw because nobody proved its heat, it is never meant, whatever it goes into.
  const late = new Pot(story, custard, 185, 'undercooked')
  late.mark(190, 'temper', 'combined')
  late.reads([195, 60])
  late.mark(197, 'cook', 'done')
  const under = story.putAway(late.id, 200, {}, custard)
  expect(item(story, under).facts).toMatchObject({ heat: 'raw' })
  expect(item(story, under).facts.meantRaw).toBeUndefined()
  const wrong = new Pot(story, rawCups, 205, 'wrong part')
  const part = { ...story.part(under, wrong.id, 206, 'build'), happened: true as const, warm: true }
  story.enter('part-used', under, 206, part)
  expect(wrong.stands('pasteurized-egg', 207)).toBe('missed')
})

it('melted again as often as the house allows: a clock of its own, its date stays', () => {
  const jelly = written(
    'Jelly',
    'fruit-jelly',
    [
      ['cook', 'cook'],
      ['cool', 'cool'],
      ['set', 'set', waits(60, 600)],
      ['hold', 'hold'],
    ],
    [['plum-puree', 900, 'cook']],
  )
  const story = new KitchenStory({}, [custard, jelly])
  const pot = new Pot(story, jelly)
  pot.reads([5, 85])
  pot.ends(10, 'cook')
  pot.reads(...COOLED)
  pot.ends(300, 'set')
  const before = lastDay(story, story.putAway(pot.id, 301, {}, jelly))
  const melt = (minutes: number) => story.post('rewarmed', pot.id, minutes, { how: 'melted again' }).posted
  expect(melt(310).ok).toBe(true)
  pot.reads([320, 40])
  expect(pot.stands('rewarmed', 321)).toBe('open')
  pot.reads([500, 4.5])
  expect(pot.stands('rewarmed', 501)).toBe('proven')
  expect(lastDay(story, story.putAway(pot.id, 502, {}, jelly))).toBe(before)
  expect(melt(510)).toMatchObject({ ok: false })
})
