import { Story, limitsFrom, method } from '../test/story'
import { at } from '../test/traces'
import { judgeBatch } from '../judgement/batch/judgeBatch'
import { checksFor } from '../recipe/checks/checksFor'
import type { Variance } from './source'
import type { HouseLine, LimitKey, LimitSet } from './limit'
import { inForce, isLooser, limitsAt } from './limitSet'
import { ruleSets } from './sets/ruleSets'
import { both, celsius, fall, hold, stay } from './sets/printed'

const DAY = '2027-03-03'

function withHouse(set: LimitSet, key: LimitKey, house: HouseLine, variance: Variance | null = null): LimitSet {
  return { ...set, lines: set.lines.map((line) => (line.key === key ? { ...line, house, variance } : line)) }
}

const keys = (set: LimitSet, day = DAY) => checksFor(method, set, day).map(({ key }) => key)

describe('the checks of a batch', () => {
  it('follow from family and rule set, each with its force', () => {
    const checks = checksFor(method, limitsFrom('us-food-code-2022'), DAY)
    expect(checks.map(({ key, limit }) => `${key} ${limit.force}`)).toEqual([
      'egg law',
      'rework guidance',
      'ceiling quality',
      'cool-first law',
      'cool-total law',
      'rewarmed house',
      'cold-holding law',
      'date-marking law',
      'house-days house',
    ])
  })

  it('keep every stage of every set apart where all apply together', () => {
    const found = keys(limitsFrom('strictest')).filter((key) => key.includes('cool-'))
    expect(found).toEqual([
      'us-food-code-2022:cool-first',
      'us-food-code-2022:cool-total',
      'anz-3-2-2:cool-first',
      'anz-3-2-2:cool-second',
      'ca-retail:cool-first',
      'ca-retail:cool-second',
      'uk-2013:cool-total',
      'fr-2009:cool-total',
    ])
  })

  it('can be resolved for every shipped set, and none passes without a number', () => {
    for (const key of Object.keys(ruleSets)) {
      const story = new Story(limitsFrom(key, ruleSets[key]!.unit))
      const found = judgeBatch(story.batch, { zone: 'UTC' }, at(1))
      const without = found.filter(({ check }) => check.limit.rule.kind === 'no number')
      expect(found.some(({ check }) => check.limit.key === 'egg')).toBe(true)
      for (const { standing, because } of without) expect([standing, because.code]).toEqual(['unproven', 'no number'])
    }
    expect(keys(limitsFrom('anz-3-2-2'))).toContain('exposure')
  })

  it('take a schedule that the method names in place of the egg rows, but never one for milk alone', () => {
    const set = limitsFrom('us-food-code-2022')
    expect(checksFor({ ...method, schedule: 'us-frozen-mix' }, set, DAY)[0]!.key).toBe('us-frozen-mix:egg')
    expect(checksFor({ ...method, schedule: 'us-milk' }, set, DAY)[0]!.key).toBe('egg')
  })

  it('begin where the mixture is whole; from the start where nothing is combined', () => {
    const egg = (steps: typeof method.steps) => checksFor({ ...method, steps }, limitsFrom('uk-2013'), DAY)[0]!.evidence
    expect(egg(method.steps).from).toEqual({ step: 'temper', edge: 'combined' })
    expect(egg(method.steps.slice(2)).from).toBe('batch started')
  })

  it('are compared with the tolerance taken off where the house says so: warmer to start, colder to end', () => {
    const guarded = { ...limitsFrom('us-food-code-2022'), guard: 'tolerance' as const }
    const story = new Story(guarded)
    story.combined(5)
    story.read(10, 70.5)
    expect(story.standing('egg')).not.toBe('proven')
    story.read(11, 71.2)
    expect(story.standing('egg')).toBe('proven')
    story.offHeat(12)
    story.read(20, 57)
    story.read(100, 20.5)
    // 20.5° may be 21.6°, and the fall to 58 lies before 57 was read.
    expect(story.finding('cool-first')).toMatchObject({ standing: 'unproven', start: { earliest: at(11) } })
  })
})

describe('a line of the house', () => {
  const us = limitsFrom('us-food-code-2022')
  const stricter = { rule: fall({ crossing: both(57, 135) }, both(21, 70), 105), reason: 'summer' }
  const looser = { rule: stay('under', both(7, 45)), reason: 'display case' }
  const variance = { authority: 'County', reference: 'L-118', reason: 'validated case', validUntil: '2027-03-03' }

  it('that is stricter holds beside the printed one', () => {
    const set = withHouse(us, 'cool-first', stricter)
    expect(keys(set)).toEqual(expect.arrayContaining(['cool-first', 'house:cool-first']))
    const story = new Story(set)
    story.combined(5)
    story.read(10, 80)
    story.offHeat(12)
    story.read(20, 57)
    story.read(130, 20)
    expect(story.standing('cool-first')).toBe('proven')
    expect(story.finding('house:cool-first')).toMatchObject({
      standing: 'unproven',
      check: { limit: { force: 'house' } },
    })
  })

  it('that is looser is known, and holds only by a variance, to the end of its last day', () => {
    const line = us.lines.find(({ key }) => key === 'cold-holding')!
    expect(isLooser({ ...line, house: looser })).toBe(true)
    expect(inForce({ ...line, house: looser }, us, DAY).map(({ origin }) => origin)).toEqual(['us-food-code-2022'])
    const held = { ...line, house: looser, variance }
    expect(inForce(held, us, '2027-03-03')).toMatchObject([
      { origin: 'house', force: 'law', rule: { level: { c: 7 } }, source: { document: 'Variance L-118' } },
    ])
    expect(inForce(held, us, '2027-03-04')).toMatchObject([{ origin: 'us-food-code-2022', rule: { level: { c: 5 } } }])
  })

  it('gives a number where the rule set prints none', () => {
    const anz = withHouse(limitsFrom('anz-3-2-2'), 'egg', { rule: hold([celsius(75), 0]), reason: 'house default' })
    const egg = checksFor(method, anz, DAY).filter(({ limit }) => limit.key === 'egg')
    expect(egg.map(({ key, limit }) => `${key} ${limit.rule.kind}`)).toEqual(['house:egg hold'])
  })

  it('may choose the equivalence that the rule set itself publishes, and nothing is looser by that', () => {
    const uk = limitsFrom('uk-2013')
    const line = uk.lines.find(({ key }) => key === 'egg')!
    const chosen = withHouse(uk, 'egg', { rule: line.published[1]!.rule, reason: 'probe logs each second' })
    const egg = checksFor(method, chosen, DAY).filter(({ limit }) => limit.key === 'egg')
    expect(egg.map(({ limit }) => limit.rule.kind)).toEqual(['equivalent'])
    expect(isLooser(chosen.lines.find(({ key }) => key === 'egg')!)).toBe(false)
    expect(
      checksFor(method, uk, DAY)
        .filter(({ limit }) => limit.key === 'egg')
        .map(({ limit }) => limit.rule.kind),
    ).toEqual(['hold'])
  })

  it('counts from the instant its version says; a batch keeps the version it began under', () => {
    const later = { ...withHouse(us, 'cool-first', stricter), version: 2, from: at(60) }
    expect(limitsAt([us, later], at(59))?.version).toBe(1)
    expect(limitsAt([us, later], at(60))?.version).toBe(2)
    expect(limitsAt([later], at(59))).toBeNull()
    const story = new Story(us)
    const before = story.batch.checks
    // What a newer version would say can be asked for, and changes nothing.
    const asked = judgeBatch({ ...story.batch, checks: checksFor(method, later, DAY) }, { zone: 'UTC' }, at(90))
    expect(asked.some(({ check }) => check.key === 'house:cool-first')).toBe(true)
    expect(story.batch.checks).toEqual(before)
  })
})
