import fc from 'fast-check'
import { MINUTE } from '../ground/instant'
import { backOf } from '../admission/item/takenBack'
import type { Id } from '../ledger/subject'
import type { AnyClaim, Bodies, Entry, Kind } from '../ledger/entry'
import type { MoveHow } from '../ledger/storeEntries'
import { courseOf } from '../judgement/keeping/course'
import { itemWalls } from '../judgement/dates/walls'
import { itemOf } from '../test/shelf'
import { at } from '../test/traces'
import { apply } from '../admission/fold'
import { moved, readOf } from '../test/shelf'
import {
  frozenOf,
  holdOf,
  isGone,
  isRecalledBy,
  itemLeft,
  openedAt,
  placeOf,
  releasedAt,
  tapsOf,
  type ItemState,
} from './item'

let n = 0
function entry<K extends Kind>(kind: K, minutes: number, body: Bodies[K], about = 'item'): Entry {
  const claim = {
    kind,
    id: `e${n++}`,
    about: { type: about === 'item' ? 'item' : 'lot', id: about },
    at: at(minutes),
    madeAt: at(minutes),
    by: 'mina',
    body,
  }
  return { claim: claim as unknown as AnyClaim, seal: null }
}
const after = (state: ItemState, each: Entry) => apply.item('item', state, each)!
const takenBack = (state: ItemState, target: Id, minutes: number) =>
  after(state, entry('taken-back', minutes, { target, also: [] }))

/** A tap on an item, some minutes on. */
const tap = fc.oneof(
  fc
    .record({
      how: fc.constantFrom<MoveHow>('move', 'freeze', 'thaw', 'out'),
      unit: fc.constantFrom(null, 'fridge', 'freezer'),
    })
    .map((to) => (minutes: number) => entry('item-moved', minutes, { ...to, shelf: null })),
  fc.constant((minutes: number) => entry('item-opened', minutes, {})),
  fc
    .integer({ min: 1, max: 4 })
    .map(
      (value) => (minutes: number) =>
        entry('item-used', minutes, { measure: { value, unit: 'portion' }, then: 'sold' }),
    ),
  fc
    .double({ min: 1, max: 20, noNaN: true })
    .map(
      (value) => (minutes: number) =>
        entry('item-read', minutes, { typed: { value, unit: 'C' }, instrument: value > 9 ? null : 'P2' }),
    ),
  fc.constant((minutes: number) => entry('item-held', minutes, { reason: 'smells' })),
)

/** All that follows from what stands of an item. */
function stands(item: ItemState) {
  return {
    left: itemLeft(item),
    place: placeOf(item)?.value ?? null,
    frozen: frozenOf(item),
    opened: openedAt(item),
    course: courseOf(item, itemWalls(item, 'UTC')),
  }
}

describe('an item after taps', () => {
  it('is after a tap that was taken back as if it had never been tapped', () => {
    fc.assert(
      fc.property(fc.array(tap, { minLength: 1, maxLength: 12 }), fc.nat(), (taps, pick) => {
        const entries = taps.map((make, i) => make(10 + i))
        const gone = entries[pick % entries.length]!
        const all = entries.reduce(after, itemOf())
        const without = entries.filter((each) => each !== gone).reduce(after, itemOf())
        expect(stands(takenBack(all, gone.claim.id, 100))).toEqual(stands(without))
      }),
    )
  })

  it('never has less than nothing, and never more than there was', () => {
    fc.assert(
      fc.property(fc.array(tap, { maxLength: 12 }), (taps) => {
        const { value } = itemLeft(taps.map((make, i) => make(10 + i)).reduce(after, itemOf()))
        expect(value).toBeGreaterThanOrEqual(0)
        expect(value).toBeLessThanOrEqual(10)
      }),
    )
  })

  it('is held as long as the kitchen or the recall of any lot holds it, and let go on by the lead alone', () => {
    const by = fc.constantFrom(null, 'lot a', 'lot b')
    fc.assert(
      fc.property(fc.array(fc.tuple(by, fc.boolean()), { maxLength: 12 }), (words) => {
        const body = { reason: 'why', items: ['item'], batches: [], drill: false }
        const item = words
          .map(([lot, held], i) => {
            if (lot === null) return entry(held ? 'item-held' : 'item-released', i, { reason: 'why' })
            return entry(held ? 'recalled' : 'recall-ended', i, body, lot)
          })
          .reduce(after, itemOf())
        const holding = new Set(
          words.filter(([lot, held], i) => held && !words.slice(i + 1).some(([l]) => l === lot)).map(([lot]) => lot),
        )
        expect(holdOf(item) !== null).toBe(holding.size > 0)
        if (holding.size > 0)
          expect(holdOf(item)!.value.recall !== null).toBe(holding.has('lot a') || holding.has('lot b'))
        expect(isRecalledBy(item, 'lot a')).toBe(holding.has('lot a'))
        const released = words.findLastIndex(([lot, held]) => lot === null && !held)
        expect(releasedAt(item)).toBe(released < 0 ? null : at(released))
      }),
    )
  })

  it('says of each tap what is put back with it, and leaves to others what no tap puts back', () => {
    const split = entry('item-split', 11, {
      into: 'other',
      code: 'y',
      measure: { value: 2, unit: 'portion' },
      as: {} as never,
    })
    const held = entry('item-held', 12, { reason: 'smells' })
    const moved = entry('item-moved', 13, { how: 'out', unit: null, shelf: null })
    const used = entry('part-used', 14, { batch: 'trifle', measure: { value: 1, unit: 'portion' } } as never)
    const item = [split, held, moved, used].reduce(after, itemOf())
    expect(backOf(item, split.claim.id)).toBe('stands')
    expect(backOf(item, held.claim.id)).toBe('stands')
    expect(backOf(item, moved.claim.id)).toEqual({ also: [] })
    expect(backOf(item, used.claim.id)).toEqual({ also: [{ type: 'batch', id: 'trifle' }] })
  })

  it('is put back whole where it was put away or split off by mistake, as long as nothing else was done with it', () => {
    // Made by one entry, which moved it to its place as well.
    const fresh = itemOf({ born: 'made', moves: itemOf().moves.map((move) => ({ ...move, entry: 'made' })) })
    expect(backOf(fresh, 'made')).toEqual({ also: [{ type: 'batch', id: 'batch' }] })
    const undone = takenBack(fresh, 'made', 5)
    expect(isGone(undone)).toBe(true)
    expect(undone.undone).toBe(true)

    const moved = entry('item-moved', 3, { how: 'out', unit: null, shelf: null })
    const touched = after(fresh, moved)
    expect(backOf(touched, 'made')).toBe('stands')
    expect(backOf(takenBack(touched, moved.claim.id, 4), 'made')).toEqual({ also: [{ type: 'batch', id: 'batch' }] })

    const parent = { type: 'item' as const, id: 'parent', code: '62-1a' }
    expect(backOf({ ...fresh, bornAs: 'item-split', from: [...fresh.from, parent] }, 'made')).toEqual({
      also: [{ type: 'item', id: 'parent' }],
    })
    for (const bornAs of ['lot-received', 'left-over', 'item-found'] as const)
      expect(backOf({ ...fresh, bornAs }, 'made')).toBe('stands')
  })

  it('keeps every tap that was made, taken back or not', () => {
    const moved = entry('item-moved', 3, { how: 'out', unit: null, shelf: null })
    const item = takenBack(after(itemOf(), moved), moved.claim.id, 4)
    expect(tapsOf(item).filter(({ entry: id }) => id === moved.claim.id)).toMatchObject([{ void: true }])
    expect(placeOf(item)).toMatchObject({ at: at(0) })
    expect(at(1) - at(0)).toBe(MINUTE)
  })
})

describe('what goes into the frost', () => {
  const frozen = (readings: [minutes: number, celsius: number][]) =>
    frozenOf({ moves: [moved(0, 'freeze', 'freezer')], readings: readings.map(([when, value]) => readOf(when, value)) })

  it('may be on its way for twelve hours; read soft after that it has thawed', () => {
    expect(frozen([[12 * 60, 1]])).toEqual([{ from: at(12 * 60) }])
    expect(frozen([[12 * 60 + 1, 1]])).toEqual([{ from: at(0), to: at(12 * 60 + 1) }])
    expect(frozen([[20 * 60, -1]])).toEqual([{ from: at(0) }])
  })
})
