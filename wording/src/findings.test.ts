import fc from 'fast-check'
import {
  apply,
  FAMILY_KEYS,
  judgeBatch,
  limitSetOf,
  heldTo,
  newMethod,
  ruleSets,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type Entry,
  type FamilyKey,
  type Finding,
  type Kind,
} from '@logged-thermal/core'
import { checkTitle, findingInShort, findingSentence } from './findingWords'
import { gateName, limitTitle, sourceLine } from './limitWords'
import { needSentence } from './needSentence'

const TEN = Date.UTC(2027, 2, 3, 10)
const at = (minutes: number) => TEN + minutes * 60_000

interface Night {
  family: FamilyKey
  ruleSet: string
  readings: { minutes: number; celsius: number }[]
  /** When each step was put together and done, in turn; steps beyond its length never were. */
  marks: number[]
  now: number
}

const nights: fc.Arbitrary<Night> = fc.record({
  family: fc.constantFrom(...FAMILY_KEYS),
  ruleSet: fc.constantFrom(...Object.keys(ruleSets)),
  readings: fc.array(
    fc.record({
      minutes: fc.integer({ min: 0, max: 900 }),
      celsius: fc.integer({ min: -250, max: 1050 }).map((c) => c / 10),
    }),
    { maxLength: 12 },
  ),
  marks: fc.array(fc.integer({ min: 0, max: 900 }), { maxLength: 8 }).map((marks) => marks.sort((a, b) => a - b)),
  now: fc.integer({ min: 0, max: 8 * 24 * 60 }),
})

function findingsOf({ family, ruleSet, readings, marks, now }: Night): Finding[] {
  const method = newMethod({ id: 'method', vesselId: 'pan', name: 'Clover pot', family })
  const limits = limitSetOf(ruleSets[ruleSet]!, { id: 'limits', from: 0 })
  const entries: Entry[] = []
  const enter = <K extends Kind>(kind: K, minutes: number, body: Bodies[K]) => {
    const about = { type: 'batch', id: 'batch' }
    const when = { at: at(minutes), madeAt: at(minutes) }
    const claim = {
      id: `${entries.length}`,
      kitchen: 'k',
      kind,
      v: 1,
      about,
      ...when,
      by: 'mina',
      device: 'tablet',
      body,
    }
    entries.push({ claim: claim as unknown as AnyClaim, seal: null })
  }
  enter('batch-started', 0, {
    code: '62-1',
    ...heldTo(method, 1, limits, false, '2027-03-03'),
    limits: { id: limits.id, version: limits.version },
    vessel: method.vessel,
    factor: 1,
  })
  marks.forEach((minutes, i) => {
    const step = method.steps[i >> 1]
    if (step) enter('step-marked', minutes, { step: step.key, edge: i % 2 ? 'done' : 'combined', reason: 'as it came' })
  })
  for (const { minutes, celsius } of readings)
    enter('reading-taken', minutes, {
      typed: { value: celsius, unit: 'C' },
      where: 'core',
      of: 'mixture',
      instrument: 'P2',
    })
  const batch = entries.reduce<BatchState | null>((state, entry) => apply.batch('batch', state, entry), null)!
  return judgeBatch(batch, { zone: 'Europe/London' }, at(now))
}

it('says every finding of every family under every rule set whole, in both units, and never that it is safe', () => {
  const said = new Set<string>()
  fc.assert(
    fc.property(nights, fc.constantFrom('C' as const, 'F' as const), (night, unit) => {
      const reader = { scale: unit, zone: 'Europe/London', locale: 'en-GB' as const, hours: 24 as const, today: null }
      for (const finding of findingsOf(night)) {
        said.add(finding.because.code)
        const sentence = findingSentence(finding, reader)
        expect(sentence).toMatch(/^\S.*[.!?]$/)
        const all = [
          sentence,
          checkTitle(finding, reader),
          findingInShort(finding, reader),
          needSentence(finding, reader) ?? '',
          limitTitle(finding.check, reader),
          gateName(finding.check, reader),
          sourceLine(finding.check, reader),
        ].join(' | ')
        expect(all).not.toMatch(/undefined|NaN|Infinity|null|\[object|\bsafe\b/i)
      }
    }),
    { numRuns: 600 },
  )
  // Not a test of a corner: most of what a finding can be because of came up.
  expect(said.size).toBeGreaterThan(8)
})
