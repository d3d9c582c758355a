import fc from 'fast-check'
import { followed, maybeAhead } from './clock'

const leg = fc.integer({ min: 0, max: 20_000 })
const instant = fc.integer({ min: 1_700_000_000_000, max: 2_000_000_000_000 })

/** What is told by a server whose clock is ahead by `truth`, with so long a way there and back. */
const told = (truth: number, askedAt: number, there: number, back: number) => ({
  askedAt,
  serverNow: askedAt + there + truth,
  heardAt: askedAt + there + back,
})

describe("the kitchen's clock", () => {
  it('is never moved on a tablet that is right, however late an answer comes', () => {
    fc.assert(
      fc.property(instant, leg, leg, (askedAt, there, back) => {
        const answer = told(0, askedAt, there, back)
        expect(followed(0, answer)).toBe(0)
        expect(followed(0, { ...answer, askedAt: null })).toBe(0)
      }),
    )
  })

  it('is known to the shortest way that an answer took, also by a tablet that is far off', () => {
    const truth = fc.integer({ min: -9e7, max: 9e7 })
    fc.assert(
      fc.property(truth, instant, fc.array(fc.tuple(leg, leg), { minLength: 1, maxLength: 6 }), (ahead, at, ways) => {
        const offset = ways.reduce((known, [there, back]) => followed(known, told(ahead, at, there, back)), 0)
        const error = offset - ahead
        expect(error).toBeLessThanOrEqual(Math.min(...ways.map(([there]) => there)))
        expect(error).toBeGreaterThanOrEqual(-Math.min(...ways.map(([, back]) => back)))
      }),
    )
  })

  it('follows a server ahead by what it tells itself; behind, it asks first', () => {
    const beat = (truth: number) => ({ ...told(truth, 1e12, 0, 40), askedAt: null })
    expect(followed(0, beat(240_000))).toBe(239_960)
    expect(maybeAhead(239_960, beat(240_000))).toBe(false)
    expect(followed(0, beat(-240_000))).toBe(0)
    expect(maybeAhead(0, beat(-240_000))).toBe(true)
  })

  it('is not read off an answer during which this tablet was set back', () => {
    expect(followed(7, { askedAt: 5000, serverNow: 5100, heardAt: 1000 })).toBe(7)
  })
})
