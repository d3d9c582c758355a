import fc from 'fast-check'
import { clockTold, followed, isOvertaken } from './clock'
import { connection } from './connection'

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

  it('follows a server ahead by what it tells itself; behind, only by what is asked', () => {
    const beat = (truth: number) => ({ ...told(truth, 1e12, 0, 40), askedAt: null })
    expect(followed(0, beat(240_000))).toBe(239_960)
    expect(followed(0, beat(-240_000))).toBe(0)
  })

  it('is not read off an answer during which this tablet was set back', () => {
    expect(followed(7, { askedAt: 5000, serverNow: 5100, heardAt: 1000 })).toBe(7)
  })
})

describe('an answer that comes after the clock was set on', () => {
  const minutes = (n: number) => n * 60_000
  // Asked and answered before; on its way while the server's clock goes on by twenty minutes and a beat tells so.
  const late = { askedAt: 1000, serverNow: 1100, heardAt: 3000 }
  const beat = { askedAt: null, serverNow: 2000 + minutes(20), heardAt: 2000 }

  it('was overtaken, and does not set it back', () => {
    expect(isOvertaken(late, beat)).toBe(true)
    const after = [beat, late].reduce(
      (state, told) => connection.reducer(state, clockTold(told)),
      connection.reducer(undefined, { type: 'begin' }),
    )
    expect(after.offsetMs).toBe(minutes(20))
  })

  it('counts where it was asked since, or the server tells no earlier time', () => {
    expect(isOvertaken({ ...late, askedAt: 2000 }, beat)).toBe(false)
    expect(isOvertaken({ ...late, serverNow: beat.serverNow }, beat)).toBe(false)
    expect(isOvertaken(late, null)).toBe(false)
    // Set back in earnest, it is followed with the next question.
    const back = { askedAt: 4000, serverNow: 4050, heardAt: 4100 }
    const state = [beat, back].reduce(
      (before, told) => connection.reducer(before, clockTold(told)),
      connection.reducer(undefined, { type: 'begin' }),
    )
    expect(state.offsetMs).toBe(50)
  })
})
