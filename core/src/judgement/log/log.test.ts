import fc from 'fast-check'
import { ruleSets } from '../../rules/sets/ruleSets'
import { limitsFrom, Story, wellMade, world } from '../../test/story'
import { at, TEN, traces } from '../../test/traces'
import { batchStanding, judgeBatch } from '../batch/judgeBatch'
import { asCooked } from './asCooked'
import { loggedBatch, wordsIn } from './loggedBatch'
import { standAt, standsFrom } from './standsFrom'
import { thinned } from './thinned'

const pots = fc.record({
  ruleSet: fc.constantFrom(...Object.keys(ruleSets)),
  combined: fc.constantFrom(null, 0, 30),
  off: fc.constantFrom(null, 60, 300),
  late: fc.constantFrom(0, 40),
  trace: traces,
})

function cooked(
  pot: { ruleSet: string; combined: number | null; off: number | null; late: number },
  trace: [number, number][],
) {
  const story = new Story(limitsFrom(pot.ruleSet, ruleSets[pot.ruleSet]!.unit))
  if (pot.combined !== null) story.combined(pot.combined)
  if (pot.off !== null) story.offHeat(pot.off)
  for (const [minutes, celsius] of trace) story.read(minutes, celsius, {}, pot.late)
  return story.batch
}

describe('how a batch stands from when on', () => {
  it('says of any later instant what judging it then finds, for any trace, marks and rule set', () => {
    fc.assert(
      fc.property(pots, fc.integer({ min: 0, max: 20_000 }), ({ trace, ...pot }, later) => {
        const batch = cooked(
          pot,
          trace.map((reading) => [(reading.at - TEN) / 60_000, reading.celsius]),
        )
        const stands = standsFrom(batch, world)
        const now = stands[0]!.from + later * 60_000
        const { standing, findings } = standAt(stands, now)
        const found = judgeBatch(batch, world, now)
        expect(standing).toBe(batchStanding(found))
        expect(findings.map((finding) => finding.standing)).toEqual(found.map((finding) => finding.standing))
      }),
      { numRuns: 300 },
    )
  })

  it('goes from running to not proven by time alone where nobody reads on', () => {
    const story = new Story()
    story.combined(0)
    story.read(5, 81)
    story.offHeat(6)
    story.read(10, 62)
    story.read(20, 50)
    const stands = standsFrom(story.batch, world)
    expect(standAt(stands, at(21)).standing).toBe('open')
    expect(standAt(stands, at(600)).standing).toBe('unproven')
    // Before anything is known of it, it stands as it did first.
    expect(standAt(stands, 0)).toBe(stands[0])
  })
})

it('goes from running to not proven by the time in the band alone, from the very reading that found it warm', () => {
  const story = new Story(limitsFrom('anz-3-2-2', 'C'))
  story.read(0, 60)
  story.read(1, 0)
  story.read(2, 60.1)
  story.read(361, 60.1)
  const stands = standsFrom(story.batch, world)
  const exposure = (minutes: number) =>
    standAt(stands, at(minutes)).findings.find(({ check }) => check.limit.key === 'exposure')?.standing
  expect([exposure(361), exposure(599), exposure(600)]).toEqual(['open', 'open', 'unproven'])
})

describe('a batch as the Log shows it', () => {
  it('names who and what had to do with it, and says what it passed with the least to spare', () => {
    const logged = loggedBatch(wellMade().batch, world)
    expect(logged).toMatchObject({ code: '62-1', people: ['mina'], instruments: ['P2'], held: false, corrected: 0 })
    const { standing, says, gates } = standAt(logged.stands, at(900))
    expect(standing).toBe('proven')
    const spares = judgeBatch(wellMade().batch, world, at(900)).flatMap(({ because }) =>
      because.code === 'in time' ? [because.spareMs] : [],
    )
    expect(says!.because).toMatchObject({ code: 'in time', spareMs: Math.min(...spares) })
    expect(gates.map(({ kind, standing: each }) => [kind, each])).toEqual([
      ['reach', 'proven'],
      ['be under', 'proven'],
      ['be under', 'proven'],
    ])
  })

  it('counts what was corrected and what waits, and finds a batch by what was said of it', () => {
    const story = wellMade()
    story.enter('noted', 30, { text: 'skin of the quince left in', cue: null })
    const wrong = story.read(40, 64)
    story.enter('corrected', 41, { target: wrong, reason: 'touched the pan', now: 'void', item: null })
    story.read(50, 63, {}, 60)
    const logged = loggedBatch(story.batch, world)
    expect(logged).toMatchObject({ corrected: 1, waiting: 1 })
    expect(logged.trace.map(([instant]) => instant)).not.toContain(at(40))
    expect(wordsIn(story.batch)).toMatch(/Test custard[^]*62-1[^]*quince/)
  })
})

describe('a trace in short', () => {
  it('keeps the first, the last, the warmest and the coldest, in order, and no more than it may', () => {
    const readings = fc.array(
      fc.record({ at: fc.integer({ min: 0, max: 1e6 }), celsius: fc.integer({ min: -20, max: 120 }) }),
      {
        minLength: 1,
        maxLength: 400,
      },
    )
    fc.assert(
      fc.property(readings, (made) => {
        const trace = [...made].sort((a, b) => a.at - b.at)
        const kept = thinned(trace, 40)
        const celsius = (list: typeof trace) => list.map((each) => each.celsius)
        expect(kept.length).toBeLessThanOrEqual(40)
        expect([kept[0], kept.at(-1)]).toEqual([trace[0], trace.at(-1)])
        expect(Math.max(...celsius(kept))).toBe(Math.max(...celsius(trace)))
        expect(Math.min(...celsius(kept))).toBe(Math.min(...celsius(trace)))
        expect(trace.filter((reading) => kept.includes(reading))).toEqual(kept)
      }),
    )
  })
})

describe('a batch as it was cooked', () => {
  it('says of each step when it began and ended, what was left out, and what was done otherwise and by whom', () => {
    const story = wellMade()
    story.enter('step-deviated', 12, { step: 'cook', said: 'stirred once' })
    story.enter('step-marked', 13, { step: 'warm', edge: 'skipped', reason: 'the milk was warm' })
    const steps = asCooked(story.batch)
    expect(steps.map(({ step }) => step.key)).toEqual(['warm', 'temper', 'cook', 'cool', 'hold'])
    const [warm, , cook] = steps
    expect(warm).toMatchObject({ leftOut: true, ended: null, otherwise: [{ said: 'the milk was warm', by: 'mina' }] })
    expect(cook).toMatchObject({ leftOut: false, otherwise: [{ at: at(12), said: 'stirred once' }] })
    expect(cook!.ended).not.toBeNull()
  })
})
