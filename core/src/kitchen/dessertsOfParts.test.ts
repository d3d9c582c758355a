import { itemWalls } from '../judgement/dates/walls'
import { leftOverOf } from '../judgement/eggs/eggLedger'
import { custard, FREEZER, FRIDGE, idOf, KitchenStory, LEAD } from '../test/kitchenStory'
import { COOLED, eggs, item, lastDay, Pot, waits, written } from '../test/pot'
import { at } from '../test/traces'

/** Desserts that are split, put together of parts, baked again or served at once, as their cooks make them. */

const HOLD: ['cool' | 'hold', 'cool' | 'hold'][] = [
  ['cool', 'cool'],
  ['hold', 'hold'],
]

it('nog in a deep pot: its milk alone proves nothing; only the half that gets spirit says so, and keeps no longer', () => {
  const nog = written(
    'Low nog',
    'heated-nog',
    [['temper', 'temper'], ['cook', 'cook'], ...HOLD],
    [
      ['egg', 1500, 'temper'],
      ['milk', 9000, 'temper'],
    ],
  )
  const story = new KitchenStory({}, [custard, nog])
  const pot = new Pot(story, nog)
  pot.cracks(2, eggs(story), 30)
  pot.reads([3, 82, 'milk'])
  pot.ends(4, 'temper')
  expect(pot.stands('egg', 5)).toBe('open')
  pot.reads([30, 64], [36, 72])
  pot.ends(37, 'cook')
  pot.reads([45, 57], [110, 20], [280, 4.6])
  const plain = story.putAway(pot.id, 290, {}, nog)
  pot.puts(295, 'spirit', 600)
  const strong = story.putAway(pot.id, 296, { last: true }, nog)
  expect(item(story, plain).facts.alcohol).toBeUndefined()
  expect(item(story, plain).facts.claims).toContain('without alcohol')
  expect(item(story, strong).facts.alcohol!.byVolume).toBeGreaterThan(0.01)
  expect(item(story, strong).facts.claims).not.toContain('without alcohol')
  expect(lastDay(story, strong)).toBe(lastDay(story, plain))
})

it('a soufflé on bought custard: whites after the reading reopen it, and it goes out only once its core is read', () => {
  const souffle = written(
    'Pear soufflé',
    'baked-custard',
    [
      ['base', 'combine'],
      ['fold', 'fold'],
      ['bake', 'bake'],
      ['serve', 'serve at once'],
    ],
    [
      ['bought-custard', 500, 'base'],
      ['white', 300, 'fold'],
    ],
    { cooling: 'none' },
  )
  const story = new KitchenStory({}, [custard, souffle])
  const pot = new Pot(story, souffle)
  pot.ends(3, 'base')
  pot.ends(5, 'fold')
  pot.reads([8, 75.5], [8.4, 75.8])
  expect(pot.stands('egg-immediate', 9)).toBe('proven')
  pot.puts(10, 'white', 300)
  expect(pot.stands('egg-immediate', 11)).toBe('open')
  const served = (minutes: number) => story.post('served', pot.id, minutes, { discarded: 0 }).posted
  expect(served(12)).toMatchObject({ code: 'not proven to serve' })
  pot.reads([26, 75.5], [26.4, 75.8])
  pot.mark(27, 'bake', 'done')
  expect(pot.stands('egg-immediate', 28)).toBe('proven')
  expect(served(29).ok).toBe(true)
})

it('one custard, two products and whites to spare: each has its date and allergens, and the minutes on the bench', () => {
  const flour = written(
    'Flour custard',
    'starch-custard',
    [['temper', 'temper'], ['cook', 'cook'], ['boil', 'boil out'], ...HOLD],
    [
      ['yolk', 200, 'temper'],
      ['milk', 1000, 'temper'],
      ['flour', 80, 'temper'],
    ],
  )
  const icing = written(
    'Beaten icing',
    'assembly',
    [
      ['beat', 'assemble'],
      ['hold', 'hold'],
    ],
    [['butter', 300, 'beat']],
    { houseDays: 6 },
  )
  const story = new KitchenStory({}, [custard, flour, icing])
  const pot = new Pot(story, flour)
  const lot = eggs(story)
  const taken = { step: 'temper', lot, form: 'shell' as const, as: 'separated' as const, cracked: 12, rejected: 0 }
  story.enter('eggs-taken', pot.id, 2, { ...taken, grams: {}, size: 'US L', item: null })
  const lots = [story.kitchen.read('lot', lot)!]
  const whites = idOf('spare whites')
  const kept = leftOverOf(pot.state, 'white', 300, 'kept', lots, { unit: FRIDGE, shelf: 1 })!
  story.enter('left-over', whites, 3, kept)
  pot.ends(5, 'temper')
  pot.reads([9, 80])
  pot.mark(10, 'boil', 'started')
  pot.reads([10.5, 98], [11.8, 98.3])
  pot.ends(12, 'boil')
  pot.reads([20, 57], [90, 20], [230, 4.6])
  const [filling, other] = [story.putAway(pot.id, 240, {}, flour), story.putAway(pot.id, 241, { last: true }, flour)]
  story.air(239, 3)
  story.enter('item-moved', other, 245, { how: 'out', unit: null, shelf: null })
  const beaten = new Pot(story, icing, 270)
  story.enter('part-used', other, 285, story.part(other, beaten.id, 285, 'beat'))
  beaten.ends(300, 'beat')
  beaten.reads([310, 4.8])
  const iced = item(story, story.putAway(beaten.id, 315, { last: true }, icing))
  expect(iced.facts.allergens).toEqual(['egg', 'gluten', 'milk', 'wheat'])
  expect(itemWalls(iced, 'UTC')[0]!.lastDay).toBe(lastDay(story, filling))
  expect(iced.carried.most).toBeGreaterThan(15 * 60_000)
  story.enter('item-moved', whites, 320, { how: 'freeze', unit: FREEZER, shelf: 1 })
  expect(itemWalls(item(story, whites), 'UTC')[0]).toMatchObject({ lastDay: null })
  expect(item(story, whites)).toMatchObject({ ingredient: 'white', facts: { heat: 'raw', allergens: ['egg'] } })
})

it('a sieved curd, baked again in its shells: floor and ceiling on one pot, then a clock of its own, its date stays', () => {
  const curd = written(
    'Flame curd',
    'fruit-curd',
    [['together', 'combine'], ['cook', 'cook'], ['sieve', 'strain'], ...HOLD],
    [
      ['egg', 500, 'together'],
      ['butter', 300, 'together'],
      ['lemon-juice', 300, 'together'],
    ],
  )
  const story = new KitchenStory({}, [custard, curd])
  const pot = new Pot(story, curd)
  pot.cracks(1, eggs(story), 10)
  pot.ends(2, 'together')
  pot.reads([8, 62], [12, 78])
  expect([pot.stands('egg', 12), pot.stands('ceiling', 12)]).toEqual(['proven', 'open'])
  pot.ends(13, 'cook')
  expect(pot.stands('ceiling', 14)).toBe('proven')
  story.enter('cleaned', pot.id, 13.5, { step: 'sieve' })
  pot.ends(14, 'sieve')
  pot.reads(...COOLED)
  const before = lastDay(story, story.putAway(pot.id, 240, {}, curd))
  story.enter('rewarmed', pot.id, 250, { how: 'baked again' })
  pot.reads([262, 88])
  expect(pot.stands('cool-total', 263)).toBe('open')
  pot.reads([270, 57], [330, 20], [470, 4.5])
  expect([pot.stands('egg', 471), pot.stands('cool-total', 471)]).toEqual(['proven', 'proven'])
  expect(lastDay(story, story.putAway(pot.id, 480, { last: true }, curd))).toBe(before)
})

it('a trifle of parts of two ages: each goes in cold, the oldest dates it, and it holds what all of them hold', () => {
  const jelly = written(
    'Berry jelly',
    'fruit-jelly',
    [['boil', 'cook'], ...HOLD],
    [['raspberry-puree', 900, 'boil', 'frozen']],
    {
      untreatedFruit: true,
      houseDays: 5,
    },
  )
  const trifle = written(
    'Trifle',
    'assembly',
    [
      ['build', 'assemble'],
      ['hold', 'hold'],
    ],
    [['cream-36', 500, 'build']],
    { houseDays: 6 },
  )
  const story = new KitchenStory({}, [custard, jelly, trifle])
  const layer = new Pot(story, jelly)
  layer.reads([4, 99], [4.45, 99.1], [4.9, 99.2], [5.2, 99])
  expect(layer.stands('fruit-boil', 6)).toBe('proven')
  layer.ends(6, 'boil')
  layer.reads(...COOLED)
  const red = story.putAway(layer.id, 240, {}, jelly)
  const DAY = 24 * 60
  const yellow = story.putAway(story.made('yellow'), 250)
  for (let minutes = 240; minutes < DAY; minutes += 100) story.air(minutes, 3)
  story.air(DAY - 1, 3)
  const built = new Pot(story, trifle, DAY)
  const into = (part: string, celsius: number) =>
    story.post('part-used', part, DAY + 2, story.part(part, built.id, DAY + 2, 'build', celsius)).posted
  expect(into(red, 9)).toMatchObject({ why: 'too warm' })
  for (const part of [red, yellow]) expect(into(part, 3.2).ok).toBe(true)
  built.ends(DAY + 10, 'build')
  built.reads([DAY + 20, 4.4])
  const cups = item(story, story.putAway(built.id, DAY + 30, { last: true }, trifle))
  expect(cups.facts.allergens).toEqual(['egg', 'milk'])
  const [wall] = itemWalls(cups, 'UTC')
  expect(wall!.lastDay).toBe([lastDay(story, red)!, lastDay(story, yellow)!].sort()[0])
  expect(wall!.ruledBy).toContain('Test custard')
})

it('a raw mousse eaten at once: the word to the guest, a time to serve by, and what is left goes', () => {
  const mousse = written(
    'Quick mousse',
    'mousse',
    [
      ['fold', 'fold'],
      ['serve', 'serve at once'],
    ],
    [['egg', 300, 'fold']],
    {
      raw: true,
      cooling: 'none',
      justified: [{ problem: 'egg not heated / fold / a0', reason: 'raw on purpose, with the word to the guest' }],
    },
  )
  const story = new KitchenStory({}, [custard, mousse])
  const pot = new Pot(story, mousse)
  pot.cracks(2, eggs(story), 6)
  pot.ends(4, 'fold')
  expect(pot.state.terms.eggs.unheated).toBe('shell with advisory')
  expect(pot.stands('serve-by', 5)).toBe('open')
  expect(story.post('served', pot.id, 60, { discarded: 2 }).posted.ok).toBe(true)
  expect(pot.asks(61).kind).toBe('closed')
  const stood = new Pot(story, mousse, 100, 'stood')
  stood.cracks(102, story.kitchen.read('batch', pot.id)!.facts['eggs-taken'][0]!.value.lot, 6)
  stood.ends(104, 'fold')
  const late = 104 + 121
  expect(stood.asks(late).kind).toBe('discard')
  expect(story.post('served', stood.id, late, { discarded: 0 }).posted).toMatchObject({ code: 'time to serve is up' })
})

it('set cream in moulds, thawed berries on top: only knowingly as they are, with their note and the days of the house', () => {
  const cream = written(
    'Moulded cream',
    'gelatine-cream',
    [
      ['warm', 'heat dairy'],
      ['cool', 'cool'],
      ['set', 'set', waits(180, 1440)],
      ['hold', 'hold'],
    ],
    [
      ['gelatine', 20, 'warm'],
      ['cream-36', 1500, 'warm'],
    ],
  )
  const story = new KitchenStory({}, [custard, cream])
  const berries = idOf('berries')
  const held = {
    item: berries,
    code: 'B1',
    measure: { value: 800, unit: 'g' as const },
    cost: null,
    unit: FRIDGE,
    shelf: 1,
  }
  story.receive(idOf('lot of berries'), -20, 'berry-puree', null, {
    condition: { good: true, why: null },
    verdict: 'hold',
    held: { ...held, dating: null as never, facts: null as never },
  })
  const decided = { verdict: 'accept' as const, reason: 'as they are, for the top, with their note', item: berries }
  story.enter('lot-decided', idOf('lot of berries'), -10, decided, { by: LEAD })
  const pot = new Pot(story, cream)
  pot.reads([6, 70])
  pot.ends(8, 'warm')
  pot.reads(...COOLED)
  pot.ends(420, 'set')
  const base = story.putAway(pot.id, 421, { measure: { value: 12, unit: 'portion' }, last: true }, cream)
  story.air(420, 3)
  expect(story.finish(base, berries, 430, { on: 6, condition: { good: true, why: null } }).posted).toMatchObject({
    ok: false,
  })
  const { into, posted } = story.finish(base, berries, 431, {
    on: 6,
    asItIs: true,
    condition: { good: true, why: null },
  })
  expect(posted.ok).toBe(true)
  expect(item(story, into).facts).toMatchObject({ untreatedFruit: true, advisory: false })
  expect(lastDay(story, into)! <= lastDay(story, base)!).toBe(true)
  expect(item(story, base).facts.untreatedFruit).toBeUndefined()
})

it('curd on the counter first, then layered and carried outside: the counter is in its clock, the sun counts for each', () => {
  const curd = written(
    'Counter curd',
    'fruit-curd',
    [
      ['together', 'combine'],
      ['cook', 'cook'],
      ['cool', 'cool', { first: 'counter' }],
      ['hold', 'hold'],
    ],
    [
      ['egg', 500, 'together'],
      ['lemon-juice', 300, 'together'],
    ],
  )
  const story = new KitchenStory({}, [custard, curd])
  const pot = new Pot(story, curd)
  pot.cracks(1, eggs(story), 10)
  pot.ends(2, 'together')
  pot.reads([8, 62], [12, 78])
  pot.ends(13, 'cook')
  story.enter('placed', pot.id, 14, { place: 'counter', unit: null, air: null })
  pot.reads([29, 56])
  expect(pot.stands('cool-1', 30) ?? 'open').not.toBe('missed')
  story.enter('placed', pot.id, 30, { place: 'stirred ice bath', unit: null, air: null })
  pot.reads([90, 20], [230, 4.6])
  const [a, b] = [story.putAway(pot.id, 240, {}, curd), story.putAway(pot.id, 241, { last: true }, curd)]
  story.air(239, 3)
  for (const each of [a, b]) story.enter('item-moved', each, 260, { how: 'out', unit: null, shelf: null })
  const outside = (id: string, minutes: number) => story.kitchen.item(id, at(minutes)).exposure.most
  expect(outside(a, 320) - outside(a, 260)).toBeGreaterThan(55 * 60_000)
  expect(story.kitchen.item(b, at(261 + 8 * 60))).toMatchObject({ asks: 'lead decides', usable: false })
})

it('"keeps three weeks": refused where the law prints its days', () => {
  const curd = written(
    'Keeping curd',
    'fruit-curd',
    [['together', 'combine'], ['cook', 'cook'], ...HOLD],
    [
      ['egg', 500, 'together'],
      ['lemon-juice', 300, 'together'],
    ],
    { houseDays: 21 },
  )
  const story = new KitchenStory({}, [custard])
  story.enter('method-saved', curd.id, -5, { method: curd }, { by: LEAD })
  const body = { version: curd.version, limits: story.kitchen.limits, components: [] }
  expect(story.post('method-approved', curd.id, -4, body, { by: LEAD }).posted).toMatchObject({
    code: 'keeps too long',
    field: 'body.version',
  })
})
