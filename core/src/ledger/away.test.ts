import fc from 'fast-check'
import { claimedRuns, madeAway, type Contact, type Run } from './away'
import type { AnyClaim } from './entry'

const MINUTE = 60_000
const GAP = { from: 10 * MINUTE, to: 40 * MINUTE }
const NOW = 41 * MINUTE
/** A claim made at so many minutes by the tablet's clock, so many after its run began by the one nobody sets. */
const claim = (id: string, made: number, since: number, run = 'run') =>
  ({ id, madeAt: made * MINUTE, run, monotonic: since * MINUTE }) as unknown as AnyClaim
const contact = (heard: Record<string, number>): Contact => ({
  gaps: [GAP],
  runs: new Map(
    Object.entries(heard).map(([run, began]): [string, Run] => [run, { began: began * MINUTE, claimed: false }]),
  ),
})
/** Where the server heard of no run, they say themselves when they began. */
const minutesOf = (claims: AnyClaim[], known: Contact = { gaps: [GAP], runs: claimedRuns(claims) }) =>
  Object.fromEntries([...madeAway(claims, known, NOW)].map(([id, { at }]) => [id, at / MINUTE]))

describe('an entry of a tablet that the server heard nothing of', () => {
  it('was made when its run says, where the server heard of that run', () => {
    expect(minutesOf([claim('a', 20, 15), claim('b', 30, 25)], contact({ run: 5 }))).toEqual({ a: 20, b: 30 })
  })

  it('was made when it says, where its run says that it began in that time: from then on no clock is set', () => {
    expect(minutesOf([claim('a', 20, 5), claim('b', 30, 15)])).toEqual({ a: 20, b: 30 })
    // Begun before: then the server would have heard of it.
    expect(minutesOf([claim('a', 20, 11)])).toEqual({})
    // Set back for the second, whether they come together or one after the other: it is as late as its own clock has it.
    const [first, back] = [claim('a', 20, 5), claim('b', 21, 15)]
    expect(minutesOf([first, back])).toEqual({ a: 20, b: 30 })
    expect(minutesOf([back], { gaps: [GAP], runs: claimedRuns([first]) })).toEqual({ b: 30 })
  })

  it('is known as it is recorded where it was made before or after that time, or in no run', () => {
    expect(minutesOf([claim('a', 9, 4), claim('b', 40.5, 35.5)], contact({ run: 5 }))).toEqual({})
    expect(minutesOf([{ ...claim('a', 20, 5), run: undefined } as unknown as AnyClaim])).toEqual({})
    expect(madeAway([claim('a', 20, 15)], contact({ run: 5 }), 39 * MINUTE).size).toBe(0)
  })

  it('cannot be dated back by the clock of a tablet in one run: of two times the later counts', () => {
    // Typed at minute 38, on a tablet that was set to 12.
    expect(minutesOf([claim('a', 12, 33)], contact({ run: 5 }))).toEqual({ a: 38 })
    // It slept for twenty minutes: the clock that nobody sets stood still, the other did not.
    expect(minutesOf([claim('a', 38, 13)], contact({ run: 5 }))).toEqual({ a: 38 })
  })

  it('is never earlier than its own word, nor outside a time that is over', () => {
    const minute = fc.integer({ min: 0, max: 60 })
    const claims = fc.array(fc.tuple(minute, minute, fc.constantFrom('p', 'q')), { maxLength: 8 })
    fc.assert(
      fc.property(claims, fc.option(minute), minute, (all, began, now) => {
        const made = all.map(([at, since, run], i) => claim(String(i), at, since, run))
        const known = contact(began === null ? {} : { p: began })
        const runs = new Map([...claimedRuns(made), ...known.runs])
        for (const [id, { at, from, to }] of madeAway(made, { ...known, runs }, now * MINUTE)) {
          expect({ from, to }).toEqual(GAP)
          expect(at).toBeGreaterThanOrEqual(made[Number(id)]!.madeAt)
          expect(at >= from && at <= to && to <= now * MINUTE).toBe(true)
        }
      }),
    )
  })
})
