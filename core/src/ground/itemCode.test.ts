import fc from 'fast-check'
import { nextItemCode, nextSplitCode } from './itemCode'

const taken = (count: number) => Array.from({ length: count }, (_, i) => `x${i}`)

describe('the code of an item', () => {
  it('is its batch with a letter, and after z with two', () => {
    expect([0, 25, 26, 701, 702].map((count) => nextItemCode('62-1', taken(count)))).toEqual([
      '62-1a',
      '62-1z',
      '62-1aa',
      '62-1zz',
      '62-1aaa',
    ])
  })

  it('of a split is that of its parent with a number, or a letter after a number', () => {
    expect(nextSplitCode('62-1a', [])).toBe('62-1a1')
    expect(nextSplitCode('62-1a', ['62-1a1'])).toBe('62-1a2')
    expect(nextSplitCode('62-1a1', [])).toBe('62-1a1a')
    expect(nextSplitCode('L522', [])).toBe('L522a')
  })

  it('is never given twice among the items of a batch and all that was split off them', () => {
    // Each number says of which item so far the next one is split off; 0 puts away another of the batch.
    fc.assert(
      fc.property(fc.array(fc.nat({ max: 60 }), { maxLength: 60 }), (steps) => {
        const splits = new Map<string, string[]>()
        const put: string[] = []
        for (const pick of steps) {
          const all = [...splits.keys()]
          const parent = pick === 0 ? undefined : all[pick % Math.max(1, all.length)]
          const code = parent ? nextSplitCode(parent, splits.get(parent)!) : nextItemCode('62-1', put)
          expect(all).not.toContain(code)
          splits.set(code, [])
          if (parent) splits.get(parent)!.push(code)
          else put.push(code)
        }
      }),
    )
  })
})
