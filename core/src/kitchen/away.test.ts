import type { Gap, MadeAway } from '../ledger/away'
import { COOK, KitchenStory } from '../test/kitchenStory'
import { at } from '../test/traces'

/** Minutes: the server heard nothing of the tablet from 60 to 130, and took everything at 131. */
const gap: Gap = { from: at(60), to: at(130) }
const away = (minutes: number) => ({ ...gap, at: at(minutes) })

describe('what was entered on a tablet without a network', () => {
  it('counts as entered when it was made, and not when it arrived', () => {
    const without = new KitchenStory()
    const lost = without.cooked()
    without.read(lost, 70, 20, { after: 61 })
    expect(without.standing(lost, 'cool-first', 135)).not.toBe('proven')

    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 70, 20, { arrives: 131, away: away(70) })
    expect(story.standing(batch, 'cool-first', 135)).toBe('proven')
  })

  it('betters nothing where it was typed long after, without a network or with one', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    story.read(batch, 70, 20, { after: 40, arrives: 131, away: away(110) })
    expect(story.standing(batch, 'cool-first', 135)).not.toBe('proven')
  })

  it('is corrected by itself only at once, though both arrive together', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    const reading = story.read(batch, 70, 40, { arrives: 131, away: away(70) })
    const fact = () =>
      story.kitchen.read('batch', batch)!.facts['reading-taken'].find(({ entry }) => entry === reading)!
    const now = { at: fact().at, reading: { ...fact().value, typed: { value: 20, unit: 'C' as const } }, batch: null }
    story.correct(batch, 95, reading, now, { arrives: 131, away: away(95) })
    expect(fact()).toMatchObject({ value: { typed: { value: 40 } }, waiting: [{ by: COOK }] })
    story.correct(batch, 75, reading, now, { arrives: 132, away: away(75) })
    expect(fact()).toMatchObject({ value: { typed: { value: 20 } } })
  })

  it('is told to nobody before it arrives: what was put away meanwhile did not know of it', () => {
    const told = (away: MadeAway | undefined) => {
      const story = new KitchenStory()
      const batch = story.made()
      const item = story.putAway(batch, 400)
      expect(story.kitchen.item(item, at(410)).usable).toBe(true)
      const raw = { step: 'temper', ingredient: 'yolk', grams: 200, state: 'as it is' as const, lot: null }
      story.enter('added', batch, 390, raw, { arrives: 431, ...(away ? { away } : {}) })
      return { ...story.kitchen.item(item, at(440)), standing: story.standing(batch, 'egg', 440) }
    }
    expect(told({ from: at(380), to: at(430), at: at(390) })).toEqual(told(undefined))
    expect(told({ from: at(380), to: at(430), at: at(390) })).toMatchObject({ usable: false })
  })

  it('lasts no longer than until it arrives', () => {
    const story = new KitchenStory()
    const batch = story.cooked()
    expect(() => story.read(batch, 70, 20, { arrives: 120, away: away(70) })).toThrow('away')
    expect(() => story.read(batch, 70, 20, { arrives: 131, away: away(50) })).toThrow(RangeError)
  })
})
