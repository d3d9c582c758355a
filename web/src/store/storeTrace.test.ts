import type { ItemState, Lineage, UnitState } from '@logged-thermal/core'
import { lineageGraph, MANY } from './lineageLayout'
import { numberIn } from './numberIn'
import { coldHalf, storeTrace } from './storeTrace'

const HOUR = 3_600_000
const unit = (id: string, looks: [hours: number, celsius: number][]) =>
  ({ id, airs: looks.map(([hours, celsius]) => ({ at: hours * HOUR, celsius })) }) as unknown as UnitState
const item = (moves: [hours: number, unit: string | null][]) =>
  ({
    moves: moves.map(([hours, where]) => ({
      at: hours * HOUR,
      void: false,
      value: { how: 'move', unit: where, shelf: null },
    })),
  }) as unknown as ItemState

describe('the cold behind an item', () => {
  it('is the air of the units it was in, while it was in them, and nothing on the bench', () => {
    const units = [
      unit('a', [
        [0, 2],
        [4, 6],
        [8, 2],
      ]),
      unit('b', [
        [0, 3],
        [10, 3],
      ]),
    ]
    const { read, out, unseen, warm } = storeTrace(
      item([
        [2, 'a'],
        [6, null],
        [7, 'b'],
      ]),
      units,
      5,
      12 * HOUR,
    )
    expect(read[0]).toEqual([
      { at: 2 * HOUR, celsius: 4 },
      { at: 4 * HOUR, celsius: 6 },
      { at: 6 * HOUR, celsius: 4 },
    ])
    expect(out).toEqual([{ from: 6 * HOUR, to: 7 * HOUR }])
    // Since the last look nobody knows.
    expect(unseen).toEqual([{ from: 10 * HOUR, to: 12 * HOUR, celsius: 3 }])
    expect(warm).toEqual([{ at: 4 * HOUR, celsius: 6 }])
  })

  it('is not known from the last look of a stay to its end, where nobody looked again', () => {
    const moves = item([
      [0, 'a'],
      [6, null],
    ])
    const looked = (...looks: [number, number][]) => storeTrace(moves, [unit('a', looks)], 5, 9 * HOUR).unseen
    expect(looked([0, 3], [2, 4])).toEqual([{ from: 2 * HOUR, to: 6 * HOUR, celsius: 4 }])
    expect(looked([0, 3], [2, 4], [8, 4])).toEqual([])
    expect(looked()).toEqual([])
  })

  it('is a ribbon that touches its rails at the limit and bulges over it', () => {
    expect(coldHalf(5, 5, 20)).toBe(20)
    expect(coldHalf(8, 5, 20)).toBeGreaterThan(coldHalf(6, 5, 20))
    expect(coldHalf(6, 5, 20)).toBeGreaterThan(20)
    expect(coldHalf(-19, 5, 20)).toBeLessThan(coldHalf(0, 5, 20))
  })
})

describe('a lineage as a graph', () => {
  const lineage = (count: number): Lineage => ({
    of: { type: 'lot', id: 'lot' },
    cut: false,
    edges: Array.from({ length: count }, (_, i) => ({ parent: 'lot', child: `i${i}` })),
    nodes: [
      { type: 'lot', id: 'lot', code: 'E-1', name: 'Whole egg', generation: 0, at: 0, card: null, running: false },
      ...Array.from({ length: count }, (_, i) => ({
        type: 'item' as const,
        id: `i${i}`,
        code: `${i}`,
        name: i % 2 ? 'Curd' : 'Custard',
        generation: 1,
        at: (i % 3) * 24 * HOUR,
        card: null,
        running: false,
      })),
    ],
  })

  it('goes from left to right, a box a thing, while they are few', () => {
    const { boxes, lines } = lineageGraph(lineage(4), 'UTC', new Set())
    expect(boxes).toHaveLength(5)
    expect(lines).toHaveLength(4)
    const [lot, ...others] = boxes
    expect(others.every(({ x }) => x > lot!.x)).toBe(true)
  })

  it('puts many together by day and method, and takes one of these apart', () => {
    const many = lineage(3000)
    const { boxes } = lineageGraph(many, 'UTC', new Set())
    expect(boxes.length).toBeLessThanOrEqual(MANY)
    expect(boxes.reduce((sum, { nodes }) => sum + nodes.length, 0)).toBe(3001)
    const [group] = boxes.filter(({ nodes }) => nodes.length > 1)
    const apart = lineageGraph(many, 'UTC', new Set([group!.key]))
    expect(apart.boxes.length).toBe(boxes.length - 1 + group!.nodes.length)
  })
})

it('reads a number with either sign for decimals, and nothing else', () => {
  expect(['9,5', ' 9.5 ', '−3', '', 'warm', '1e3'].map(numberIn)).toEqual([9.5, 9.5, -3, null, null, null])
})
