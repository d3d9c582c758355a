import type { ItemStanding, ItemState } from '@logged-thermal/core'
import { firstAction } from './ItemKeys'
import { discardOf, whereIs, type StoredItem } from './useStore'

const item = (more: Partial<ItemState> = {}) =>
  ({
    id: 'item',
    name: 'Test custard',
    code: '62-1a',
    what: 'portion',
    measure: { value: 2000, unit: 'g' },
    cost: 900,
    moves: [],
    opened: [],
    ...more,
  }) as unknown as ItemState
const one = (standing: Partial<ItemStanding>, more: Partial<ItemState> = {}): StoredItem => ({
  item: item(more),
  standing: { asks: 'keep', why: null, ...standing } as ItemStanding,
})
const at = (unit: string | null, how: 'move' | 'serve' | 'out' = 'move', shelf: number | null = null) =>
  item({ moves: [{ at: 1, madeAt: 1, void: false, value: { unit, how, shelf } }] as unknown as ItemState['moves'] })
const units = [
  { id: 'walk-in', name: 'Walk-in 1', shelves: 4 },
  { id: 'case', name: 'Display case', shelves: 1 },
] as unknown as Parameters<typeof whereIs>[1]

describe('an item that goes into the bin', () => {
  it('is counted with why it goes, by its weight and its share of the cost', () => {
    const gone = one({ asks: 'discard', why: 'past its day' })
    expect(discardOf(gone, { value: 500, unit: 'g' })).toEqual({
      reason: 'past its day',
      note: null,
      measure: { value: 500, unit: 'g' },
      grams: 500,
      cost: 225,
    })
  })

  it('has no weight where it is counted, and no cost where nobody knows it', () => {
    const gone = one({ asks: 'discard', why: 'exposure' }, { measure: { value: 10, unit: 'portion' }, cost: null })
    expect(discardOf(gone, { value: 10, unit: 'portion' })).toMatchObject({
      reason: 'too warm',
      grams: null,
      cost: null,
    })
  })
})

it('is said to be where people find it', () => {
  expect(whereIs(at('walk-in', 'move', 3), units)).toBe('Walk-in 1, shelf 3')
  expect(whereIs(at('case', 'serve', 1), units)).toBe('Display case')
  expect(whereIs(at(null, 'out'), units)).toBe('on the bench')
  expect(whereIs(at(null, 'serve'), units)).toBe('out with the guests')
  expect(whereIs(item(), units)).toBe('nobody said where')
})

it('offers first what it asks for', () => {
  const first = (asks: ItemStanding['asks'], more: Partial<ItemState> = {}, why: ItemStanding['why'] = null) =>
    firstAction(one({ asks, why }, more))
  expect(first('discard')).toBe('Discard')
  expect(first('held')).toBe('Decide')
  expect(first('lead decides')).toBe('Decide')
  expect(first('read it')).toBe('Read it')
  expect(first('chill again')).toBe('Move')
  expect(first('use now', {}, 'its own clock')).toBe('Sold')
  expect(first('use now', {}, 'exposure')).toBe('Use')
  expect(first('keep')).toBe('Pull')
  expect(first('keep', { what: 'package' })).toBe('Open')
  const opened = [{ void: false }] as unknown as ItemState['opened']
  expect(first('keep', { what: 'package', opened })).toBe('Pull')
})
