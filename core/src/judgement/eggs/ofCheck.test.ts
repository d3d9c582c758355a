import type { EggsTaken } from '../../ledger/entry'
import type { HeatStatus, PartUsed } from '../../ledger/storeEntries'
import { batchStanding } from '../batch/judgeBatch'
import { Story } from '../../test/story'
import { at } from '../../test/traces'
import { unnamedUses } from './eggLedger'
import { custard, limits, mousse, taken } from '../../test/eggMethods'

describe('egg that no step heats is proven by its lot', () => {
  const made = (...eggs: [minutes: number, EggsTaken][]) => {
    const story = new Story(limits(), mousse(false))
    for (const [minutes, each] of eggs) story.enter('eggs-taken', minutes, each)
    return story
  }
  const carton = (as: 'yolk' | 'white') =>
    taken({ step: 'fold', form: 'pasteurized', as, cracked: null, grams: { [as]: 400 } })
  const standing = (story: Story, minutes: number) => story.standing('pasteurized-egg', minutes)

  it('is open until all is together, then not proven, until every part has its lot', () => {
    const story = made([1, carton('yolk')])
    expect(standing(story, 2)).toBe('open')
    story.enter('step-marked', 3, { step: 'fold', edge: 'combined', reason: null })
    expect(standing(story, 4)).toBe('unproven')
    expect(batchStanding(story.findings(4))).toBe('unproven')
    story.enter('eggs-taken', 5, carton('white'))
    expect(standing(story, 6)).toBe('proven')
    expect(unnamedUses(story.batch)).toEqual([])
  })

  it('is proven by parts of pasteurized egg that were kept, as by a lot, and missed by raw ones', () => {
    const kept = (egg: 'white' | 'yolk', heat: HeatStatus): PartUsed => ({
      batch: 'batch',
      step: 'fold',
      measure: { value: 400, unit: 'g' },
      typed: { value: 3, unit: 'C' },
      instrument: 'P2',
      warm: false,
      condition: null,
      part: {
        item: `kept ${egg}`,
        code: '61-2w',
        name: 'Whites',
        lastDay: '2027-03-06',
        until: null,
        egg,
        carried: { least: 0, likely: 0, most: 0 },
        facts: { allergens: ['egg'], claims: [], advisory: false, heat, needsCold: true, unknown: [] },
      },
    })
    const story = made([1, carton('yolk')])
    expect(unnamedUses(story.batch).map(({ part }) => part)).toEqual(['white'])
    story.enter('part-used', 2, kept('white', 'pasteurized'))
    expect(unnamedUses(story.batch)).toEqual([])
    story.enter('step-marked', 3, { step: 'fold', edge: 'combined', reason: null })
    expect(standing(story, 4)).toBe('proven')
    story.enter('part-used', 5, kept('white', 'raw'))
    expect(standing(story, 6)).toBe('missed')
    // Something else from the store names no egg.
    const other = made([1, carton('yolk')])
    other.enter('part-used', 2, {
      ...kept('white', 'pasteurized'),
      part: { ...kept('white', 'cooked').part, egg: null },
    })
    expect(unnamedUses(other.batch)).toHaveLength(1)
  })

  it('is missed by a shell egg, and by nothing else', () => {
    expect(standing(made([1, carton('yolk')], [2, taken({ step: 'fold' })]), 3)).toBe('missed')
  })

  it('is no check of a method that heats its egg, nor of one that serves it raw', () => {
    expect(new Story(limits(), custard).findings(1).map(({ check }) => check.key)).not.toContain('pasteurized-egg')
    expect(new Story(limits(), mousse(true)).findings(1).map(({ check }) => check.key)).not.toContain('pasteurized-egg')
  })

  it('keeps a raw one for 24 hours from combining', () => {
    const raw = new Story(limits(), mousse(true))
    raw.enter('step-marked', 10, { step: 'fold', edge: 'combined', reason: null })
    expect(raw.finding('raw-class', 11)).toMatchObject({ standing: 'open', deadline: at(10 + 24 * 60) })
    expect(raw.standing('raw-class', 10 + 24 * 60)).toBe('missed')
    // A foam made at ten in the evening is served until ten the next: no day of the house's cuts it short.
    expect(raw.findings(11).map(({ check }) => check.key)).not.toContain('house-days')
  })
})
