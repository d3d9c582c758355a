import type { AnyClaim } from '@logged-thermal/core'
import { renumbered } from './renumbered'

const fact = (code: string) => ({ value: { code } })
const line = {
  kitchen: { zone: 'UTC' },
  codes: ['62-1', '62-2'],
  batches: [{ id: 'batch', facts: { portioned: [fact('62-1a'), fact('62-1b')] } }],
  items: [{ id: 'item', code: '62-1a', splits: [fact('62-1a1')] }],
} as unknown as Parameters<typeof renumbered>[1]
const claim = (kind: string, about: string, body: object) =>
  ({ id: 'first', kind, about: { id: about }, at: Date.UTC(2027, 2, 3, 10), body }) as unknown as AnyClaim
const codeOf = (made: AnyClaim | null) => (made?.body as { code: string } | undefined)?.code

describe('a code that another tablet took at once', () => {
  it('is the next one of the day for a batch, of its batch for an item, of its parent for a split', () => {
    expect(codeOf(renumbered(claim('batch-started', 'new', { code: '62-3' }), line))).toBe('62-4')
    const portion = { batch: 'batch', batchCode: '62-1', code: '62-1b' }
    expect(codeOf(renumbered(claim('portioned', 'new', portion), line))).toBe('62-1c')
    expect(codeOf(renumbered(claim('item-split', 'item', { code: '62-1a1' }), line))).toBe('62-1a2')
  })

  it('goes out as an entry of its own, and nothing else of it is changed', () => {
    const first = claim('portioned', 'new', { batch: 'batch', batchCode: '62-1', code: '62-1b', measure: { value: 3 } })
    const next = renumbered(first, line)!
    expect(next.id).not.toBe(first.id)
    expect(next).toMatchObject({ about: first.about, at: first.at, body: { measure: { value: 3 } } })
  })

  it('is not looked for where nothing has a code, or what it is split off is gone', () => {
    expect(renumbered(claim('item-held', 'item', { reason: 'x' }), line)).toBeNull()
    expect(renumbered(claim('item-split', 'other', { code: 'x' }), line)).toBeNull()
  })
})
