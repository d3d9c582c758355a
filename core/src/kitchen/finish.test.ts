import { HOUR } from '../ground/instant'
import { itemWalls } from '../judgement/dates/walls'
import { itemLeft, wentOutOf } from '../state/item'
import type { Method } from '../recipe/method/method'
import { custard, FREEZER, FRIDGE, idOf, KitchenStory, LEAD, PROBE } from '../test/kitchenStory'
import { item, lastDay } from '../test/pot'
import { at } from '../test/traces'

/** Things put on what stands in the cold already. Made at 12:00 UTC of day one and put away five hours after. */

const sauce: Method = {
  ...custard,
  id: idOf('sauce'),
  name: 'Nut sauce',
  houseDays: 2,
  amounts: [...custard.amounts, { ...custard.amounts[1]!, key: 'nut', ingredient: 'hazelnut', grams: 100 }],
}

function kitchen() {
  const story = new KitchenStory({}, [custard, sauce])
  story.air(0, 3)
  const base = story.putAway(story.made('cream'), 250)
  const on = story.putAway(made(story, 'nutty'), 251, {}, sauce)
  story.air(260, 3)
  return { story, base, on }
}

function made(story: KitchenStory, name: string, start = 0) {
  const batch = story.begin(name, start, sauce)
  story.mark(batch, start + 5, 'temper', 'combined')
  story.read(batch, start + 10, 80)
  story.mark(batch, start + 12, 'cook', 'done')
  for (const [minutes, celsius] of [
    [20, 57],
    [100, 20],
    [240, 4.5],
  ] as const)
    story.read(batch, start + minutes, celsius)
  return batch
}

const whyNot = ({ posted }: ReturnType<KitchenStory['finish']>) => (posted.ok ? null : (posted.why ?? posted.code))

it('has the earlier date, the allergens of both, and both in its lineage; one portion has what another has not', () => {
  const { story, base, on } = kitchen()
  const { into, posted } = story.finish(base, on, 300, { on: 500 })
  expect(posted.ok).toBe(true)
  const finished = item(story, into)
  expect(finished).toMatchObject({ code: `${item(story, base).code}1`, labels: 0, measure: { value: 600, unit: 'g' } })
  expect(finished.facts.allergens).toEqual(['egg', 'milk', 'tree nuts'])
  expect(finished.facts.claims).not.toContain('without nuts')
  expect([lastDay(story, into), lastDay(story, on), lastDay(story, base)]).toEqual([
    lastDay(story, on),
    lastDay(story, on),
    lastDay(story, base),
  ])
  expect(lastDay(story, on)! < lastDay(story, base)!).toBe(true)
  // What is left of both is what it was.
  expect([itemLeft(item(story, base)).value, itemLeft(item(story, on)).value]).toEqual([1500, 1900])
  expect(item(story, base).facts.allergens).toEqual(['egg', 'milk'])
  expect(story.kitchen.item(into, at(301)).usable).toBe(true)
  // Held is what the topping is on, and nothing else.
  story.enter('item-held', on, 310, { reason: 'shell' })
  expect(story.kitchen.item(into, at(311))).toMatchObject({ usable: false, asks: 'held' })
  expect(story.kitchen.item(base, at(311)).usable).toBe(true)
})

it('keeps its code where all of it is finished, and goes back whole where that was a mistake', () => {
  const { story, base, on } = kitchen()
  const { into, id, posted } = story.finish(base, on, 300)
  expect(posted.ok).toBe(true)
  expect([item(story, into).code, itemLeft(item(story, base)).value]).toEqual([item(story, base).code, 0])
  const also = [base, on].map((of) => ({ type: 'item' as const, id: of }))
  expect(story.post('taken-back', into, 301, { target: id, also: also.slice(0, 1) }).posted).toMatchObject({
    ok: false,
  })
  story.enter('taken-back', into, 301, { target: id, also })
  expect([base, on, into].map((of) => itemLeft(item(story, of)).value)).toEqual([2000, 2000, 0])
})

it('is refused warm, unless it is said; then it is asked about until a probe finds it cold, its cooling untouched', () => {
  const { story, base, on } = kitchen()
  expect(whyNot(story.finish(base, on, 300, { celsius: 30 }))).toBe('too warm')
  // Also what is on already says how cold it was: of nothing nobody would ask.
  expect(whyNot(story.finish(base, on, 300, { celsius: null, happened: true }))).toBe('asks first')
  const { into } = story.finish(base, on, 300, { celsius: 30, warm: true })
  expect(story.kitchen.item(into, at(310)).asks).toBe('chill again')
  expect(item(story, into).coldAt).toBe(item(story, base).coldAt)
  story.enter('item-read', into, 330, { typed: { value: 4, unit: 'C' }, instrument: PROBE })
  expect(story.kitchen.item(into, at(331))).toMatchObject({
    asks: 'use first',
    exposure: { least: 0, most: 30 * 60_000 },
  })
})

it('is as old as the older of the two, and no frost before lengthens the date of what was put on after', () => {
  const { story, base, on } = kitchen()
  story.enter('item-moved', on, 260, { how: 'out', unit: null, shelf: null })
  story.enter('item-moved', on, 350, { how: 'move', unit: FRIDGE, shelf: 1 })
  const { into } = story.finish(base, on, 351)
  expect(story.kitchen.item(into, at(352)).exposure.least).toBe(90 * 60_000)
  story.enter('item-moved', into, 360, { how: 'out', unit: null, shelf: null })
  // Together since: both are out.
  expect(story.kitchen.item(into, at(380)).exposure.least).toBe(110 * 60_000)
})

it('gets no day from a frost that was over before it was put on', () => {
  const { story, base } = kitchen()
  const days = 9 * 24 * 60
  story.enter('item-moved', base, 270, { how: 'freeze', unit: FREEZER, shelf: 1 })
  story.enter('item-moved', base, days + 280, { how: 'thaw', unit: FRIDGE, shelf: 1 })
  story.air(days + 280, 3)
  const on = story.putAway(made(story, 'fresh', days), days + 250, {}, sauce)
  const { into, posted } = story.finish(base, on, days + 300)
  expect(posted.ok).toBe(true)
  expect([lastDay(story, into), lastDay(story, on)]).toEqual(['2027-03-13', '2027-03-13'])
  // Told late, as if it had been put on before that frost.
  const other = kitchen()
  other.story.enter('item-moved', other.base, 270, { how: 'freeze', unit: FREEZER, shelf: 1 })
  other.story.enter('item-moved', other.base, days + 280, { how: 'thaw', unit: FRIDGE, shelf: 1 })
  const told = other.story.finish(other.base, other.on, 262, { after: days + 30, happened: true })
  expect(told.posted.ok).toBe(true)
  expect(lastDay(other.story, told.into)).toBe(lastDay(other.story, other.on))
  // A frost after it stops both.
  story.enter('item-moved', into, days + 310, { how: 'freeze', unit: FREEZER, shelf: 1 })
  story.enter('item-moved', into, days + 310 + 5 * 24 * 60, { how: 'thaw', unit: FRIDGE, shelf: 1 })
  expect(lastDay(story, into)).toBe('2027-03-17')
})

it('takes a dry thing without a date of its own, and nothing that needs the cold or comes frozen', () => {
  const { story, base } = kitchen()
  const { into, posted } = story.finish(base, { ingredient: 'pistachio' }, 300, {
    condition: { good: true, why: null },
  })
  expect(posted.ok).toBe(true)
  expect(item(story, into).facts.allergens).toEqual(['egg', 'milk', 'tree nuts'])
  expect(lastDay(story, into)).toBe(lastDay(story, base))
  expect(whyNot(story.finish(into, { ingredient: 'cream-36' }, 301))).toBe('not held')
  expect(whyNot(story.finish(into, { ingredient: 'berry-puree' }, 301))).toBe('not held')
  expect(whyNot(story.finish(into, { ingredient: 'white' }, 301))).toBe('not held')
  // Fresh fruit and herbs go on what has a date of its own, looked at.
  expect(whyNot(story.finish(into, { ingredient: 'mint' }, 301))).toBe('not looked at')
  const nuts = story.receive(idOf('old nuts'), 290, 'almond', null, {
    useBy: '2027-03-04',
    condition: { good: true, why: null },
  })
  const lot = { ingredient: 'almond', lot: nuts }
  const good = { condition: { good: true, why: null } }
  const nutty = story.finish(into, lot, 302, good)
  expect(lastDay(story, nutty.into)).toBe('2027-03-04')
  expect(whyNot(story.finish(nutty.into, { ingredient: 'walnut', lot: nuts }, 303, good))).toBe('other lot')
})

describe('what nothing heated', () => {
  const receiveHeld = (
    story: KitchenStory,
    ingredient: string,
    form: 'shell' | null,
    heat: 'raw' | 'no heat asked',
  ) => {
    const lot = idOf(`lot ${ingredient}`)
    const id = idOf(`held ${ingredient}`)
    const source = { document: 'maker', section: '', edition: '', confidence: 'high' as const }
    story.receive(lot, 255, ingredient, form, {
      condition: { good: true, why: null },
      verdict: form === null ? 'hold' : 'accept',
      held: {
        item: id,
        code: `H-${ingredient}`.slice(0, 12),
        measure: { value: 1000, unit: 'g' },
        cost: null,
        unit: FRIDGE,
        shelf: 1,
        dating: {
          prepared: at(255),
          keeps: [{ what: 'days', count: 9, from: null, force: 'house', source }],
          useBy: '2027-03-12',
          parts: [],
        },
        facts: { allergens: [], claims: [], advisory: false, heat, needsCold: true, unknown: [] },
      },
    })
    return id
  }

  it('goes on raw for nobody; fruit as it is only knowingly, with its note and its days', () => {
    const { story, base } = kitchen()
    const berries = receiveHeld(story, 'raspberry-puree', null, 'no heat asked')
    const good = { condition: { good: true, why: null } }
    expect(whyNot(story.finish(base, berries, 300, good))).toBe('held')
    const verdict = { verdict: 'accept' as const, reason: 'for what is boiled, in writing', item: berries }
    story.enter('lot-decided', idOf('lot raspberry-puree'), 256, verdict, { by: LEAD })
    expect(whyNot(story.finish(base, berries, 300, good))).toBe('fruit not treated')
    const { into, posted } = story.finish(base, berries, 300, { ...good, asItIs: true })
    expect(posted.ok).toBe(true)
    expect(item(story, into).facts.untreatedFruit).toBe(true)
    const fruit = itemWalls(item(story, into), 'UTC').find(({ keep }) => keep?.from === at(300))
    expect(fruit?.keep?.count).toBe(story.kitchen.limitsAt(at(300)).practice.fruitDays)
    // On already, it is never forgotten, and the lead answers for it.
    const eggs = receiveHeld(story, 'egg', 'shell', 'raw')
    expect(whyNot(story.finish(into, eggs, 301))).toBe('raw egg unheated')
    const happened = story.finish(into, eggs, 301, { happened: true, on: 500 })
    expect(happened.posted.ok).toBe(true)
    expect(item(story, happened.into).facts).toMatchObject({ heat: 'raw', advisory: true })
    const hours = itemWalls(item(story, happened.into), 'UTC').find(({ keep }) => keep?.what === 'hours')
    expect(hours?.until).toBe(at(301) + 24 * HOUR)
    expect(wentOutOf(item(story, eggs))).toHaveLength(1)
  })
})

it('is nothing of which it is made itself, nothing that is held, and never more than there is', () => {
  const { story, base, on } = kitchen()
  expect(whyNot(story.finish(base, base, 300))).toBe('made of it')
  const { into } = story.finish(base, on, 300, { on: 500 })
  expect(whyNot(story.finish(on, into, 301))).toBe('made of it')
  expect(whyNot(story.finish(base, on, 302, { grams: 5000 }))).toBe('more than is left')
  story.enter('item-held', base, 303, { reason: 'smells' })
  expect(whyNot(story.finish(base, on, 304))).toBe('held')
})

it('takes its glaze frozen as it is, and its date clock stays stopped', () => {
  const { story, base, on } = kitchen()
  story.enter('item-moved', base, 270, { how: 'freeze', unit: FREEZER, shelf: 1 })
  const { into, posted } = story.finish(base, on, 900)
  expect(posted.ok).toBe(true)
  expect(itemWalls(item(story, into), 'UTC').every(({ lastDay: day }) => day === null)).toBe(true)
})
