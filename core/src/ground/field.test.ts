import { nameOf, text } from './field'

const field = (value: unknown) => ({ path: 'name', value })

describe('a name', () => {
  it.each(['Crème brûlée', 'Île flottante № 3', '焦糖布丁', 'كريم كراميل', 'नारियल लड्डू', 'b-7', '=1+1'])(
    'is in any writing: %s',
    (value) => {
      expect(nameOf(field(value), 40)).toBe(value)
    },
  )

  it.each(['\u0007', '\n', '\t', '\u202e', '\u2066', '\u200b', '\ufeff', '\u007f', '\u0085'])(
    'has nothing in it that nobody sees: %j',
    (hidden) => {
      expect(() => nameOf(field(`Lemon${hidden}curd`), 40)).toThrow(
        expect.objectContaining({ problem: { code: 'hidden characters' } }) as Error,
      )
    },
  )

  it('is text like any other beside that; a reason may have lines', () => {
    expect(() => nameOf(field('x'.repeat(41)), 40)).toThrow('not text')
    expect(() => nameOf(field(' '), 40)).toThrow('missing')
    expect(text(field('first\nsecond'))).toBe('first\nsecond')
  })
})
