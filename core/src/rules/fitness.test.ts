import fc from 'fast-check'
import { HOUR } from '../ground/instant'
import { backShut, fitnessRule, SYMPTOMS, unfitness } from './fitness'
import { ruleSets } from './sets/ruleSets'

const someSymptoms = fc.uniqueArray(fc.constantFrom(...SYMPTOMS), { minLength: 1 })
const someSet = fc.constantFrom(...Object.keys(ruleSets), 'none that ships')
const someHours = fc.integer({ min: 0, max: 500 })

it('names a rule for every symptom under every rule set, from a document or as the strictest known', () => {
  for (const key of [...Object.keys(ruleSets), 'none that ships'])
    for (const symptom of SYMPTOMS) {
      const { until, source } = fitnessRule(key, symptom, false)
      if (until.when === 'free of it') expect(until.hours).toBeGreaterThanOrEqual(24)
      if (source) expect(source.section).not.toBe('')
    }
  expect(fitnessRule('us-food-code-2022', 'vomiting', false).until).toEqual({ when: 'free of it', hours: 24 })
  expect(fitnessRule('uk-2013', 'vomiting', false).until).toEqual({ when: 'free of it', hours: 48 })
  // No document is known: the strictest of those that are, and as the house's.
  expect(fitnessRule('strictest', 'vomiting', false)).toMatchObject({ until: { hours: 48 }, source: null })
  expect(fitnessRule('strictest', 'jaundice', false)).toMatchObject({ keeps: 'away', until: { when: 'authority' } })
})

it('keeps a sore throat out of a kitchen whose guests are highly susceptible, where it is else kept from food', () => {
  expect(fitnessRule('us-food-code-2022', 'throat', false).keeps).toBe('from food')
  expect(fitnessRule('us-food-code-2022', 'throat', true).keeps).toBe('away')
})

it('lets nobody back sooner for one symptom more, nor without what each of them asks for', () => {
  fc.assert(
    fc.property(
      someSymptoms,
      someSymptoms,
      someSet,
      someHours,
      fc.boolean(),
      fc.boolean(),
      fc.boolean(),
      (...drawn) => {
        const [some, others, set, hours, hasPaper, covered, susceptible] = drawn
        const seen = { papers: hasPaper ? 'seen' : ' ', covered }
        const at = hours * HOUR
        const back = (symptoms: typeof some) =>
          backShut(unfitness({ symptoms, onset: 0, freeSince: 0 }, set, susceptible), at, seen)
        const both = [...new Set([...some, ...others])]
        if (back(both) === null) expect([back(some), back(others)]).toEqual([null, null])
        if (back(some) === null)
          for (const symptom of some) {
            const { until } = fitnessRule(set, symptom, susceptible)
            if (until.when === 'free of it') expect(hours).toBeGreaterThanOrEqual(until.hours)
            else expect(until.when === 'covered' ? covered : hasPaper).toBe(true)
          }
      },
    ),
  )
})

it('names no time while somebody is not free of it, and then the very hour', () => {
  const ill = { symptoms: ['vomiting'] as const, onset: 0, freeSince: null }
  const seen = { papers: '', covered: false }
  expect(backShut(unfitness(ill, 'uk-2013', false), 1e9, seen)).toEqual({ code: 'not free of it' })
  const over = unfitness({ ...ill, freeSince: HOUR }, 'uk-2013', false)
  expect(backShut(over, 49 * HOUR - 1, seen)).toEqual({ code: 'too soon', from: 49 * HOUR })
  expect(backShut(over, 49 * HOUR, seen)).toBeNull()
})
