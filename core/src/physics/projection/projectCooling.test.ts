import { MINUTE } from '../../ground/instant'
import { chance, madeCooling, trueCrossing } from '../../test/coolings'
import type { Reading } from '../trace/reading'
import { normalQuantile, normalShare } from './normal'
import { missProbability, projectCooling, QUANTILES } from './projectCooling'

const HOUR = 60 * MINUTE
/** Each takes a fifth of a second. A full run asks more of them. */
const COOLINGS = 120 * Math.min(3, Number(process.env.LT_TIMES ?? 1))
const core = (minutes: number, celsius: number): Reading => ({ at: minutes * MINUTE, celsius, where: 'core' })
/** Newton's law: towards `around` with a time constant in minutes. */
const newton = (around: number, tau: number, minutes: readonly number[]) =>
  minutes.map((at) => core(at, around + (60 - around) * Math.exp(-at / tau)))

describe('over many coolings of other shapes than the family has', () => {
  const dice = chance(20_611)
  const forecasts = Array.from({ length: COOLINGS }, () => {
    const made = madeCooling(dice)
    const now = made.readings.at(-1)!.at
    const surroundings = made.surroundings + 0.8 * dice.normal()
    const end = made.truth.at.at(-1)! * 1000
    const { crossings } = projectCooling(made.readings, { surroundings }, [21, 5], now)
    return crossings.map((crossing) => ({ crossing, truth: trueCrossing(made.truth, crossing.level), now, end }))
  })

  it.each([
    [21, 0],
    [5, 1],
  ])('holds the true passing of %i° in its 90 %% range 85 to 95 %% of the time', (_level, index) => {
    const settled = forecasts.map((each) => each[index]!).filter(({ truth, now }) => truth !== null && truth > now)
    const inside = settled.filter(
      ({ crossing: { low, high }, truth }) => low !== null && low <= truth! && (high === null || truth! <= high),
    )
    expect(settled.length).toBeGreaterThan(COOLINGS / 2)
    const share = inside.length / settled.length
    expect(share).toBeGreaterThanOrEqual(0.85)
    expect(share).toBeLessThanOrEqual(0.95)
  })

  it('says less than before anything was read only where nothing was read', () => {
    const before = projectCooling([core(0, 60)], { surroundings: 3 }, [21], 0).crossings[0]!
    const prior = Math.log(before.high! / before.low!)
    const widths = forecasts.flatMap(([{ crossing, now } = forecasts[0]![0]!]) =>
      crossing.low !== null && crossing.high !== null && crossing.low > now
        ? [Math.log((crossing.high - now) / (crossing.low - now))]
        : [],
    )
    widths.sort((a, b) => a - b)
    expect(widths[widths.length >> 1]!).toBeLessThan(prior / 2)
  })

  it('is right about how often it misses', () => {
    // Deadlines at the truth's own pace say nothing; one at a fixed time after the last reading does.
    const asked = forecasts.flatMap(([{ crossing, truth, now } = forecasts[0]![0]!]) => {
      const deadline = now + HOUR
      return truth !== null && truth > now
        ? [{ said: missProbability(crossing, deadline), missed: truth > deadline }]
        : []
    })
    const unlikely = asked.filter(({ said }) => said < 0.1)
    const likely = asked.filter(({ said }) => said > 0.9)
    expect(unlikely.filter(({ missed }) => missed).length / unlikely.length).toBeLessThan(0.1)
    expect(likely.filter(({ missed }) => !missed).length / likely.length).toBeLessThan(0.1)
  })
})

it('finds the time constant of a stirred pot', () => {
  const { tauMinutes, crossings } = projectCooling(
    newton(2, 50, [0, 10, 20, 30, 40]),
    { surroundings: 2 },
    [10],
    40 * MINUTE,
  )
  expect(tauMinutes.least).toBeLessThan(50)
  expect(tauMinutes.most).toBeGreaterThan(50)
  const truth = 50 * Math.log(58 / 8) * MINUTE
  expect(crossings[0]!.low).toBeLessThan(truth)
  expect(crossings[0]!.high).toBeGreaterThan(truth)
})

it('never reaches what the surroundings do not have', () => {
  const { crossings } = projectCooling(
    newton(9, 40, [0, 10, 20, 30, 40, 60, 90]),
    { surroundings: 9 },
    [5],
    90 * MINUTE,
  )
  expect(crossings[0]).toMatchObject({ median: null, high: null })
  expect(missProbability(crossings[0]!, 1e12)).toBeGreaterThan(0.5)
})

it('tells of a level that was read between its two readings', () => {
  const { crossings } = projectCooling([core(0, 60), core(30, 30), core(60, 18)], { surroundings: 3 }, [21], HOUR)
  expect(crossings[0]!.low).toBeGreaterThanOrEqual(30 * MINUTE)
  expect(crossings[0]!.high).toBeLessThanOrEqual(HOUR)
  expect(missProbability(crossings[0]!, HOUR)).toBeLessThan(0.01)
  expect(missProbability(crossings[0]!, 29 * MINUTE)).toBeGreaterThan(0.99)
})

it('leaves out what is not of the core, and what is read later than it is asked', () => {
  const readings = newton(2, 50, [0, 10, 20, 30])
  const more: Reading[] = [...readings, { at: 25 * MINUTE, celsius: 3, where: 'air' }, core(50, 3)]
  const setting = { surroundings: 2 }
  expect(projectCooling(more, setting, [10], 30 * MINUTE)).toEqual(projectCooling(readings, setting, [10], 30 * MINUTE))
})

it('takes a prior, and is moved from it by what is read', () => {
  const readings = newton(2, 90, [0, 15])
  const at = (prior?: { tauMinutes: number; spread: number }) =>
    projectCooling(readings, { surroundings: 2, ...(prior ? { prior } : {}) }, [21], 15 * MINUTE)
  const known = at({ tauMinutes: 90, spread: 0.1 })
  const width = ({ crossings: [one] }: ReturnType<typeof at>) => one!.high! - one!.low!
  expect(width(known)).toBeLessThan(width(at()))
})

it('refuses what is none', () => {
  expect(() => projectCooling([], { surroundings: 3 }, [21], 0)).toThrow(/readings/)
  expect(() => projectCooling([core(0, 60)], { surroundings: NaN }, [21], 0)).toThrow(/surroundings/)
  expect(() => projectCooling([core(0, 60)], { surroundings: 3 }, [500], 0)).toThrow(/levels\[0\]/)
  expect(() =>
    projectCooling([core(0, 60)], { surroundings: 3, prior: { tauMinutes: -1, spread: 1 } }, [21], 0),
  ).toThrow(/tauMinutes/)
})

it('misses less the later the deadline', () => {
  const { crossings } = projectCooling(newton(2, 70, [0, 20, 40]), { surroundings: 2 }, [21], 40 * MINUTE)
  const chances = [60, 80, 100, 120, 160, 240].map((minutes) => missProbability(crossings[0]!, minutes * MINUTE))
  expect([...chances].sort((a, b) => b - a)).toEqual(chances)
  expect(crossings[0]!.quantiles).toHaveLength(QUANTILES.length)
})

it.each([0.001, 0.02, 0.3, 0.5, 0.9, 0.999])('the normal share of the quantile of %f is it again', (share) => {
  expect(normalShare(normalQuantile(share))).toBeCloseTo(share, 5)
})
