import fc from 'fast-check'
import {
  canonical,
  catalogue,
  differences,
  expectedSteps,
  FAMILY_KEYS,
  limitSetOf,
  checksFor,
  methodFile,
  newMethod,
  NO_INSTRUCTION,
  problemsOf,
  readMethodFile,
  ruleSets,
  scaled,
  STEP_KINDS,
  type Amount,
  type Method,
} from '@logged-thermal/core'
import { problemSentence } from '@logged-thermal/wording'
import { edited, mends, type Edit } from './editing'

const DAY = '2027-03-03'
const reader = { scale: 'F' as const, zone: 'UTC', locale: 'en-GB' as const, hours: 24 as const, today: null }
const limits = limitSetOf(ruleSets['us-food-code-2022']!, { id: 'limits', from: 0 })
const problemsIn = (method: Method) => problemsOf(method, limits, DAY, () => null)

/** A change as somebody might make it: which step or amount it is about comes out of the method as it then stands. */
type Wish = (method: Method) => Edit

const nth = <T>(list: readonly T[], index: number): T => list[index % list.length]!
const place = fc.nat(20)
const wishes: fc.Arbitrary<Wish> = fc.oneof(
  fc.record({ step: fc.constantFrom(...STEP_KINDS), at: place }).map(({ step, at }): Wish => ({ steps }) => ({
    kind: 'add step',
    step,
    before: at % 2 ? nth(steps, at).key : null,
  })),
  fc
    .record({ at: place, to: fc.integer({ min: -2, max: 20 }) })
    .map(({ at, to }): Wish => ({ steps }) => ({ kind: 'move step', key: nth(steps, at).key, to })),
  place.map((at): Wish => ({ steps }) => ({ kind: 'remove step', key: nth(steps, at).key })),
  fc
    .record({ at: place, step: fc.constantFrom(...STEP_KINDS), text: fc.constantFrom('', 'Whisk', 'Stir, slowly') })
    .map(({ at, step, text }): Wish => ({ steps }) => ({
      kind: 'change step',
      key: nth(steps, at).key,
      step: { kind: step, measures: 'mixture' },
      instruction: { ...NO_INSTRUCTION, text },
    })),
  fc
    .record({
      key: fc.constantFrom('a', 'b', 'c'),
      // Eggs and flour often: most of what can be wrong is about them.
      ingredient: fc.oneof(fc.constantFrom('yolk', 'flour'), fc.constantFrom(...Object.keys(catalogue))),
      grams: fc.option(fc.integer({ min: 1, max: 5000 })),
      state: fc.constantFrom<Amount['state']>('as it is', 'pasteurized lot', 'frozen', 'treated'),
      at: place,
    })
    .map(({ at, ...amount }): Wish => ({ steps }) => ({
      kind: 'put amount',
      amount: { ...amount, count: null, step: nth(steps, at).key },
    })),
  fc.constantFrom('a', 'b', 'c').map((key): Wish => () => ({ kind: 'remove amount', key })),
  fc
    .record({
      name: fc.constantFrom('Clover cream', 'Fig pot'),
      houseDays: fc.integer({ min: 1, max: 7 }),
      raw: fc.boolean(),
      untreatedFruit: fc.boolean(),
    })
    .map((fields): Wish => () => ({ kind: 'set', fields })),
)

const written = fc
  .record({ family: fc.constantFrom(...FAMILY_KEYS), changes: fc.array(wishes, { maxLength: 15 }) })
  .map(({ family, changes }) =>
    changes.reduce((method, wish) => edited(method, wish(method)), newMethod({ ...ids(), name: 'Pot', family })),
  )

function ids() {
  return { id: '01a20bf3-5302-753b-a1ac-749fd32bb5cb', vesselId: '01a20bf3-5305-73bc-bd88-d464e13a99fd' }
}

describe('any run of changes', () => {
  it('leaves a method that the file takes, whose steps have names of their own and hold all that goes in', () => {
    fc.assert(
      fc.property(written, (method) => {
        expect(readMethodFile(methodFile([method]))).toEqual([method])
        const keys = method.steps.map(({ key }) => key)
        expect(new Set(keys).size).toBe(keys.length)
        for (const { step } of method.amounts) expect(keys).toContain(step)
        expect(expectedSteps(method, checksFor(method, limits, DAY)).at(-1)!.to).toBeCloseTo(1, 9)
      }),
      { numRuns: 400 },
    )
  })

  it('is shown as a difference exactly when something differs', () => {
    fc.assert(
      fc.property(written, wishes, (before, wish) => {
        const after = edited(before, wish(before))
        expect(differences(before, after).length > 0).toBe(canonical(before) !== canonical(after))
      }),
      { numRuns: 600 },
    )
  })

  it('names every problem at a step that is there, in a whole sentence; what mends it mends it', () => {
    const mended = new Set<string>()
    fc.assert(
      fc.property(written, (method) => {
        for (const problem of problemsIn(method)) {
          expect(problemSentence(problem, reader)).toMatch(/^(?!.*(undefined|NaN|null|\bsafe\b)).+[.?]$/)
          if (problem.step !== null) expect(method.steps.map(({ key }) => key)).toContain(problem.step)
          for (const { edit } of mends(problem, method)) {
            mended.add(problem.code)
            expect(problemsIn(edited(method, edit)).map(({ id }) => id)).not.toContain(problem.id)
          }
        }
      }),
      { numRuns: 800 },
    )
    expect([...mended].sort()).toEqual([
      'egg after the last heat',
      'egg not heated',
      'frozen fruit not treated',
      'starch not boiled',
      'step missing',
    ])
  })

  it('finds no more and no less in twice as much of it', () => {
    fc.assert(
      fc.property(written, (method) => {
        expect(problemsIn(scaled(method, 2)).map(({ id }) => id)).toEqual(problemsIn(method).map(({ id }) => id))
      }),
    )
  })
})
