import fc from 'fast-check'
import { frozenOf, type ItemState } from '../../state/item'
import { itemOf, moved, readOf, storeOf, unitOf } from '../../test/shelf'
import { at } from '../../test/traces'
import { itemStanding } from './itemStanding'

const HOURS = 60
const DAYS = 24 * HOURS

/** Made cold at ten, into the freezer an hour later; looks and readings are minutes after ten. */
const frozen = (reads: [number, number, (string | null)?][] = [], more: Partial<ItemState> = {}) =>
  itemOf({
    moves: [moved(0, 'move', 'fridge'), moved(60, 'freeze', 'freezer')],
    readings: reads.map(([when, celsius, probe = 'P2']) => readOf(when, celsius, probe)),
    ...more,
  })
const standing = (item: ItemState, looks: [number, number][], now: number) => {
  const fridge = unitOf([
    [-60, 3],
    [60, 3],
  ])
  return itemStanding(item, storeOf([fridge, unitOf(looks, { id: 'freezer', kind: 'freezer' })]), at(now))
}

describe('what is frozen', () => {
  it('stops its dates while it is hard, whatever its freezer did in a moment with the door open', () => {
    const asks = standing(
      frozen(),
      [
        [60, -18],
        [2 * DAYS, -9],
        [2 * DAYS + 10, -18],
      ],
      9 * DAYS,
    )
    expect(asks).toMatchObject({ asks: 'frozen', until: null })
  })

  it('is read where its freezer is too warm, and left alone once a probe found it hard', () => {
    const looks: [number, number][] = [
      [60, -18],
      [2 * DAYS, -7],
      [2 * DAYS + 30, -4],
    ]
    const now = 2 * DAYS + 40
    expect(standing(frozen(), looks, now)).toMatchObject({ asks: 'read it', why: 'thawing' })
    expect(standing(frozen([[2 * DAYS + 35, -6]]), looks, now)).toMatchObject({ asks: 'frozen' })
    // A number that no probe stands behind proves nothing; nor does one from before.
    expect(standing(frozen([[2 * DAYS + 35, -6, null]]), looks, now)).toMatchObject({ why: 'thawing' })
    expect(standing(frozen([[2 * DAYS - 35, -16]]), looks, now)).toMatchObject({ why: 'thawing' })
    expect(standing(frozen(), [...looks, [2 * DAYS + 60, -18]], 2 * DAYS + 70)).toMatchObject({ asks: 'frozen' })
  })

  it('has thawed where it was read above 0 °C, and its dates run from there', () => {
    const soft = frozen([[2 * DAYS, 1.5]])
    expect(frozenOf(soft)).toEqual([{ from: at(60), to: at(2 * DAYS) }])
    const { asks, walls } = standing(
      soft,
      [
        [60, -18],
        [2 * DAYS, -7],
      ],
      2 * DAYS + 5,
    )
    expect(asks).not.toBe('frozen')
    expect(walls[0]!.until).not.toBeNull()
    // Frozen again, they stop again.
    const again = { ...soft, moves: [...soft.moves, moved(3 * DAYS, 'freeze', 'freezer')] }
    expect(frozenOf(again)).toEqual([{ from: at(60), to: at(2 * DAYS) }, { from: at(3 * DAYS) }])
  })

  it('read soft on its way into the frost is frozen from there on', () => {
    expect(
      frozenOf(
        frozen([
          [90, 3],
          [4 * HOURS, 0.5],
          [10 * HOURS, -3],
        ]),
      ),
    ).toEqual([{ from: at(4 * HOURS) }])
    expect(
      frozenOf(
        frozen([
          [90, 3],
          [4 * HOURS, 0.5],
          [30 * HOURS, 2],
        ]),
      ),
    ).toEqual([{ from: at(4 * HOURS), to: at(30 * HOURS) }])
  })

  it('never gains days by being read, and spans follow each other', () => {
    const reads = fc.array(fc.tuple(fc.integer({ min: 61, max: 9 * DAYS }), fc.integer({ min: -20, max: 6 })), {
      maxLength: 6,
    })
    fc.assert(
      fc.property(reads, (all) => {
        const spans = frozenOf(frozen(all.map(([when, celsius]) => [when, celsius])))
        const length = (list: typeof spans) =>
          list.reduce((sum, { from, to }) => sum + ((to ?? at(9 * DAYS)) - from), 0)
        expect(length(spans)).toBeLessThanOrEqual(length(frozenOf(frozen())))
        expect(length(spans)).toBeGreaterThanOrEqual(0)
        for (const [i, { from, to }] of spans.entries()) {
          expect(to ?? Infinity).toBeGreaterThanOrEqual(from)
          if (i > 0) expect(from).toBeGreaterThanOrEqual(spans[i - 1]!.to!)
        }
      }),
    )
  })
})
