import fc from 'fast-check'
import { HOUR } from '../../ground/instant'
import type { ItemState } from '../../state/item'
import { itemOf, letGo, minutes, moved, readOf, storeOf, unitOf } from '../../test/shelf'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import { ITEM_ASKS, itemStanding, itemUrgency } from './itemStanding'
import { moveShut } from './moveShut'

const well = (looks: [number, number][] = [[0, 68]]) => unitOf(looks, { id: 'well', kind: 'hot well' })
const cold = unitOf([
  [-60, 3],
  [600, 3],
])

/** Readings of its core: '65:66 120:52' is 66 ° at 65 minutes after ten and 52 ° at 120; '!' by no probe. */
const read = (text: string) =>
  text
    .split(' ')
    .filter(Boolean)
    .map((each) => {
      const [when, celsius] = each.replace('!', '').split(':').map(Number) as [number, number]
      return readOf(when, celsius, each.endsWith('!') ? null : 'P2')
    })

/** From the stove into the well at eleven. */
const hot = (reads: string, more: Partial<ItemState> = {}) =>
  itemOf({ coldAt: null, moves: [moved(60, 'hot', 'well')], readings: read(reads), ...more })
const standing = (reads: string, now: number, ruleSet = 'us-food-code-2022', looks?: [number, number][]) =>
  itemStanding(hot(reads), storeOf([cold, well(looks)], limitsFrom(ruleSet)), at(now))

describe('held hot', () => {
  it('is read by a probe when it goes in, and again by half of its hours', () => {
    expect(standing('', 61)).toMatchObject({ asks: 'read it', why: 'hot holding' })
    expect(standing('65:66!', 66)).toMatchObject({ asks: 'read it' })
    expect(standing('65:66', 66)).toMatchObject({ asks: 'use now', why: 'its own clock' })
    expect(standing('65:66', 65 + 121)).toMatchObject({ asks: 'read it', why: 'hot holding' })
    expect(standing('65:66 180:62', 65 + 121)).toMatchObject({ why: 'its own clock' })
  })

  it('asks for its core once the well shows less than the line, and not for a look before it was read', () => {
    const looks: [number, number][] = [[90, 51]]
    expect(standing('65:66', 100, 'us-food-code-2022', looks)).toMatchObject({ asks: 'read it', why: 'hot holding' })
    expect(standing('65:66 95:60', 100, 'us-food-code-2022', looks)).toMatchObject({ why: 'its own clock' })
  })

  it('under the line is the lead’s where the rule set allows no time, even once it is hot again', () => {
    expect(standing('65:66 120:52', 121)).toMatchObject({ asks: 'lead decides', why: 'hot holding' })
    expect(standing('65:66 120:52 130:70', 131)).toMatchObject({ asks: 'lead decides', hot: { read: { celsius: 52 } } })
    // Let go on by the lead, it is read anew.
    const holds = [letGo(140)]
    const released = (reads: string, now: number) =>
      itemStanding(hot(reads, { holds }), storeOf([cold, well()]), at(now))
    expect(released('65:66 120:52', 141)).toMatchObject({ asks: 'read it', why: 'hot holding' })
    expect(released('65:66 120:52 142:76', 143)).toMatchObject({ why: 'its own clock' })
  })

  it('under the line has one period where the rule set allows one, from when it was last hot, and no second', () => {
    const uk = (reads: string, now: number) => standing(reads, now, 'uk-2013')
    expect(uk('65:66 120:52', 121)).toMatchObject({ asks: 'use now', hot: { by: at(185) } })
    expect(uk('65:66 120:52', 186)).toMatchObject({ asks: 'discard', why: 'hot holding' })
    expect(uk('65:66 120:52 150:66', 151)).toMatchObject({ why: 'its own clock' })
    // As long as it may have been: hot again too late proves nothing of the time between.
    expect(uk('65:66 120:52 186:66', 187)).toMatchObject({ asks: 'discard' })
    expect(uk('65:66 120:52 150:66 160:60', 161)).toMatchObject({ asks: 'discard' })
    // A number that no probe stands behind ends no period.
    expect(uk('65:66 120:52 150:66!', 151)).toMatchObject({ asks: 'use now', hot: { by: at(185) } })
  })

  it('under the line asks for its reading before what only waits', () => {
    const [lead, allowed] = [standing('65:66 120:52', 121), standing('65:66 120:52', 121, 'uk-2013')]
    expect(itemUrgency(allowed)).toEqual([ITEM_ASKS.indexOf('use now'), at(185)])
    expect(itemUrgency(lead)[0]).toBeGreaterThan(itemUrgency(allowed)[0])
  })

  it('has no second period because the lead let it go on meanwhile', () => {
    const holds = [letGo(130)]
    const uk = (reads: string, now: number) =>
      itemStanding(hot(reads, { holds }), storeOf([cold, well()], limitsFrom('uk-2013')), at(now))
    expect(uk('65:66 120:52', 140)).toMatchObject({ asks: 'use now', hot: { by: at(185) } })
    expect(uk('65:66 120:52', 186)).toMatchObject({ asks: 'discard', why: 'hot holding' })
    expect(uk('65:66 120:52 150:66 160:60', 161)).toMatchObject({ asks: 'discard' })
  })

  it('is no time above the cold limit, and ends with its hours whatever it reads', () => {
    const readings = fc.array(fc.tuple(fc.integer({ min: 61, max: 299 }), fc.integer({ min: 20, max: 90 })), {
      maxLength: 6,
    })
    fc.assert(
      fc.property(readings, (reads) => {
        const said = reads.map(([when, celsius]) => `${when}:${celsius}`).join(' ')
        const { exposure, timeUp } = standing(said, 299)
        expect(minutes(exposure.time.most)).toBe(0)
        expect(timeUp?.at).toBe(at(60) + 4 * HOUR)
        expect(standing(said, 300)).toMatchObject({ asks: 'discard', why: 'time up' })
      }),
    )
  })

  it('goes from the well to the guests with its clock running on, and never back into the cold', () => {
    const item = hot('65:66')
    const to = (how: 'move' | 'serve' | 'hot' | 'freeze' | 'out', unit: Parameters<typeof moveShut>[2]) =>
      moveShut(item, { how, unit: unit?.id ?? null, shelf: null }, unit)
    expect(to('move', cold)).toBe('went hot for good')
    expect(to('freeze', unitOf([], { kind: 'freezer' }))).toBe('went hot for good')
    expect(to('out', null)).toBe('went hot for good')
    expect(to('hot', well())).toBeNull()
    expect(to('serve', null)).toBeNull()
    const served = { ...item, moves: [...item.moves, moved(200, 'serve', null), moved(230, 'serve', 'case')] }
    expect(itemStanding(served, storeOf([cold, well()]), at(240)).timeUp?.since).toBe(at(60))
  })
})
