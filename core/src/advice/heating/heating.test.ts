import fc from 'fast-check'
import type { Addition } from '../../ledger/entry'
import { Story, limitsFrom } from '../../test/story'
import { at, trace } from '../../test/traces'
import { reachesAt, riseOf } from '../../physics/heating/rise'
import { heatSignal, heldAt, nextReading, risesSooner } from './signal'
import { offNow, windowOf } from './window'

const SECOND = 1 / 60

describe('the rise of a pot', () => {
  it('finds a steady rise again, and holds the truth between its bounds', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1.5, max: 12, noNaN: true }),
        fc.array(fc.double({ min: -0.14, max: 0.14, noNaN: true }), { minLength: 3, maxLength: 3 }),
        fc.double({ min: 1, max: 12, noNaN: true }),
        (perMinute, noise, ahead) => {
          const readings = trace(
            ...noise.map((error, i): [number, number] => [i / 2, 55 + (perMinute * i) / 2 + error]),
          )
          const rise = riseOf(readings, at(0))!
          expect(rise.least).toBeLessThanOrEqual(perMinute + 1e-9)
          expect(rise.most).toBeGreaterThanOrEqual(perMinute - 1e-9)
          const level = 55 + perMinute + ahead
          const truth = at(1 + ahead / perMinute)
          const { earliest, latest } = reachesAt(rise, level)!
          // The noise of the last reading shifts the start by as much again.
          const slack = (0.14 / rise.least) * 60_000
          expect(earliest! - slack).toBeLessThanOrEqual(truth)
          if (latest !== null) expect(latest + slack).toBeGreaterThanOrEqual(truth)
        },
      ),
    )
  })

  it.each<[string, [number, number][]]>([
    ['one reading', [[0, 60]]],
    [
      'readings seconds apart',
      [
        [0, 60],
        [0.1, 60.6],
      ],
    ],
    [
      'a pot that stands',
      [
        [0, 60],
        [1, 60.2],
      ],
    ],
    [
      'a pot that falls',
      [
        [0, 60],
        [1, 58],
      ],
    ],
    [
      'readings of long ago',
      [
        [0, 50],
        [6, 60],
      ],
    ],
  ])('says nothing from %s', (_, readings) => {
    expect(riseOf(trace(...readings), at(0))).toBeNull()
  })

  it('does not look back beyond what it was told', () => {
    expect(riseOf(trace([0, 50], [1, 60]), at(0.5))).toBeNull()
  })

  it('has no instant for a level that is reached, nor a latest for one it may never reach', () => {
    // It was warmer three minutes ago: by that it never gets there.
    const rise = riseOf(trace([0, 62], [2, 58], [3, 60]), at(0))!
    expect(reachesAt(rise, 60)).toBeNull()
    expect(reachesAt(rise, 70)).toMatchObject({ latest: null })
    expect(reachesAt(rise, 70)!.earliest).toBeLessThan(reachesAt(rise, 70)!.likely!)
  })
})

describe('the window of a pot on the heat', () => {
  const cooking = (...readings: [number, number][]) => {
    const story = new Story()
    story.combined(5)
    for (const [minutes, celsius] of readings) story.read(minutes, celsius)
    const now = readings.at(-1)![0]
    return { story, window: windowOf(story.batch, story.findings(now)), now }
  }
  const signal = ({ window, now }: ReturnType<typeof cooking>, later = 0) => heatSignal(window, at(now + later))

  it('says when the floor and the ceiling come as it goes', () => {
    const { window } = cooking([6, 60], [7, 64])
    // The Food Code in °C: 68° for 17 s is aimed for, 85° is the custard's ceiling; 4° a minute from 64°.
    expect(window.floor).toMatchObject({ celsius: 68, at: { likely: at(8) } })
    expect(window.ceiling).toMatchObject({ celsius: 85, at: { likely: at(12.25) } })
  })

  it('goes from silence to the floor, to reading again, to proven', () => {
    expect(signal(cooking([6, 60], [7, 62]))).toBeNull()
    // 63° is a row too, but not the one that is aimed for.
    expect(signal(cooking([6, 60], [7, 64]))).toBeNull()
    const held = cooking([6, 60], [7, 64], [8, 68.1])
    expect(signal(held)).toBe('floor')
    expect(heldAt(held.window)).toEqual({ since: at(8), seconds: 17 })
    // A second more than the hold: the clocks of two tablets are not the same.
    expect(signal(held, 17 * SECOND)).toBe('floor')
    expect(signal(held, 18 * SECOND)).toBe('again')
    expect(nextReading(held.window.floor!.finding, at(8))).toEqual({ inMs: 18_000, proves: true })
    expect(signal(cooking([6, 60], [7, 64], [8, 68.1], [8.3, 68.2]))).toBe('proven')
  })

  it('asks for the next reading before the longest gap that counts, however long the hold is', () => {
    // 63° for 3 min, read every 90 s at least: 8 s before that, and that reading proves nothing yet.
    const { window } = cooking([6, 60], [7, 64])
    expect(nextReading(window.floor!.finding, at(7))).toEqual({ inMs: 82_000, proves: false })
    const again = cooking([6, 60], [7, 64], [8.3, 64.1], [9.6, 64])
    expect(nextReading(again.window.floor!.finding, at(9.6))).toEqual({ inMs: 25_000, proves: true })
  })

  it('calls it off the heat once the floor is proven and the ceiling is near, or passed', () => {
    const hot = cooking([6, 60], [7, 71])
    expect(signal(hot)).toBe('proven')
    expect(offNow(hot.window, at(7))).toBe(false)
    // 11° a minute: 85° at 8:16.
    expect(signal(hot, 0.6)).toBe('ceiling')
    expect(signal(cooking([6, 60], [7, 86]))).toBe('ceiling')
    // Not proven yet, it stays: a floor that is missed cannot be had back.
    const sprint = cooking([6, 40], [6.5, 66])
    expect(offNow(sprint.window, at(6.8))).toBe(false)
  })

  it('goes on to the floor that is aimed for where that proves it sooner than the row that is held', () => {
    const fast = cooking([6, 60], [7, 64])
    expect(risesSooner(fast.window, at(7))).toBe(true)
    const slow = cooking([6, 62.8], [7, 63.4])
    expect(risesSooner(slow.window, at(7))).toBe(false)
  })
})

describe('what goes in on the heat and after it', () => {
  const goesIn = (story: Story, minutes: number, more: Partial<Addition>) =>
    story.enter('added', minutes, {
      step: 'cook',
      ingredient: 'butter',
      grams: 200,
      state: 'as it is',
      lot: null,
      ...more,
    })
  const cooked = () => {
    const story = new Story(limitsFrom('us-food-code-2022'))
    story.combined(5)
    story.read(8, 76)
    return story
  }

  it('asks for one more reading after cold butter on the heat, and lets the proof stand', () => {
    const story = cooked()
    goesIn(story, 9, {})
    expect(story.standing('egg', 10)).toBe('proven')
    expect(story.asks(10)).toMatchObject({ kind: 'read', at: at(9) })
    story.read(11, 72)
    expect(story.asks(11)).toEqual({ kind: 'mark', step: 'cook', edge: 'done' })
  })

  it.each<[string, Partial<Addition>, boolean]>([
    ['butter', {}, false],
    ['spirit', { ingredient: 'spirit' }, false],
    ['a raw yolk', { ingredient: 'yolk' }, true],
    ['a yolk of a pasteurized lot', { ingredient: 'yolk', state: 'pasteurized lot', lot: 'Y-1' }, false],
    ['untreated frozen berries', { ingredient: 'berry-puree', state: 'frozen' }, true],
    ['treated berries', { ingredient: 'berry-puree', state: 'treated' }, false],
  ])('after the heat %s reopens the cook check: %#', (_, addition, reopens) => {
    const story = cooked()
    story.offHeat(10)
    story.read(20, 57)
    goesIn(story, 21, addition)
    expect(story.standing('egg', 22)).toBe(reopens ? 'open' : 'proven')
    if (!reopens) return
    // Back on the heat: what was read before does not count, what is read now does; its cooling clock runs on.
    story.read(24, 60)
    expect(story.standing('egg', 24)).toBe('open')
    story.read(26, 74)
    expect(story.standing('egg', 26)).toBe('proven')
    story.offHeat(27)
    story.read(30, 57)
    expect(story.finding('cool-first', 31).start).toMatchObject({ latest: at(20) })
  })
})
