import type { Degrees, HotCheck, ItemStanding, ItemState, Level, PartShut } from '@logged-thermal/core'
import {
  discardReasonOf,
  itemSentence,
  lagSentence,
  keepWords,
  leftInEggs,
  leftWords,
  measureWords,
  partSentence,
  setBy,
} from './storeWords'
import { partShutSentence } from './shutSentences'

const HOUR = 3_600_000
/** A level as its limit prints it. */
const levelAt = (side: Level['side'], level: Degrees): Level => ({
  side,
  celsius: level.c,
  limit: { rule: { kind: 'stay', side, level, grace: null } } as Level['limit'],
})
const reader = { scale: 'C' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
const source = { document: 'Food Code', section: '3-501.17', edition: '2022', confidence: 'high' as const }
const keep = { what: 'days' as const, count: 3, from: null, force: 'house' as const, source }
const standing = (more: Partial<ItemStanding> = {}): ItemStanding => ({
  asks: 'keep',
  why: null,
  walls: [{ lastDay: '2027-03-05', until: 100 * HOUR, ruledBy: 'keepDays', keep }],
  until: 100 * HOUR,
  daysLeft: 3,
  exposure: { time: { least: 0, likely: 0, most: 0 }, periods: [], now: false, answered: 0, read: null },
  advice: { kind: 'nothing', by: null, time: { least: 0, likely: 0, most: 0 }, source, force: 'law' },
  hot: null,
  timeUp: null,
  ...more,
})
const item = { holds: [], ready: null, ingredient: 'white' } as unknown as ItemState

describe('what is told only after it was put away', () => {
  const lacks = (contains: string[], mayContain: string[], claims: string[]) => ({
    value: {
      contains: { allergens: contains, unknown: [] },
      mayContain: { allergens: mayContain, unknown: [] },
      claims,
    },
    knownAt: 1,
  })
  const told = (...reached: unknown[]) =>
    itemSentence(
      { holds: [], reached } as unknown as ItemState,
      standing({ asks: 'lead decides', why: 'label lacks' }),
      reader,
    ).replace(/ Print the labels again.*/, '')

  it('is named once, whatever of it is lacking', () => {
    const begins = 'Told only after some of it was put away: '
    expect(told(lacks([], ['tree nuts'], ['without nuts']))).toBe(
      `${begins}it may contain tree nuts, and it is not without nuts.`,
    )
    expect(told(lacks(['sesame'], [], []), lacks(['sesame'], ['milk'], []))).toBe(
      `${begins}it contains sesame and it may contain milk.`,
    )
    expect(told(lacks([], [], ['vegan']))).toBe(`${begins}it is not vegan.`)
    const strong = { ...lacks([], [], []), value: { ...lacks([], [], []).value, alcohol: true } }
    expect(told(strong)).toBe('Alcohol that its label does not count was told of only after some of it was put away.')
    expect(told(lacks(['sesame'], [], []), strong)).toContain('it contains sesame. Alcohol that its label')
  })
})

describe('the words of the cold store', () => {
  it('say amounts as people do, and parts of the egg in eggs', () => {
    expect([
      measureWords({ value: 1, unit: 'portion' }, reader),
      measureWords({ value: 1250, unit: 'g' }, reader),
      measureWords({ value: 3000, unit: 'ml' }, reader),
    ]).toEqual(['1 portion', '1.3 kg', '3 L'])
    expect(leftInEggs(item, { value: 561, unit: 'g' }, reader)).toBe('561 g, about 17 eggs')
  })

  it('say what sets a date, and how much of it is left', () => {
    expect(keepWords({ ...keep, what: 'hours', count: 24, force: 'law' }, reader)).toBe('Law: 24 h from combining')
    expect(setBy(standing(), reader)).toBe('House rule: 3 days')
    expect(setBy({ walls: [{ lastDay: '2027-03-05', until: 1, ruledBy: 'Custard 62-1', keep: null }] }, reader)).toBe(
      'Custard 62-1',
    )
    expect(leftWords(standing({ until: 5 * HOUR, daysLeft: 1 }), 0, reader)).toEqual({ big: '5', small: 'h' })
    expect(leftWords(standing(), 0, reader)).toEqual({ big: '3', small: 'days, with today' })
  })

  it('say what to do first, then why, and never more than is known', () => {
    const time = { least: 0, likely: 1 * HOUR, most: 3 * HOUR }
    const warm = standing({
      asks: 'chill again',
      why: 'exposure',
      exposure: { time, periods: [], now: true, answered: 0, read: null },
      advice: { kind: 'chill again', by: 4 * HOUR, time, source, force: 'guidance' },
    })
    expect(itemSentence(item, warm, reader)).toBe('Another unit before 04:00. Above its limit for at most 3 h.')
    const unseen = {
      ...warm,
      advice: { ...warm.advice, kind: 'read it' as const, by: null },
      exposure: { ...warm.exposure, time: { least: 0, likely: 0, most: 14 * HOUR } },
    }
    expect(itemSentence(item, unseen, reader)).toContain('Nobody looked at its unit for too long')
    const over = standing({ asks: 'discard', why: 'past its day' })
    expect(itemSentence(item, over, reader)).toBe('Ran out at the end of Fri 5 Mar. House rule: 3 days.')
    expect(discardReasonOf(over)).toBe('past its day')
    expect(discardReasonOf(standing({ asks: 'use today', why: 'its day' }))).toBe('left over')
  })

  it('say of what is held hot what it read, what it has to be, and what comes of it', () => {
    const level = levelAt('over', { c: 57, f: 135 })
    const read = { at: 2 * HOUR, celsius: 51.6 }
    const said = (
      asks: HotCheck['asks'],
      by: number | null = null,
      unit: 'C' | 'F' = 'C',
      reheating: HotCheck['reheating'] = null,
    ) =>
      itemSentence(item, standing({ why: 'hot holding', hot: { asks, level, read, by, reheating } }), {
        ...reader,
        scale: unit,
      })
    expect(said('read it')).toBe('Read its core: held hot it stays at 57° or over.')
    expect(said('lead decides')).toBe(
      'Read at 51.6° at 02:00, under 57°. The lead decides: through the heat again at once, or into the bin.',
    )
    expect(said('use now', 4 * HOUR)).toContain('Use it before 04:00, once, or bin it.')
    expect(said('discard', 4 * HOUR, 'F')).toBe(
      'Read at 124.8° at 02:00, under 135°. The one period under it is over. Bin it.',
    )
    const reheating = {
      rows: [{ celsius: 74, seconds: 15 }],
      by: 4 * HOUR,
      doneAt: null,
      again: null,
      limit: null as never,
    }
    expect(said('reheat', 4 * HOUR, 'C', reheating)).toBe(
      'It was cold: heat it to 74° for 15 s, by two readings, before 04:00, then hold it hot.',
    )
    expect(said('reheat', null, 'F', { ...reheating, rows: [{ celsius: 63, seconds: 0 }] })).toBe(
      'It was cold: heat it to 145°, then hold it hot.',
    )
    const again = { from: 2 * HOUR + 15_000, to: 2 * HOUR + 30_000 }
    expect(said('reheat', 4 * HOUR, 'C', { ...reheating, again })).toBe(
      'Hot enough: keep it so and read it again from 02:00:15 to 02:00:30.',
    )
    expect(said('lead decides', null, 'C', reheating)).toBe(
      'It was cold and was not read at 74° for 15 s, by two readings, in time. The lead decides.',
    )
    expect(discardReasonOf(standing({ asks: 'discard', why: 'hot holding' }))).toBe('time up')
  })

  it('say of a part what it brings along', () => {
    expect(partSentence(standing(), reader)).toBe('House rule: 3 days')
    const exposure = { ...standing().exposure, time: { least: 0, likely: HOUR, most: 1.5 * HOUR } }
    expect(partSentence(standing({ exposure }), reader)).toBe('above its limit for up to 90 min, which goes along')
  })

  it('say how far food lags behind the air, and that it proves nothing', () => {
    const lag = { air: 9, from: 3, grams: 1200, assumed: false, earliest: 2 * HOUR, latest: 7 * HOUR }
    expect(lagSentence(lag, levelAt('under', { c: 5, f: 41 }), reader)).toBe(
      'Thermal lag, which proves nothing: the core of 1.2 kg at 3.0°, left in 9.0°, passes 5° between about 02:00 and 07:00.',
    )
    const night = { ...lag, grams: 100, assumed: true, latest: 26 * HOUR }
    expect(lagSentence(night, levelAt('under', { c: 5, f: 41 }), { ...reader, scale: 'F' })).toBe(
      'Thermal lag, which proves nothing: the core of each, taken as 100 g, at 37.4°, left in 48.2°, passes 41° between about 02:00 and 02:00 Fri 2 Jan.',
    )
  })

  it('say why something may not go in, and what would help', () => {
    const said = (why: PartShut) => partShutSentence(why, reader)
    expect(said({ code: 'too warm', celsius: 9.44, level: 5 })).toBe(
      'at 9.5° it is over 5°. Chill it first, or say that it is poured warm.',
    )
    expect(partShutSentence({ code: 'too warm', celsius: 9.44, level: 5 }, { ...reader, scale: 'F' })).toContain(
      'at 49.0° it is over 41°',
    )
    expect(said({ code: 'not proven', batch: '62-1' })).toContain('62-1 is not proven and not released')
    expect(said({ code: 'raw egg unheated' })).toContain('Take a pasteurized one')
  })
})
