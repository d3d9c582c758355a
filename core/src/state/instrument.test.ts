import fc from 'fast-check'
import type { Instant } from '../ground/instant'
import {
  canProve,
  FAILURE_TOLD_WITHIN,
  instrumentStanding,
  isReached,
  passBefore,
  readByOf,
  withCheck,
  withUse,
  type InstrumentState,
} from './instrument'

const DAY = 86_400_000

const probe: InstrumentState = {
  id: 'p',
  code: 'P4',
  kind: 'probe',
  place: null,
  tolerance: 1,
  checks: { everyDays: 7, overdue: 'counts' },
  history: [],
  dues: [],
  gone: null,
  uses: [],
  unfounded: [],
  usesSince: null,
}

interface Told {
  at: Instant
  /** Told so much later, ms. */
  late: number
  passed: boolean
}

/** As the entries are folded: in the order in which they are told; a pass told late speaks from then on. */
function checked(all: readonly Told[], read: readonly Instant[] = []): InstrumentState {
  const checks = all.map(({ at, late, passed }, i) => ({
    then: at + late,
    fold: (state: InstrumentState) =>
      withCheck(state, {
        entry: String(i),
        at,
        by: 'mina',
        against: { kind: 'ice' },
        shown: [],
        reference: 0,
        error: passed ? 0.2 : 2,
        passed,
        tolerance: 1,
        from: passed ? at + late : at,
      }),
  }))
  const uses = read.map((at) => ({
    then: at,
    fold: (state: InstrumentState) => withUse(state, { type: 'batch', id: String(at) }, at),
  }))
  return [...checks, ...uses].sort((a, b) => a.then - b.then).reduce((state, { fold }) => fold(state), probe)
}

const told = fc.record({
  at: fc.integer({ min: 0, max: 30 * DAY }),
  late: fc.constantFrom(0, 0, DAY, 5 * DAY),
  passed: fc.boolean(),
})

describe('what stands behind a reading', () => {
  it('is never the better for a pass that somebody tells late, from before it failed', () => {
    fc.assert(
      fc.property(fc.array(told, { maxLength: 6 }), told, fc.integer({ min: 0, max: 40 * DAY }), (known, lie, at) => {
        const failure = known.find(({ passed }) => !passed)
        fc.pre(failure !== undefined)
        const late = { ...lie, passed: true, at: Math.min(lie.at, failure.at - 1), late: 60 * DAY }
        // It speaks only from long after; and then as what was made before the failure.
        const without = readByOf(checked(known), at, 4).backing
        expect(readByOf(checked([...known, late]), at, 4).backing).toBe(without)
        const after = late.at + late.late + 1
        expect(canProve(instrumentStanding(checked([...known, late]), after))).toBe(
          canProve(instrumentStanding(checked(known), after)),
        )
      }),
    )
  })

  it('is doubt wherever it failed later, with no pass made between that was known by then', () => {
    fc.assert(
      fc.property(fc.array(told, { minLength: 1, maxLength: 6 }), fc.integer({ min: 0, max: 30 * DAY }), (all, at) => {
        const state = checked(all)
        for (const failed of state.history.filter((each) => !each.passed && each.at > at)) {
          const pass = passBefore(state.history, failed.at)
          if (!pass || pass.at <= at) expect(readByOf(state, at, 4).backing).toBe('failed')
        }
      }),
    )
  })

  it('is known back to the pass before a failure that is told within a fortnight, whatever passed since; what is not says so', () => {
    const times = fc.array(fc.integer({ min: 0, max: 60 * DAY }), { maxLength: 12 })
    const checks = fc.array(
      told.map((each) => ({ ...each, at: each.at * 2 })),
      { maxLength: 10 },
    )
    fc.assert(
      fc.property(checks, times, fc.integer({ min: 0, max: 60 * DAY }), (all, read, failedAt) => {
        const state = checked(all, read)
        const pass = passBefore(state.history, failedAt)?.at ?? -Infinity
        const newest = Math.max(...state.history.map(({ at }) => at))
        if (failedAt >= newest - FAILURE_TOLD_WITHIN) expect(isReached(state, failedAt)).toBe(true)
        if (!isReached(state, failedAt)) return
        const known = new Set(state.uses.map(({ last }) => last))
        expect(read.filter((at) => at >= pass && !known.has(at))).toEqual([])
      }),
      { numRuns: 2000 },
    )
  })

  it('is late by when the check was made, and not by when it was told', () => {
    const state = checked([{ at: 0, late: 6 * DAY, passed: true }])
    expect(instrumentStanding(state, 6.5 * DAY).backing).toBe('checked')
    expect(instrumentStanding(state, 7.5 * DAY).backing).toBe('overdue')
    // It fell since.
    const fell = { ...state, dues: [{ at: 3 * DAY, why: 'dropped' as const }] }
    expect(canProve(instrumentStanding(fell, 6.5 * DAY))).toBe(true)
    expect(instrumentStanding(fell, 6.5 * DAY)).toMatchObject({ backing: 'overdue', atOnce: 'dropped' })
  })
})
