import fc from 'fast-check'
import { catalogue } from '../ingredient/catalogue'
import { quantityAhead } from './quantity'
import { MOST_GRAMS } from './bounds'
import { amountAhead, readAmount, type AmountReading } from './readAmount'
import { MEASURE_SYSTEMS, type MeasureSystem } from '../../rules/practice'
import { MASS, VOLUME } from './unit'

const read = (text: string, key: string, system: MeasureSystem = 'US') => readAmount(text, catalogue[key]!, system)
const gramsOf = (reading: AmountReading) => (reading.kind === 'read' ? reading.grams : reading)

describe('an amount as people write it', () => {
  it.each<[string, string, MeasureSystem, number]>([
    ['250', 'sugar', 'metric', 250],
    ['250 g', 'sugar', 'metric', 250],
    ['1,5 kg', 'flour', 'metric', 1500],
    ['1,000 g', 'flour', 'US', 1000],
    ['2 cups', 'milk', 'US', 487],
    ['1½ c', 'sugar', 'US', 302],
    ['1 1/2 cups', 'flour', 'US', 188],
    ['3/4 tsp', 'salt', 'US', 4.44],
    ['¾ tsp', 'salt', 'metric', 4.5],
    ['2 T', 'sugar', 'US', 25.1],
    ['1 qt', 'cream-36', 'US', 937],
    ['1 pint', 'milk', 'UK', 585],
    ['8 oz', 'sugar', 'US', 227],
    ['8 fl oz', 'milk', 'US', 244],
    ['8 fluid ounces', 'milk', 'UK', 234],
    ['600 ml', 'cream-36', 'metric', 594],
    ['half a litre', 'milk', 'metric', 515],
    ['a quarter of a litre', 'milk', 'metric', 257.5],
    ['2 dl', 'milk', 'metric', 206],
    ['6 large eggs', 'egg', 'US', 300],
    ['6 large eggs', 'egg', 'UK', 366],
    ['6 eggs', 'egg', 'metric', 300],
    ['6 large', 'egg', 'metric', 366],
    ['6 EU XL', 'egg', 'metric', 408],
    ['4 yolks', 'yolk', 'US', 68],
    ['a dozen egg whites', 'white', 'US', 396],
    ['1 stick', 'butter', 'US', 113.4],
    ['2 sticks of butter', 'butter', 'US', 227],
    ['2 sachets', 'gelatine-powder', 'UK', 24],
    ['1 envelope', 'gelatine-powder', 'US', 7],
    ['3 leaves', 'gelatine', 'metric', 6],
    ['3 silver leaves', 'gelatine', 'metric', 6],
    ['1 vanilla pod', 'vanilla-pod', 'UK', 3],
    ['2-3 lemons', 'lemon', 'metric', 275],
    ['2 x 400 g', 'condensed-milk', 'UK', 800],
    ['2 (8-oz) packages', 'cream-cheese', 'US', 454],
    ['about 200 g', 'sugar', 'metric', 200],
    ['a pinch', 'salt', 'metric', 0.37],
  ])('%s of %s in a %s kitchen', (text, key, system, grams) => {
    const found = read(text, key, system)
    const taken = found.kind === 'either' ? found.readings[0]!.grams : gramsOf(found)
    expect(typeof taken === 'number' ? Math.abs(taken / grams - 1) < 0.01 || taken : taken).toBe(true)
  })

  it('says what it took for granted', () => {
    expect(read('2 cups', 'milk')).toMatchObject({
      assumed: [
        { what: 'measure', unit: 'cup', system: 'US', ml: 236.59 },
        { what: 'density', gramsPerMl: 1.03 },
      ],
    })
    expect(read('6 eggs', 'egg', 'metric')).toMatchObject({
      count: 6,
      assumed: [{ what: 'egg', size: 'US L', grams: 50 }],
    })
    expect(read('2 to 4 lemons', 'lemon')).toMatchObject({
      count: 3,
      assumed: [{ what: 'middle', from: 2, to: 4 }, {}],
    })
    expect(read('250', 'sugar')).toMatchObject({ assumed: [{ what: 'grams' }] })
    expect(read('250 g', 'sugar')).toMatchObject({ assumed: [] })
  })

  it('asks where two readings are possible, and only there', () => {
    const either = (text: string, key: string, system: MeasureSystem) => {
      const found = read(text, key, system)
      return found.kind === 'either' ? found.readings.map(({ unit, system: of }) => `${of} ${unit}`) : found.kind
    }
    expect(either('8 oz', 'cream-36', 'US')).toEqual(['US oz', 'US fl oz'])
    expect(either('8 oz', 'cream-36', 'UK')).toEqual(['UK oz', 'UK fl oz'])
    expect(either('8 oz', 'butter', 'US')).toBe('read')
    expect(either('1 cup', 'sugar', 'UK')).toEqual(['metric cup', 'US cup'])
    expect(either('1 cup', 'sugar', 'metric')).toEqual(['metric cup', 'US cup'])
    expect(either('1 cup', 'sugar', 'US')).toBe('read')
    expect(either('1 pint', 'milk', 'metric')).toEqual(['UK pint', 'US pint'])
    expect(either('2 tbsp', 'sugar', 'metric')).toBe('read')
  })

  it.each<[string, string, object]>([
    ['some', 'sugar', { code: 'no number' }],
    ['', 'sugar', { code: 'no number' }],
    ['0 g', 'sugar', { code: 'not positive' }],
    ['3 handfuls', 'sugar', { code: 'unknown word', word: 'handfuls' }],
    ['2 cups', 'lemon', { code: 'weigh it', unit: 'cup' }],
    ['2 sachets', 'sugar', { code: 'no size', unit: 'sachet' }],
    ['2 leaves', 'sugar', { code: 'no size', unit: 'leaf' }],
    ['5 eggs', 'sugar', { code: 'unknown word', word: 'eggs' }],
    ['1/0 cup', 'sugar', { code: 'no number' }],
  ])('does not guess at "%s" of %s', (text, key, why) => {
    expect(read(text, key)).toEqual({ kind: 'unread', why })
  })

  it('reads what is left as the name of what it is an amount of', () => {
    expect(amountAhead('1 1/2 cups of whole milk, warm', 'US')).toMatchObject({
      quantity: { from: 1.5, to: 1.5 },
      unit: 'cup',
      rest: 'whole milk, warm',
    })
    expect(amountAhead('3 large egg yolks', 'US')).toMatchObject({ unit: null, size: 'US L', rest: 'egg yolks' })
    expect(amountAhead('2 (8 oz) packages cream cheese', 'US')).toMatchObject({
      quantity: { from: 16 },
      unit: 'oz',
      rest: 'cream cheese',
    })
    expect(amountAhead('g of sugar', 'US')).toBeNull()
    // No unit is made of the beginning of a word.
    expect(amountAhead('2 lemons', 'US')).toMatchObject({ unit: null, rest: 'lemons' })
    expect(amountAhead('2 cinnamon sticks', 'US')).toMatchObject({ unit: null, rest: 'cinnamon sticks' })
  })

  it('weighs whatever number and unit of mass are written, in every way of writing the number', () => {
    const number = fc.integer({ min: 1, max: 4000 })
    const writing = fc.constantFrom(
      (n: number) => String(n),
      (n: number) => `${n}.0`,
      (n: number) => (n >= 1000 ? n.toLocaleString('en-US') : String(n)),
      (n: number) => `${2 * n}/2`,
    )
    const unit = fc.constantFrom('g', 'kg', 'oz', 'lb')
    fc.assert(
      fc.property(number, writing, unit, fc.constantFrom(...MEASURE_SYSTEMS), (n, write, of, system) => {
        fc.pre(n * MASS[of as 'g']! <= MOST_GRAMS)
        const found = gramsOf(read(`${write(n)} ${of}`, 'sugar', system))
        expect(Math.abs(Number(found) / (n * MASS[of as 'g']!) - 1)).toBeLessThan(0.01)
      }),
    )
  })

  it('is never more than its larger cup nor less than its smaller one, and grows with the number', () => {
    const key = fc.constantFrom('milk', 'sugar', 'flour', 'honey')
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 40 }), key, fc.constantFrom('cup', 'pint', 'tbsp'), (n, of, unit) => {
        const found = read(`${n} ${unit}`, of, 'metric')
        const all = found.kind === 'either' ? found.readings.map(({ grams }) => grams) : [gramsOf(found) as number]
        const mls = MEASURE_SYSTEMS.flatMap((system) => VOLUME[system][unit as 'cup'] ?? [])
        const perMl = catalogue[of]!.density!
        for (const grams of all) {
          expect(grams).toBeGreaterThanOrEqual(n * Math.min(...mls) * perMl * 0.99)
          expect(grams).toBeLessThanOrEqual(n * Math.max(...mls) * perMl * 1.01)
        }
      }),
    )
  })
})

describe('a number at the beginning of a text', () => {
  it.each<[string, number, number, string]>([
    ['1½ cups', 1.5, 1.5, 'cups'],
    ['1 ½ cups', 1.5, 1.5, 'cups'],
    ['1-1/2 cups', 1.5, 1.5, 'cups'],
    ['2–3 tbsp', 2, 3, 'tbsp'],
    ['2 to 3 tbsp', 2, 3, 'tbsp'],
    ['½ – ¾ l', 0.5, 0.75, 'l'],
    ['200g flour', 200, 200, 'g flour'],
    ['two and a half cups', 2.5, 2.5, 'cups'],
    ['half an egg', 0.5, 0.5, 'egg'],
    ['two dozen eggs', 24, 24, 'eggs'],
  ])('%s', (text, from, to, rest) => {
    expect(quantityAhead(text)).toEqual({ quantity: { from, to }, rest })
  })

  it.each(['flour', 'about', 'aniseed', 'tent', ''])('is not found in "%s"', (text) => {
    expect(quantityAhead(text)).toBeNull()
  })
})

it('is nothing that no method holds', () => {
  for (const text of ['5000 kg', '0.001 g', '9000000'])
    expect(read(text, 'sugar')).toEqual({ kind: 'unread', why: { code: 'out of range', least: 0.01, most: 1e6 } })
})
