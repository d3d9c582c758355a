/** @jest-environment jsdom */
import { headFound, rememberedHead, rememberHead, type SeenHead } from './seenHead'

const seen: SeenHead = { seq: 840, hash: 'a', restored: null }

describe('the logbook that a tablet saw', () => {
  it.each([
    ['longer, with what was seen in it', { seq: 900, restored: null, hashThere: 'a' }, 'goes on'],
    ['just as long', { seq: 840, restored: null, hashThere: 'a' }, 'goes on'],
    ['shorter', { seq: 812, restored: null, hashThere: null }, 'set back'],
    ['longer, with another entry in the place', { seq: 900, restored: null, hashThere: 'b' }, 'set back'],
    ['shorter, and says that it was restored', { seq: 812, restored: 5, hashThere: null }, 'restored'],
  ] as const)('%s', (_, served, found) => expect(headFound(seen, served)).toBe(found))

  it('was never seen on a new tablet; and one restoring explains one going back', () => {
    expect(headFound(null, { seq: 1, restored: null, hashThere: null })).toBe('goes on')
    expect(headFound({ ...seen, restored: 5 }, { seq: 812, restored: 5, hashThere: null })).toBe('set back')
  })

  it('is remembered forward alone, but for a restoring', () => {
    rememberHead('k', seen)
    rememberHead('k', { seq: 3, hash: 'c', restored: null })
    expect(rememberedHead('k')).toEqual(seen)
    rememberHead('k', { seq: 3, hash: 'c', restored: 9 })
    expect(rememberedHead('k')).toEqual({ seq: 3, hash: 'c', restored: 9 })
    expect(rememberedHead('another')).toBeNull()
  })
})
