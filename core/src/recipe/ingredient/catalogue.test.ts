import { eggGrams, EGG_SIZES } from './eggGrams'
import { boilingPoint } from '../../physics/heating/boilingPoint'
import { catalogue } from './catalogue'
import { findIngredients } from './find'
import { namesOf } from './names'
import { gelatineFor, leavesFor } from './gelatine'

/** Mass % once more, apart from the data: water, protein, fat, carbohydrate, ash. */
const COMPOSITIONS: Record<string, [number, number, number, number, number]> = {
  milk: [88.1, 3.2, 3.3, 4.7, 0.7],
  'cream-36': [57.9, 2.8, 36, 2.8, 0.5],
  egg: [76.1, 12.6, 9.5, 0.7, 1.1],
  yolk: [52.3, 15.9, 26.5, 3.6, 1.7],
  white: [87.6, 10.9, 0.2, 0.7, 0.6],
  sugar: [0, 0, 0, 100, 0],
  'dark-chocolate': [1.4, 7.8, 42.6, 45.9, 2.3],
}

describe('the catalogue', () => {
  it('has compositions that are whole', () => {
    for (const { key, composition } of Object.values(catalogue)) {
      const { water, protein, fat, carbohydrate, fibre = 0, ash } = composition
      const shares = [water, protein, fat, carbohydrate, fibre, ash]
      expect(`${key} ${shares.reduce((a, b) => a + b, 0).toFixed(3)}`).toBe(`${key} 1.000`)
      expect(Math.min(...shares)).toBeGreaterThanOrEqual(0)
    }
  })

  it.each(Object.keys(COMPOSITIONS))('has %s as written down', (key) => {
    const { water, protein, fat, carbohydrate, ash } = catalogue[key]!.composition
    expect([water, protein, fat, carbohydrate, ash].map((share) => Math.round(share * 1e4) / 100)).toEqual(
      COMPOSITIONS[key],
    )
  })

  it('is found in by any name, on both sides of the Atlantic', () => {
    const first = (text: string) => findIngredients(text)[0]?.key
    expect([
      first('corn starch'),
      first('Heavy cream'),
      first('gelatin sheet'),
      first("confectioners'"),
      first('isinglass'),
    ]).toEqual(['corn-starch', 'cream-36', 'gelatine', 'icing-sugar', 'fish-gelatine'])
    expect(findIngredients('plutonium')).toEqual([])
  })

  it('means the very thing that was typed before all that only begins like it', () => {
    const first = (text: string) => findIngredients(text)[0]?.key
    const meant = {
      butter: 'butter',
      milk: 'milk',
      Custard: 'bought-custard',
      cream: 'cream-36',
      eggs: 'egg',
      'yolks ': 'yolk',
      Sugar: 'sugar',
      'creme fraiche': 'creme-fraiche',
      'fraiche creme': 'creme-fraiche',
      'egg yol': 'yolk',
      hazeln: 'hazelnuts',
    }
    for (const [text, key] of Object.entries(meant)) expect(`${text} ${first(text)}`).toBe(`${text} ${key}`)
    // The rest follows, to be tapped.
    expect(findIngredients('butter').map(({ key }) => key)).toEqual(
      expect.arrayContaining(['brown-butter', 'salted-butter', 'buttermilk', 'peanut-butter']),
    )
  })

  it('names the allergen of what a food comes from, and of the flour and nuts in it', () => {
    for (const { key, name, origin, allergens } of Object.values(catalogue)) {
      if (origin === 'milk' || origin === 'egg' || origin === 'fish') expect([key, ...allergens]).toContain(origin)
      if (/\bwheat|sponge|choux|brioche|filo|puff pastry|breadcrumb|wafers?$/i.test(name))
        expect([key, ...allergens]).toEqual(expect.arrayContaining(['wheat', 'gluten']))
      if (
        /hazelnut|almond|walnut|pecan|pistachio|cashew|macadamia|praline|marzipan/i.test(name) &&
        !/extract/i.test(name)
      )
        expect([key, ...allergens]).toContain('tree nuts')
    }
    const eggs = ['sponge', 'sponge-fingers', 'choux', 'brioche', 'tart-shell', 'chocolate-sponge', 'almond-sponge']
    for (const key of [...eggs, 'meringue', 'bought-custard', 'vanilla-ice-cream', 'almond-macaroon'])
      expect([key, ...catalogue[key]!.allergens]).toContain('egg')
    for (const key of ['choux', 'brioche', 'tart-shell', 'chocolate-sponge', 'almond-sponge', 'butter-biscuit'])
      expect([key, ...catalogue[key]!.allergens]).toContain('milk')
  })

  it('says a name of one thing only', () => {
    const said = new Map<string, string[]>()
    for (const food of Object.values(catalogue))
      for (const each of new Set(namesOf(food).map((text) => text.toLowerCase())))
        said.set(each, [...(said.get(each) ?? []), food.key])
    expect([...said].filter(([, keys]) => keys.length > 1)).toEqual([])
    expect(Object.keys(catalogue).length).toBeGreaterThan(300)
  })

  it('measures by volume only what a cook measures so, within what food can weigh', () => {
    for (const { key, density } of Object.values(catalogue))
      if (density != null) expect(`${key} ${density > 0.02 && density < 1.5}`).toBe(`${key} true`)
    expect(catalogue.lemon!.density).toBeNull()
  })

  it('knows what a label has to know', () => {
    expect(catalogue.gelatine).toMatchObject({ origin: 'land animal', bloom: 200 })
    expect(catalogue['fish-gelatine']).toMatchObject({ origin: 'fish', allergens: ['fish'] })
    expect(catalogue.spirit!.alcohol).toBeCloseTo(0.334, 3)
    expect(catalogue.flour).toMatchObject({ starch: true, allergens: ['wheat', 'gluten'] })
  })
})

describe('what entries name', () => {
  // An entry holds the key of an ingredient and the size of an egg. What they mean to the fold is theirs for ever.
  it('keeps the part of the egg that a key stands for', () => {
    const eggs = Object.values(catalogue).flatMap(({ key, egg }) => (egg ? [[key, egg]] : []))
    expect(Object.fromEntries(eggs)).toEqual({ egg: 'whole', yolk: 'yolk', white: 'white' })
  })

  it('keeps the grams of an egg of a size', () => {
    const sizes = ['US S', 'US M', 'US L', 'US XL', 'US J', 'EU S', 'EU M', 'EU L', 'EU XL'] as const
    expect(sizes.map((size) => eggGrams('whole', size))).toEqual([38, 44, 50, 56, 63, 44, 52, 61, 68])
    expect(eggGrams('yolk', 'US L') + eggGrams('white', 'US L')).toBeCloseTo(50, 9)
    expect(eggGrams('yolk', 'EU M')).toBeCloseTo(17.68, 9)
  })
})

describe('gelatine', () => {
  it('sets as firmly by mass times bloom', () => {
    expect(gelatineFor(10, 200, 250)).toBeCloseTo(8, 9)
    expect(leavesFor(10, 200, 'gold')).toBe(5)
    expect(leavesFor(10, 200, 'platinum')).toBe(5)
    expect(() => gelatineFor(0, 200, 250)).toThrow(/grams: 0/)
  })
})

describe('eggs', () => {
  it('have the edible grams of their size, a third of it yolk', () => {
    expect([eggGrams('whole'), eggGrams('yolk'), eggGrams('white')]).toEqual([50, 17, expect.closeTo(33, 9)])
    expect(['US S', 'US M', 'US XL', 'US J'].map((size) => EGG_SIZES[size as 'US S'])).toEqual([38, 44, 56, 63])
  })
})

describe('the boiling point', () => {
  it('falls with altitude', () => {
    expect(boilingPoint(0)).toBeCloseTo(100, 0)
    expect(boilingPoint(1500)).toBeCloseTo(95, 0)
    expect(() => boilingPoint(NaN)).toThrow(/altitudeMetres: NaN/)
  })
})
