import { itemWalls } from '../judgement/dates/walls'
import { custard, FREEZER, KitchenStory } from '../test/kitchenStory'
import { COOLED, eggs, item, lastDay, Pot, received, waits, written } from '../test/pot'
import { at } from '../test/traces'

/** Desserts of the stove as their cooks make them, from the first step to the last day. */

describe('starch in a tart, yolks after the boil', () => {
  const filling = written(
    'Plum filling',
    'starch-custard',
    [
      ['cook', 'cook'],
      ['boil', 'boil out'],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    [
      ['plum-puree', 1000, 'cook'],
      ['corn-starch', 80, 'cook'],
    ],
  )

  it('goes back on the heat, or is not proven', () => {
    const story = new KitchenStory({}, [custard, filling])
    const pot = new Pot(story, filling)
    pot.reads([4, 80])
    pot.mark(5, 'boil', 'started')
    pot.reads([6, 98], [7.2, 98.5])
    pot.ends(8, 'boil')
    expect(pot.at(9)).toBe('cool')
    pot.puts(9, 'yolk', 60)
    expect(pot.at(10)).toBe('cook')
    expect(pot.stands('egg', 10)).toBe('open')
    pot.reads([11, 74])
    expect(pot.stands('egg', 12)).toBe('proven')
  })
})

it('everything cold into the pot: the boil is one countdown that two readings prove, then strained, cooled, kept', () => {
  const cream = written(
    'One-pot cream',
    'starch-custard',
    [
      ['together', 'combine'],
      ['cook', 'cook'],
      ['boil', 'boil out'],
      ['strain', 'strain'],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    [
      ['egg', 300, 'together'],
      ['milk', 2000, 'together'],
      ['corn-starch', 160, 'together'],
    ],
  )
  const story = new KitchenStory({}, [custard, cream])
  const pot = new Pot(story, cream)
  pot.ends(2, 'together')
  pot.reads([4, 60], [6, 82])
  expect(pot.stands('egg', 6)).toBe('proven')
  pot.mark(7, 'boil', 'started')
  pot.reads([7.5, 98.2])
  // Eggs that nobody named yet do not stand before the countdown.
  expect(pot.leads(7.6)).toBe('end boil')
  expect(pot.stands('boil-out', 8)).toBe('open')
  pot.reads([8.6, 98.4])
  expect(pot.stands('boil-out', 9)).toBe('proven')
  pot.ends(9, 'boil')
  story.enter('cleaned', pot.id, 9.2, { step: 'strain' })
  pot.ends(10, 'strain')
  pot.reads(...COOLED)
  expect(pot.asks(231).kind).toBe('keep')
  expect(lastDay(story, story.putAway(pot.id, 240, { last: true }, cream))).toBe('2027-03-05')
})

it('churned, with a swirl of roast fruit: the part dates it, then the frost stops that', () => {
  const fruit = written(
    'Roast figs',
    'cooked-fruit',
    [
      ['roast', 'cook'],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    [['plum', 1000, 'roast']],
    { houseDays: 2 },
  )
  const iced = written(
    'Fig ice',
    'churned-base',
    [
      ['temper', 'temper'],
      ['cook', 'cook'],
      ['cool', 'cool'],
      ['age', 'set', waits(240, 1440)],
      ['churn', 'churn'],
      ['swirl', 'assemble'],
      ['harden', 'freeze', waits(180, 1440)],
      ['hold', 'hold'],
    ],
    [
      ['egg', 300, 'temper'],
      ['milk', 2000, 'temper'],
    ],
    { houseDays: 3 },
  )
  const story = new KitchenStory({}, [custard, fruit, iced])
  const roast = new Pot(story, fruit)
  roast.reads([5, 85])
  roast.ends(10, 'roast')
  roast.reads(...COOLED)
  const figs = story.putAway(roast.id, 240, { last: true }, fruit)
  expect(lastDay(story, figs)).toBe('2027-03-04')

  const pot = new Pot(story, iced, 300)
  pot.cracks(304, eggs(story), 6)
  pot.ends(305, 'temper')
  pot.reads([310, 81])
  pot.ends(312, 'cook')
  pot.reads([320, 57], [390, 20], [530, 4.4])
  expect(pot.leads(531)).toBe('end age')
  pot.ends(780, 'age')
  pot.ends(800, 'churn')
  expect(pot.leads(801)).toBe('parts')
  story.air(799, 3)
  story.enter('part-used', figs, 802, story.part(figs, pot.id, 802, 'swirl'))
  pot.ends(805, 'swirl')
  expect(pot.leads(806)).toBe('begin harden')
  const tub = story.putAway(pot.id, 808, { last: true, unit: FREEZER, frozen: true }, iced)
  const [wall] = itemWalls(item(story, tub), 'UTC')
  expect(wall).toMatchObject({ lastDay: null, ruledBy: expect.stringContaining('Roast figs') as string })
  expect(item(story, tub).facts.allergens).toEqual(['egg', 'milk'])
})

describe('nog, its spirit once it is cold, foam on top', () => {
  const nog = written(
    'Nog',
    'heated-nog',
    [
      ['temper', 'temper'],
      ['cook', 'cook'],
      ['cool', 'cool'],
      ['spirit', 'add after heat'],
      ['foam', 'fold'],
      ['hold', 'hold'],
    ],
    [
      ['egg', 500, 'temper'],
      ['milk', 3000, 'temper'],
      ['spirit', 300, 'spirit'],
    ],
  )
  const cold = (story: KitchenStory) => {
    const pot = new Pot(story, nog)
    pot.cracks(2, eggs(story), 10)
    pot.ends(3, 'temper')
    pot.reads([8, 66], [10, 71])
    pot.ends(11, 'cook')
    story.enter('cleaned', pot.id, 11.5, { step: 'cool' })
    pot.reads(...COOLED)
    return pot
  }

  it('asks for the spirit after the cooling, never before', () => {
    const story = new KitchenStory({}, [custard, nog])
    const pot = cold(story)
    expect(pot.leads(231)).toBe('end spirit')
    pot.ends(232, 'spirit')
    expect(pot.at(233)).toBe('foam')
  })

  it('is raw with raw whites on it, and as it was with those of a carton', () => {
    const story = new KitchenStory({}, [custard, nog])
    const carton = received(story, 'white', 'pasteurized')
    const pot = cold(story)
    pot.ends(232, 'spirit')
    pot.puts(233, 'white', 200, { state: 'pasteurized lot', lot: carton })
    pot.ends(234, 'foam')
    expect(item(story, story.putAway(pot.id, 235, {}, nog)).facts).toMatchObject({ heat: 'cooked', advisory: false })
    pot.puts(236, 'white', 200)
    // Nothing heats it any more: raw, with the word to the guest, and hours instead of days.
    const raw = item(story, story.putAway(pot.id, 238, {}, nog))
    expect(raw.facts).toMatchObject({ heat: 'raw', advisory: true })
    expect(itemWalls(raw, 'UTC')[0]).toMatchObject({ keep: { what: 'hours' } })
    expect(pot.asks(238).kind).not.toBe('keep')
  })
})

it('frozen fruit boiled by itself, then eggs over water: two checks on two materials, none for the other', () => {
  const curd = written(
    'Berry curd',
    'fruit-curd',
    [
      ['boil', 'cook', { part: 'puree' }],
      ['together', 'combine'],
      ['cook', 'cook'],
      ['sieve', 'strain'],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    [
      ['raspberry-puree', 800, 'boil', 'frozen'],
      ['egg', 400, 'together'],
      ['butter', 300, 'cook'],
    ],
    { untreatedFruit: true },
  )
  const story = new KitchenStory({}, [custard, curd])
  const pot = new Pot(story, curd)
  pot.reads([4, 99, 'puree'], [4.45, 99.1, 'puree'], [4.9, 99.2, 'puree'], [5.2, 99, 'puree'])
  expect(pot.stands('fruit-boil', 6)).toBe('proven')
  expect(pot.stands('egg', 6)).toBe('open')
  pot.ends(6, 'boil')
  pot.ends(15, 'together')
  pot.reads([20, 60], [24, 76])
  expect(pot.stands('egg', 25)).toBe('proven')
  expect(pot.stands('ceiling', 25)).not.toBe('missed')
  expect(pot.leads(25)).toBe('mark')
  pot.ends(26, 'cook')
  expect(story.kitchen.findings(pot.id, at(30)).some(({ check }) => check.limit.key === 'fruit-days')).toBe(false)
})

it('butter worked in hot after the proof reopens nothing; milk read before it met the yolks proves nothing', () => {
  const cream = written(
    'Infused cream',
    'poured-custard',
    [
      ['infuse', 'infuse', { part: 'milk', passiveMinutes: { least: 20, most: 40 } }],
      ['temper', 'temper'],
      ['cook', 'cook'],
      ['butter', 'add after heat'],
      ['cool', 'cool'],
      ['hold', 'hold'],
    ],
    [
      ['milk', 1000, 'infuse'],
      ['egg', 300, 'temper'],
      ['butter', 200, 'butter'],
    ],
  )
  const story = new KitchenStory({}, [custard, cream])
  const pot = new Pot(story, cream)
  pot.mark(1, 'infuse', 'started')
  pot.reads([2, 85, 'milk'], [22, 45, 'milk'])
  expect(pot.stands('egg', 23)).toBe('open')
  pot.ends(23, 'infuse')
  pot.cracks(24, eggs(story), 6)
  pot.ends(25, 'temper')
  pot.reads([30, 64], [33, 79])
  expect(pot.stands('egg', 33)).toBe('proven')
  pot.ends(34, 'cook')
  story.enter('cleaned', pot.id, 34.5, { step: 'butter' })
  pot.puts(35, 'butter', 200)
  pot.ends(36, 'butter')
  expect(pot.stands('egg', 37)).toBe('proven')
  expect(pot.at(37)).toBe('cool')
})
