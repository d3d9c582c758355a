import fc from 'fast-check'
import { HOUR, MINUTE } from '../../ground/instant'
import { dayOf, offsetMinutes, startOfDay } from '../../ground/zone'
import { PRACTICE } from '../../rules/practice'
import type { UnitState } from '../../state/unit'
import { unitOf } from '../../test/shelf'
import { at } from '../../test/traces'
import { isClosing, nextRoundAt, roundsOf } from './rounds'
import { minutesOf } from '../../ground/timeOfDay'

describe('rounds', () => {
  it('are due at the house’s times, done when every unit was looked at, missed three hours after', () => {
    const units = [unitOf([[-155, 3]]), unitOf([], { id: 'other' }), unitOf([], { id: 'shelf', kind: 'ambient shelf' })]
    const state = (now: number) => roundsOf(units, PRACTICE, 'UTC', at(now)).at(-1)
    expect(state(0)).toMatchObject({ at: at(-150), read: ['fridge'], left: ['other'], state: 'due' })
    expect(state(60)).toMatchObject({ state: 'missed' })
    expect(nextRoundAt(PRACTICE, 'UTC', at(0))).toBe(at(240))
    expect(nextRoundAt(PRACTICE, 'UTC', at(13 * 60))).toBe(at(21.5 * 60))
  })

  it('stay missed when a look is told afterwards, as if it had been in time', () => {
    const unit = unitOf([[-155, 3]])
    const toldAt = (minutes: number) => ({
      ...unit,
      airs: unit.airs.map((air) => ({ ...air, enteredAt: at(minutes) })),
    })
    const state = (units: UnitState[]) => roundsOf(units, PRACTICE, 'UTC', at(60)).at(-1)!.state
    expect(state([toldAt(20)])).toBe('done')
    expect(state([toldAt(40)])).toBe('missed')
  })

  /** What the kitchen's clock shows, minutes after midnight. */
  const clockOf = (instant: number, zone: string) => (instant / MINUTE + offsetMinutes(instant, zone)) % (24 * 60)
  const zones = fc.constantFrom('UTC', 'Europe/London', 'America/Los_Angeles', 'Pacific/Auckland', 'Asia/Kathmandu')
  // Two years of minutes, with the days on which clocks change.
  const instants = fc
    .integer({ min: 0, max: 2 * 365 * 24 * 60 })
    .map((minute) => Date.UTC(2026, 0, 1) + minute * MINUTE)

  it('are at the hours of the kitchen’s clock, on days when the clocks change too', () => {
    const times = PRACTICE.rounds.map(minutesOf)
    fc.assert(
      fc.property(instants, zones, (now, zone) => {
        const next = nextRoundAt(PRACTICE, zone, now)!
        expect(next).toBeGreaterThan(now)
        expect(next - now).toBeLessThanOrEqual(12 * HOUR)
        expect(times).toContain(clockOf(next, zone))
        const rounds = roundsOf([unitOf([])], PRACTICE, zone, now)
        for (const round of rounds) expect(times).toContain(clockOf(round.at, zone))
        expect(rounds.map((round) => round.at)).toEqual([...rounds.map((round) => round.at)].sort((a, b) => a - b))
      }),
    )
    // The clocks go forward in the night: half past seven is half past seven.
    expect(nextRoundAt(PRACTICE, 'Europe/London', Date.UTC(2027, 2, 28, 0, 30))).toBe(Date.UTC(2027, 2, 28, 6, 30))
  })

  it('leave no unit out: each was looked at for a round, or is still to be', () => {
    const looks = fc.array(fc.integer({ min: -2000, max: 2000 }), { maxLength: 20 })
    fc.assert(
      fc.property(looks, looks, fc.integer({ min: -1000, max: 3000 }), (first, second, now) => {
        const sorted = (all: number[]) => [...all].sort((a, b) => a - b).map((each): [number, number] => [each, 3])
        const units = [unitOf(sorted(first)), unitOf(sorted(second), { id: 'other' })]
        for (const { read, left, state, at: due } of roundsOf(units, PRACTICE, 'UTC', at(now))) {
          expect([...read, ...left].sort()).toEqual(['fridge', 'other'])
          expect(state === 'done').toBe(left.length === 0)
          if (state === 'missed') expect(at(now)).toBeGreaterThanOrEqual(due + 3 * HOUR)
        }
      }),
    )
  })

  it('end with the list of what ends at midnight, from the closing time to the end of the day', () => {
    fc.assert(
      fc.property(instants, zones, (now, zone) => {
        expect(isClosing(PRACTICE, zone, now)).toBe(clockOf(now, zone) >= minutesOf(PRACTICE.closing))
        expect(isClosing(PRACTICE, zone, startOfDay(dayOf(now, zone), zone))).toBe(false)
      }),
    )
    expect(() => minutesOf('24:00')).toThrow(/is not a time/)
  })
})
