import fc from 'fast-check'
import type { Reading } from '../physics/trace/reading'
import { at } from '../test/traces'
import { judgeCooling } from '../judgement/watch/judgeCooling'
import { judgeHeat } from '../judgement/watch/judgeHeat'
import { rowsOf, stageOf } from './compared'
import { implies } from './implies'
import type { HoldRule, ReachRule, Rule } from './rule'
import { ruleSets } from './sets/ruleSets'
import { celsius, fall, hold, stay } from './sets/printed'

const rows = fc.record({
  at: fc.integer({ min: 60, max: 75 }).map(celsius),
  seconds: fc.constantFrom(0, 15, 30, 60),
})
const holds: fc.Arbitrary<HoldRule> = fc
  .array(rows, { minLength: 1, maxLength: 3 })
  .map((each) => ({ kind: 'hold', rows: each }))
const reaches: fc.Arbitrary<ReachRule> = fc
  .record({
    from: fc.integer({ min: 55, max: 65 }),
    to: fc.integer({ min: 3, max: 21 }),
    within: fc.integer({ min: 60, max: 200 }),
  })
  .map(({ from, to, within }) => fall({ crossing: celsius(from) }, celsius(to), within))
const shipped: Rule[] = Object.values(ruleSets).flatMap(({ limits }) => limits.map(({ rule }) => rule))
const rules = fc.oneof(holds, reaches, fc.constantFrom(...shipped))
const compare = { unit: 'C' as const, guard: 0 }

/** Read often enough that no interval is blind. */
const dense: fc.Arbitrary<Reading[]> = fc
  .array(fc.integer({ min: -30, max: 30 }), { minLength: 5, maxLength: 40 })
  .map((steps) => {
    let now = 62
    return steps.map((step, i) => {
      now = Math.max(50, Math.min(80, now + step / 10))
      return { at: at(i / 3), celsius: now, where: 'core' as const }
    })
  })

describe('implies', () => {
  it('knows a stricter line of each kind from a looser one', () => {
    const egg = hold([celsius(63), 180], [celsius(68), 17], [celsius(70), 0])
    expect(implies(hold([celsius(70), 0]), egg)).toBe(true)
    expect(implies(hold([celsius(69), 10]), egg)).toBe(false)
    expect(implies(hold([celsius(69), 17]), egg)).toBe(true)
    // One number stricter, another looser.
    expect(implies(hold([celsius(72), 0], [celsius(63), 60]), egg)).toBe(false)
    const stage = fall({ crossing: celsius(57) }, celsius(21), 120)
    expect(implies(fall({ crossing: celsius(60) }, celsius(20), 105), stage)).toBe(true)
    expect(implies(fall({ crossing: celsius(50) }, celsius(20), 105), stage)).toBe(false)
    expect(implies(fall({ after: 'cool-first' }, celsius(20), 105), stage)).toBe(false)
    const grace = stay('under', celsius(8), { minutes: 240, count: 'once' })
    expect(implies(stay('under', celsius(8)), grace)).toBe(true)
    expect(implies(stay('under', celsius(5), { minutes: 240, count: 'total' }), grace)).toBe(false)
    expect(implies(grace, stay('under', celsius(8)))).toBe(false)
    expect(implies({ kind: 'days', days: 3 }, { kind: 'days', days: 7 })).toBe(true)
    expect(implies({ kind: 'hours', hours: 24, under: null }, { kind: 'days', days: 2 })).toBe(true)
    expect(implies({ kind: 'hours', hours: 24, under: null }, { kind: 'days', days: 1 })).toBe(false)
    expect(implies(egg, { kind: 'no number' })).toBe(true)
    expect(implies({ kind: 'no number' }, egg)).toBe(false)
  })

  it('has to hold by both printed figures', () => {
    const published = hold([{ c: 68, f: 155 }, 17])
    expect(implies(hold([{ c: 68, f: 154 }, 17]), published)).toBe(false)
  })

  it('is true of a rule and itself, and passes on, for any rules', () => {
    fc.assert(
      fc.property(rules, rules, rules, (a, b, c) => {
        expect(implies(a, a)).toBe(true)
        if (implies(a, b) && implies(b, c)) expect(implies(a, c)).toBe(true)
      }),
      { numRuns: 2000 },
    )
  })

  it('means that what proves the one proves the other, for any trace read often enough', () => {
    let met = 0
    fc.assert(
      fc.property(holds, holds, dense, (a, b, trace) => {
        if (!implies(a, b)) return
        const standing = (rule: HoldRule) => judgeHeat(trace, rowsOf(rule, compare), null).standing
        if (standing(a) !== 'proven') return
        met++
        expect(standing(b)).toBe('proven')
      }),
      { numRuns: 3000 },
    )
    expect(met).toBeGreaterThan(20)
  })

  it('means the same for a cooling', () => {
    const falling = fc.array(fc.integer({ min: 1, max: 40 }), { minLength: 3, maxLength: 12 }).map((falls) => {
      let now = 80
      return falls.map((by, i) => ({ at: at(i * 15), celsius: (now = Math.max(1, now - by)), where: 'core' as const }))
    })
    let met = 0
    fc.assert(
      fc.property(reaches, reaches, falling, (a, b, trace) => {
        if (!implies(a, b)) return
        const standing = (rule: ReachRule) => judgeCooling(trace, [stageOf('a', rule, compare)], at(2000))[0]!.standing
        if (standing(a) !== 'proven') return
        met++
        expect(standing(b)).toBe('proven')
      }),
      { numRuns: 3000 },
    )
    expect(met).toBeGreaterThan(20)
  })
})
