import fc from 'fast-check'
import { MINUTE } from '../../ground/instant'
import { loggedBatch, type LoggedBatch } from '../../judgement/log/loggedBatch'
import { standAt } from '../../judgement/log/standsFrom'
import { Story, wellMade, world } from '../../test/story'
import { at } from '../../test/traces'
import { alikeIn, atLeast } from './alike'
import { controlChart } from './controlChart'
import { NEAR } from './nearMisses'
import { trendOf } from './trend'
import { wilson } from './wilson'

describe('the range of a share', () => {
  it('is as published: 8 of 10 lies between 0.490 and 0.943', () => {
    const { low, high } = wilson(8, 10)
    expect(low).toBeCloseTo(0.4902, 4)
    expect(high).toBeCloseTo(0.9433, 4)
  })

  it('holds the share, stays within 0 and 1, is narrower of more, and of none is everything', () => {
    const counts = fc
      .integer({ min: 1, max: 400 })
      .chain((all) => fc.tuple(fc.integer({ min: 0, max: all }), fc.constant(all)))
    fc.assert(
      fc.property(counts, ([of, all]) => {
        const { low, high } = wilson(of, all)
        expect(low).toBeLessThanOrEqual(of / all)
        expect(high).toBeGreaterThanOrEqual(of / all)
        expect([low >= 0, high <= 1]).toEqual([true, true])
        const more = wilson(of * 4, all * 4)
        expect(more.high - more.low).toBeLessThan(high - low)
      }),
    )
    expect(wilson(0, 0)).toEqual({ low: 0, high: 1 })
    expect(() => wilson(3, 2)).toThrow(RangeError)
  })
})

describe('a control chart', () => {
  it('finds the limits of the moving range: the flow rates of the NIST handbook, 6.3.2.2', () => {
    const flow = [49.6, 47.6, 49.9, 51.3, 47.8, 51.2, 52.6, 52.4, 53.6, 52.1]
    const { usual, points } = controlChart(flow)
    expect(usual!.middle).toBeCloseTo(50.81, 2)
    // Mean moving range 1.8778.
    expect(usual!.most).toBeCloseTo(55.8041, 2)
    expect(usual!.least).toBeCloseTo(45.8159, 2)
    expect(points.some(({ unusual }) => unusual.some(({ rule }) => rule === 'one beyond'))).toBe(false)
  })

  it('names each rule on the point that completes it, and on no other', () => {
    const steady = [10, 11, 10, 9, 10, 11, 10, 9, 10, 11, 10, 9, 10, 11, 10, 9, 10, 11, 10, 9]
    const after = (...more: number[]) => controlChart([...steady, ...more]).points.slice(steady.length)
    const rules = (...more: number[]) => after(...more).map(({ unusual }) => unusual.map(({ rule }) => rule))
    // One standard deviation is 0.887 here.
    expect(rules(13)).toEqual([['one beyond']])
    expect(rules(12.1, 12.1)).toEqual([[], ['two of three']])
    expect(rules(8.9, 8.9, 8.9, 8.9).at(-1)).toEqual(['four of five'])
    // The last of the steady ones was under the middle too.
    expect(rules(...Array<number>(7).fill(9.8)).map((each) => each.length)).toEqual([0, 0, 0, 0, 0, 0, 1])
    expect(after(7)[0]!.unusual).toEqual([{ rule: 'one beyond', side: 'below' }])
  })

  it('says nothing is unusual of fewer than eight, or of what never varies', () => {
    fc.assert(
      fc.property(fc.array(fc.double({ min: -1e6, max: 1e6, noNaN: true }), { maxLength: 7 }), (few) => {
        const { usual, points } = controlChart(few)
        expect(usual).toBeNull()
        expect(points.every(({ unusual }) => unusual.length === 0)).toBe(true)
      }),
    )
    expect(controlChart(Array<number>(30).fill(4)).points.flatMap(({ unusual }) => unusual)).toEqual([])
  })
})

describe('what coolings alike say of the next', () => {
  it('is bounded as published: of 20 that all passed at least 0.861 pass, of 29 of 30 at least 0.851', () => {
    expect(atLeast(20, 20)).toBeCloseTo(0.8609, 4)
    expect(atLeast(29, 30)).toBeCloseTo(0.8514, 4)
    expect(atLeast(0, 20)).toBe(0)
  })

  it('is never more than what passed, and grows with it', () => {
    const counts = fc.integer({ min: 1, max: 200 }).chain((all) => fc.tuple(fc.nat({ max: all - 1 }), fc.constant(all)))
    fc.assert(
      fc.property(counts, ([passed, all]) => {
        expect(atLeast(passed, all)).toBeLessThanOrEqual(passed / all)
        expect(atLeast(passed + 1, all)).toBeGreaterThan(atLeast(passed, all))
      }),
    )
  })
})

describe('a trend', () => {
  const cooled = (name: string, secondAt: number, celsius: number): LoggedBatch => {
    const story = new Story()
    story.combined(0)
    story.read(5, 83)
    story.offHeat(6)
    story.read(16, 62)
    story.read(18, 56)
    story.read(secondAt, celsius)
    return { ...loggedBatch(story.batch, world), id: name, code: name, startedAt: at(Number(name)) }
  }
  // The clock starts between 16 and 18 minutes: 21° is due between 136 and 138.
  const proven = cooled('1', 96, 20)
  const missed = cooled('2', 200, 30)
  const unproven = cooled('3', 200, 20)
  const now = at(5000)
  const of = (batches: LoggedBatch[]) => trendOf(batches, { of: 'gate', key: 'cool-first' }, now)

  it('draws what is proven as at least so much, what is missed as at most so much, and never what is not proven', () => {
    const { points } = of([unproven, missed, proven])
    expect(points.map(({ code, standing }) => [code, standing])).toEqual([
      ['1', 'proven'],
      ['2', 'missed'],
      ['3', 'unproven'],
    ])
    const [first, second, third] = points
    expect(first!.drawn).toBeGreaterThan(0)
    expect(first!.drawn).toBe(first!.spare.least)
    expect(second!.drawn).toBeLessThan(0)
    expect(third!.drawn).toBeNull()
    expect(of([unproven, missed, proven]).chart.points).toHaveLength(2)
  })

  it('tells how late readings came that were asked for, and which gates nobody read; what was not asked for is not counted', () => {
    const story = new Story()
    story.combined(0)
    story.read(5, 83, { asked: at(4) })
    story.offHeat(6)
    story.read(16, 62, { asked: at(9) })
    story.read(18, 56)
    // Asked for before the batch was there, or after it was taken: of something else.
    story.read(96, 20, { asked: at(-5) })
    story.read(98, 19.5, { asked: at(99) })
    // Copied from paper: no tablet was answered.
    story.read(99, 19, { asked: at(80), paper: '0'.repeat(64) })
    const asked = { ...loggedBatch(story.batch, world), id: 'asked', code: 'asked' }
    expect(asked.pace.answers).toEqual([1, 7].map((minutes) => minutes * MINUTE))
    const { answered, points } = trendOf([asked, unproven], { of: 'latest answer' }, now)
    expect(answered).toMatchObject({ inTime: 1, late: 1, medianMs: 7 * MINUTE })
    const unread = (batch: LoggedBatch) => trendOf([batch], null, now).answered.unread
    expect(unread(unproven)).toBeGreaterThan(0)
    expect(unread(loggedBatch(wellMade().batch, world))).toBe(0)
    expect(answered.unread).toBe(unread(asked) + unread(unproven))
    expect(points.map(({ code, drawn }) => [code, drawn])).toEqual([['asked', 7]])
    expect(trendOf([unproven], null, now).answered).toMatchObject({ inTime: 0, late: 0, medianMs: null })
  })

  it('counts before it rates, in every group, and leaves out what still runs', () => {
    const { counts, groups } = of([proven, missed, unproven])
    expect(counts.proven + counts.unproven + counts.missed).toBe(3)
    for (const all of Object.values(groups))
      for (const { proven: of3, unproven: not, missed: no, range } of all) {
        expect(of3 + not + no).toBeLessThanOrEqual(3)
        expect(range.low).toBeLessThanOrEqual(range.high)
      }
    expect(groups.method).toHaveLength(1)
    const story = new Story()
    story.combined(0)
    story.read(5, 83)
    const running = loggedBatch(story.batch, world)
    expect(trendOf([running], null, at(6))).toMatchObject({ counts: { proven: 0 }, points: [], measure: null })
  })

  it('says when the readings were taken that would have sufficed, in order and off the heat', () => {
    const one = loggedBatch(wellMade().batch, world)
    const [alike] = alikeIn([one, { ...one, id: '9', startedAt: at(9) }], now)
    const { decided, decidedAfter } = alike!
    expect(decidedAfter).toHaveLength(decided!)
    // Off the heat at 12: read 8, 88 and 228 minutes after; what was read hot before counts as none.
    expect(decidedAfter.filter((minutes) => ![0, 8, 88, 228].includes(minutes))).toEqual([])
    expect(decidedAfter.at(-1)).toBe(228)
    expect([...decidedAfter].sort((a, b) => a - b)).toEqual(decidedAfter)
    expect(alikeIn([unproven], now)[0]!.decidedAfter).toEqual([])
  })

  it('would have been proven by the readings that decided it alone, however many more there were', () => {
    const minutes = fc.uniqueArray(fc.integer({ min: 13, max: 330 }), { minLength: 4, maxLength: 25 })
    const told = (read: readonly number[]) => {
      const story = new Story()
      story.combined(5)
      story.read(10, 80)
      story.offHeat(12)
      for (const at of [...read].sort((a, b) => a - b))
        story.read(at, Math.round((2 + 70 * Math.exp(-at / 55)) * 10) / 10)
      return loggedBatch(story.batch, world)
    }
    const coolings = (batch: LoggedBatch) =>
      standAt(batch.stands, now).gates.filter(({ key }) => key.startsWith('cool-'))
    fc.assert(
      fc.property(minutes, (drawn) => {
        const read = [20, ...drawn]
        const decided = coolings(told(read))
        fc.pre(decided.every(({ standing }) => standing === 'proven'))
        const needed = new Set(decided.flatMap(({ deciding }) => deciding))
        const few = coolings(told(read.filter((each) => needed.has(at(each)))))
        expect(few.map(({ standing }) => standing)).toEqual(decided.map(({ standing }) => standing))
      }),
    )
  })

  it('counts coolings alike since the last miss, those not proven among them, and says nothing of fewer than twenty', () => {
    const many = (all: LoggedBatch[]) => all.map((batch, i) => ({ ...batch, id: `${i}`, startedAt: at(i) }))
    const of20 = Array<LoggedBatch>(20).fill(loggedBatch(wellMade().batch, world))
    expect(alikeIn(many(of20), now)).toMatchObject([{ coolings: 20, proven: 20, read: 3, passes: atLeast(20, 20) }])
    expect(alikeIn(many([missed, ...of20.slice(1)]), now)).toMatchObject([{ coolings: 19, passes: null }])
    expect(alikeIn(many([...of20, missed]), now)).toMatchObject([{ coolings: 0, proven: 0, read: null }])
    const [doubtful] = alikeIn(many([missed, ...of20, unproven]), now)
    expect(doubtful).toMatchObject({ coolings: 21, proven: 20, passes: atLeast(20, 21) })
    // What decided it is never more than what was read, with what was read hot before.
    expect(doubtful!.decided).toBeLessThanOrEqual(doubtful!.read! + 1)
  })

  it('measures how soon after the heat it was read, and how long nobody did', () => {
    const { measures } = of([proven])
    expect(measures.map(({ measure }) => measure.of)).toEqual(expect.arrayContaining(['gate', 'first reading']))
    const soon = trendOf([proven], { of: 'first reading' }, now).points[0]!
    expect(soon.drawn).toBe(10)
    expect(trendOf([proven], { of: 'longest unread' }, now).points[0]!.drawn).toBe(78)
  })

  it('of a well made one says what was to spare at its floor in degrees', () => {
    const story = wellMade()
    const { points } = trendOf([loggedBatch(story.batch, world)], { of: 'gate', key: 'egg' }, now)
    expect(points[0]).toMatchObject({ standing: 'proven', spare: { unit: '°C' } })
    expect(points[0]!.drawn).toBeGreaterThanOrEqual(0)
  })

  it('names what passed by little once, by the gate it passed by the least, and nothing that did not pass', () => {
    const spare = fc.record({
      unit: fc.constantFrom('min' as const, '°C' as const),
      least: fc.option(fc.double({ min: 0, max: 40, noNaN: true })),
    })
    const batches = fc.array(
      fc.record({
        standing: fc.constantFrom('proven', 'unproven', 'missed'),
        spares: fc.array(spare, { maxLength: 4 }),
      }),
      { maxLength: 8 },
    )
    const [pattern] = standAt(proven.stands, now).gates
    fc.assert(
      fc.property(batches, (all) => {
        const settled = all.map(({ standing, spares }, i): LoggedBatch => {
          const gates = spares.map(({ unit, least }) => ({ ...pattern!, spare: { unit, least, most: null } }))
          const stands = proven.stands.map((each) => ({ ...each, standing: standing as 'proven', gates }))
          return { ...proven, id: `${i}`, startedAt: at(i), stands }
        })
        const { near } = trendOf(settled, null, now)
        const hardly = all.map(({ standing, spares }) =>
          standing === 'proven' ? spares.filter(({ unit, least }) => least !== null && least <= NEAR[unit]) : [],
        )
        expect(near.count).toBe(hardly.filter(({ length }) => length > 0).length)
        expect(new Set(near.latest.map(({ id }) => id)).size).toBe(near.latest.length)
        for (const { id, unit, spare: by } of near.latest)
          for (const other of hardly[Number(id)]!)
            expect(by / NEAR[unit]).toBeLessThanOrEqual(other.least! / NEAR[other.unit])
      }),
    )
  })
})
