import fc from 'fast-check'
import { MINUTE, SECOND } from '../../ground/instant'
import type { ItemState } from '../../state/item'
import { itemOf, letGo, moved, readOf, storeOf, unitOf } from '../../test/shelf'
import { limitsFrom } from '../../test/story'
import { at } from '../../test/traces'
import { itemStanding } from './itemStanding'

const units = [
  unitOf([
    [-60, 3],
    [600, 3],
  ]),
  unitOf([], { id: 'well', kind: 'hot well' }),
]

type Read = [minutes: number, celsius: number, probe?: string | null]

/** Cold since ten; taken out of the refrigerator at half past, into the well at eleven. */
const standing = (reads: readonly Read[], now: number, ruleSet = 'us-food-code-2022', more: Partial<ItemState> = {}) =>
  itemStanding(
    itemOf({
      moves: [moved(0, 'move', 'fridge'), moved(30, 'out', null), moved(60, 'hot', 'well')],
      readings: reads.map(([when, celsius, probe = 'P2']) => readOf(when, celsius, probe)),
      ...more,
    }),
    storeOf(units, limitsFrom(ruleSet)),
    at(now),
  )
const held = (from: number, celsius: number): Read[] => [
  [from, celsius],
  [from + 1 / 3, celsius],
]

describe('from the cold into the hot well', () => {
  it('asks for the heat first, held as long as the rule set says, in the time since it left the cold', () => {
    const { asks, why, hot } = standing([], 61)
    expect({ asks, why }).toEqual({ asks: 'read it', why: 'hot holding' })
    expect(hot).toMatchObject({ asks: 'reheat', by: at(30) + 120 * MINUTE })
    expect(hot?.reheating?.rows).toEqual([{ celsius: 74, seconds: 15 }])
    // Hot enough to be held, and hot enough for a moment, are not it.
    expect(standing([[65, 66]], 66).hot).toMatchObject({ asks: 'reheat' })
    expect(standing([[65, 80]], 66).hot).toMatchObject({ asks: 'reheat', reheating: { again: null } })
    expect(standing([[65, 80]], 65.2).hot).toMatchObject({
      asks: 'reheat',
      reheating: { again: { from: at(65) + 15 * SECOND, to: at(65) + 30 * SECOND } },
    })
    expect(standing(held(65, 76), 66)).toMatchObject({ why: 'its own clock', hot: { asks: 'nothing' } })
  })

  it('is the lead’s once the time is over, whatever is read later, and read anew when the lead let it go on', () => {
    expect(standing([], 150).hot).toMatchObject({ asks: 'lead decides', reheating: { doneAt: null } })
    expect(standing(held(149.9, 80), 160)).toMatchObject({ asks: 'lead decides', why: 'hot holding' })
    const holds = [letGo(155)]
    expect(standing([], 156, 'us-food-code-2022', { holds }).hot).toMatchObject({ asks: 'read it', reheating: null })
  })

  it('counts the heat it was given on the stove, and still wants it read hot in the well', () => {
    expect(standing(held(50, 78), 61).hot).toMatchObject({
      asks: 'read it',
      reheating: { doneAt: at(50) + 20 * SECOND },
    })
    expect(standing([...held(50, 78), [62, 70]], 63).hot).toMatchObject({ asks: 'nothing' })
    expect(standing([...held(50, 78), [62, 40]], 63).hot).toMatchObject({ asks: 'lead decides' })
  })

  it('takes the target of a rule set that prints a time alone, and only the hot line of one that prints none', () => {
    expect(standing([[80, 62]], 81, 'fr-2009').hot).toMatchObject({ asks: 'reheat', by: at(90) })
    expect(standing([[80, 63.5]], 81, 'fr-2009').hot).toMatchObject({ asks: 'nothing' })
    expect(standing([[80, 63.5]], 81, 'anz-3-2-2').hot).toMatchObject({ asks: 'nothing', reheating: null })
  })

  it('is not asked of what comes from the stove', () => {
    const fromStove = { coldAt: null, moves: [moved(60, 'hot' as const, 'well')] }
    expect(standing([[65, 66]], 66, 'us-food-code-2022', fromStove).hot).toMatchObject({ asks: 'nothing' })
    // Cooled first, it was cold, wherever that was.
    expect(standing([[65, 66]], 66, 'us-food-code-2022', { ...fromStove, coldAt: at(20) }).hot).toMatchObject({
      asks: 'reheat',
    })
  })

  it('is never proven by a number that no probe stands behind, nor by heat under its floor', () => {
    const hotEnough = fc.tuple(fc.double({ min: 30, max: 149, noNaN: true }), fc.constant(90), fc.constant(null))
    const tooCold = fc.tuple(
      fc.double({ min: 30, max: 149, noNaN: true }),
      fc.double({ min: -5, max: 73.8, noNaN: true }),
      fc.constant('P2'),
    )
    fc.assert(
      fc.property(fc.array(fc.oneof(hotEnough, tooCold), { maxLength: 12 }), (reads) => {
        const { hot } = standing(reads, 149)
        expect(hot?.reheating?.doneAt).toBeNull()
      }),
    )
  })
})
