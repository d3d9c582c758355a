import fc from 'fast-check'
import { Story, limitsFrom, world } from '../../test/story'
import { at, traces } from '../../test/traces'
import type { LimitSet } from '../../rules/limit'
import { ruleSets } from '../../rules/sets/ruleSets'
import type { Reading } from '../../physics/trace/reading'
import { judgeOf } from './judge'

/** Pots in which every step was marked, or forgotten. */
const marks = fc.record({
  combined: fc.constantFrom(null, 0, 30),
  off: fc.constantFrom(null, 60, 300),
  ruleSet: fc.constantFrom(...Object.keys(ruleSets)),
})

function pot({ combined, off, ruleSet }: { combined: number | null; off: number | null; ruleSet: string }) {
  const story = new Story(limitsFrom(ruleSet, ruleSets[ruleSet]!.unit))
  if (combined !== null) story.combined(combined)
  if (off !== null) story.offHeat(off)
  return story.batch
}

const inTime = (trace: readonly Reading[]) => [...trace].sort((a, b) => a.at - b.at)

describe('a judge that is fed readings', () => {
  it('finds what judging the whole finds, however the readings came, for any trace, marks and rule set', () => {
    fc.assert(
      fc.property(traces, marks, fc.integer({ min: 0, max: 900 }), fc.boolean(), (trace, how, now, sorted) => {
        const batch = pot(how)
        const fed = judgeOf(batch, [], world)
        for (const { at: instant, celsius } of sorted ? inTime(trace) : trace) {
          fed.add('probe', instant, celsius)
          // Asking in between changes nothing.
          fed.findings(at(now))
        }
        const whole = inTime(trace)
        const stream = {
          instrument: 'probe',
          where: 'core' as const,
          of: 'mixture' as const,
          at: Float64Array.from(whole, (reading) => reading.at),
          celsius: Float64Array.from(whole, (reading) => reading.celsius),
        }
        const again = judgeOf(batch, [stream], world)
        expect(fed.findings(at(now))).toEqual(again.findings(at(now)))
        expect(fed.nextAt()).toBe(again.nextAt())
      }),
      { numRuns: 400 },
    )
  })

  it('takes a reading that comes twice once', () => {
    const judge = judgeOf(pot({ combined: 0, off: 60, ruleSet: 'us-food-code-2022' }), [], world)
    for (let times = 0; times < 3; times++) judge.add('probe', at(10), 80)
    expect(judge.findings(at(20))[0]).toMatchObject({ standing: 'proven', because: { code: 'reached', celsius: 80 } })
  })

  it('takes the colder of two at one instant for the floor, the warmer for a gate', () => {
    const judge = judgeOf(pot({ combined: 0, off: 60, ruleSet: 'us-food-code-2022' }), [], world)
    judge.add('probe', at(10), 69)
    judge.add('probe', at(10), 72)
    expect(judge.findings(at(20))[0]!.standing).not.toBe('proven')
    for (const [minutes, celsius] of [
      [65, 57],
      [100, 20],
      [100, 22],
      [190, 20],
    ] as const)
      judge.add('probe', at(minutes), celsius)
    expect(judge.findings(at(190)).find(({ check }) => check.key === 'cool-first')!.standing).toBe('unproven')
  })

  it('judges two probes that stay in one pot apart, and the worse counts; readings by hand go to both', () => {
    const story = new Story()
    story.combined(0)
    story.read(5, 81)
    story.offHeat(6)
    const judge = judgeOf(story.batch, [], world)
    for (const [probe, gate] of [
      ['a', 20],
      ['b', 26],
    ] as const) {
      judge.add(probe, at(10), 57)
      judge.add(probe, at(131), gate)
    }
    const standing = (key: string) => judge.findings(at(140)).find(({ check }) => check.key === key)!.standing
    expect(standing('egg')).toBe('proven')
    expect(standing('cool-first')).toBe('missed')
  })

  it('never lets time alone prove anything, for any trace and rule set', () => {
    fc.assert(
      fc.property(
        traces,
        marks,
        fc.integer({ min: 0, max: 900 }),
        fc.integer({ min: 0, max: 900 }),
        (trace, how, now, wait) => {
          const judge = judgeOf(pot(how), [], world)
          for (const { at: instant, celsius } of trace) judge.add('probe', instant, celsius)
          const before = judge.findings(at(now))
          judge.findings(at(now + wait)).forEach(({ standing }, i) => {
            if (standing === 'proven') expect(before[i]!.standing).toBe('proven')
          })
        },
      ),
    )
  })
})

describe('rules that not every set has', () => {
  const story = (limits: LimitSet) => {
    const made = new Story(limits)
    made.combined(0)
    made.read(5, 81)
    made.offHeat(6)
    made.read(10, 62)
    return made
  }

  it('allow one period over the cold limit where the rule set does, and no second', () => {
    const uk = story(limitsFrom('uk-2013'))
    uk.read(90, 7.5)
    uk.read(200, 9)
    uk.read(300, 9.5)
    expect(uk.finding('cold-holding', 320)).toMatchObject({
      standing: 'open',
      because: { code: 'passed within grace', until: at(90 + 240) },
    })
    // Nobody reads: time alone makes it doubtful.
    expect(uk.finding('cold-holding', 331)).toMatchObject({ standing: 'unproven', overdue: true })
    uk.read(310, 7)
    expect(uk.standing('cold-holding', 1000)).toBe('open')
    uk.read(400, 9)
    expect(uk.standing('cold-holding', 401)).toBe('missed')
  })

  it('add up the time over the cold limit where the rule set does', () => {
    const anz = story(limitsFrom('anz-3-2-2'))
    anz.read(200, 4)
    anz.read(210, 12)
    anz.read(340, 12)
    expect(anz.finding('exposure', 340).because).toMatchObject({ code: 'exposed', then: 'use now' })
    anz.read(460, 12)
    expect(anz.standing('exposure', 460)).toBe('missed')
  })

  it('count equivalent minutes where the house chose what its rule set publishes', () => {
    const uk = limitsFrom('uk-2013')
    const lines = uk.lines.map((line) =>
      line.key === 'egg' ? { ...line, house: { rule: line.published[1]!.rule, reason: 'logger' } } : line,
    )
    const made = new Story({ ...uk, lines })
    made.combined(0)
    made.read(1, 71.1)
    made.read(2, 71.1)
    expect(made.finding('egg', 2)).toMatchObject({ standing: 'open', because: { code: 'accrued', target: 2 } })
    made.read(2.5, 71.1)
    expect(made.standing('egg', 3)).toBe('proven')
  })

  it('time the second stage from the end of the first', () => {
    const anz = story(limitsFrom('anz-3-2-2'))
    anz.read(100, 21)
    expect(anz.finding('cool-second', 101)).toMatchObject({ standing: 'open', deadline: at(340) })
    anz.read(330, 5)
    expect(anz.standing('cool-second')).toBe('proven')
  })
})
