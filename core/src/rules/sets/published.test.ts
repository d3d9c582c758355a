import { type Degrees, toCelsius } from '../../ground/temperature'
import type { Limit } from '../limit'
import type { Rule } from '../rule'
import { coolingStages, heatRows, ruleSets } from './ruleSets'
import { schedules } from './schedules'

/**
 * Every number once more, written down apart from the data: key, rule, force and confidence, section.
 * Degrees as °C/°F as printed; a document that prints °C alone has no °F here. Holds in seconds, clocks in minutes.
 */
const PRINTED: Record<string, string> = {
  'us-food-code-2022': `
    egg-immediate | hold 63/145 15 | law high | 3-401.11(A)(1)(a)
    egg | hold 63/145 180, 66/150 60, 68/155 17, 70/158 0 | law high | 3-401.11(A)(2)
    egg-guidance | hold 71.1/160 0 | guidance high | custard base, nog, egg dishes
    dairy-hot | hold 57/135 0 | law high | 3-401.13, 3-501.16
    microwave | hold 74/165 0 | law high | 3-401.12, then 2 min covered
    reheat | hold 74/165 15 | law high | 3-403.11
    reheat-time | rising from the event to 74/165 in 120 | law high | 3-403.11
    rework | hold 74/165 15 | guidance medium | slow cooling, once, begun before the 2 h gate passes
    cool-first | falling from 57/135 to 21/70 in 120 | law high | 3-501.14(A)(1)
    cool-total | falling from 57/135 to 5/41 in 360 | law high | 3-501.14(A)(2)
    cool-ambient | falling from the event to 5/41 in 240 | law high | 3-501.14(B)
    cold-holding | under 5/41 | law high | 3-501.16(A)(2)
    hot-holding | over 57/135 | law high | 3-501.16(A)(1)
    shell-egg-air | under 7/45 | law high | 3-202.11(C), 3-501.16(B)
    received-cold | under 5/41 | law high | 3-202.11
    received-milk | under 7/45 | law high | 3-202.11, where law sets it
    thaw-water | under 21/70 | law high | 3-501.13
    date-marking | days 7 | law high | 3-501.17
    opened-package | days 7 | law high | 3-501.17(B)
    combined-parts | earliest date of the parts | law high | 3-501.17
    freezing | frozen days stop the count | law high | 3-501.17, .18
    over-limit | discard | law high | 3-501.18
    time-control | hours 4 | law high | 3-501.19(B)
    time-control-cold | hours 6 under 21/70 | law high | 3-501.19(C)
    advisory | advisory | law high | 3-603.11
    susceptible | no raw egg | law high | 3-801.11
    pasteurized-egg | pasteurized egg | law high | 3-302.13
    thermometer | within 1/2 | law high | 4-203.11
    air-thermometer | within 1.5/3 | law high | 4-203.12
    acidity-packaged | pH ≤4.6; pH ≤5.6 aw ≤0.95; aw ≤0.92 | law high | 1-201.10, table A
    acidity | pH <4.2; pH ≤4.6 aw ≤0.92; pH ≤5 aw ≤0.9; aw <0.88 | law high | 1-201.10, table B`,
  'uk-2013': `
    egg | hold 60 2700, 65 600, 70 120, 75 30, 80 6 | law high | core, any one row
    egg | 2 min of 70 z 7.5 from 60 to 80, if chosen | law medium | equivalence, reference 70°, z 7.5°
    reheat | hold 70 120 | guidance high | 70° 2 min or equivalent; Scotland 82°
    cool-total | falling from 63 to 8 in 90 | guidance medium | cooling
    cold-holding | under 8, once 240 | law high | schedule 4
    hot-holding | over 63, once 120 | law high | schedule 4
    chill-begin | hours 0.5 | guidance medium | start within 30 min of cooking
    chill-total | falling from the event to 3 in 90 | guidance medium | to 3° within 90 min of the start
    chill-holding | under 3 | guidance medium | 0 to 3°
    chill-warm | hours 12 under 10 | guidance medium | above 5° eat within 12 h, above 10° discard
    chill-days | days 5 | guidance medium | with the days of cooking and eating
    date-marking | no number | law high | the house's own use-by, with its reason
    raw-egg | assured eggs | law high | assurance scheme for vulnerable people, none for the severely immunocompromised`,
  'anz-3-2-2': `
    egg | no number | law high | 3.2.2
    cool-first | falling from 60 to 21 in 120 | law high | cl. 7
    cool-second | falling after cool-first to 5 in 240 | law high | cl. 7
    cold-holding | under 5 | law high | 3.2.2
    hot-holding | over 60 | law high | 3.2.2
    exposure | 5 to 60: from 0 use or chill, from 120 use now, from 240 discard | law high | cl. 25
    date-marking | no number | law high | 3.2.2
    thermometer | within 1 | law high | cl. 22
    acidity | pH <4.2 | guidance medium | raw egg product
    raw-class | hours 24 under 5 | guidance medium | raw egg product, at 5° or under
    records | records kept 3 months | law medium | 3.2.2A`,
  'ca-retail': `
    egg | hold 74 15 | law medium | egg mixtures
    egg-guidance | hold 71 0 | guidance medium | nog and custard
    egg-product | hold 69 1800, 80 25, 83 16 | law medium | frozen mix
    cool-first | falling from 60 to 20 in 120 | law high | cooling
    cool-second | falling after cool-first to 4 in 240 | law high | cooling
    cold-holding | under 4 | law high | cold holding
    hot-holding | over 60 | law high | hot holding
    date-marking | no number | law high | keeping`,
  'fr-2009': `
    egg | no number | law high | cooking
    cool-total | falling from 63 to 10 in 120 | law high | rapid cooling
    cold-holding | under 3 | law high | after rapid cooling, 0 to 3°
    hot-holding | over 63 | law high | hot holding
    reheat-time | rising from 10 to 63 in 60 | law high | reheating, same day
    date-marking | days 4 | law medium | 3 days after the day of making`,
}

// The figures of the first, by another document, and none surer than medium.
const ELSEWHERE: Record<string, string> = {
  'uk-wales-2006': 'uk-2013',
  'uk-ni-2006': 'uk-2013',
  'nz-2014': 'anz-3-2-2',
}

const SCHEDULES: Record<string, string> = {
  'us-frozen-mix': `egg | hold 69/155 1800, 80/175 25, 83/180 15 | law high | rows`,
  'us-milk': `no-egg | hold 63/145 1800, 72/161 15, 89/191 1 | law high | rows`,
  'us-milk-rich': `no-egg | hold 66/150 1800, 75/166 15 | law high | fat 10 % or more, or sweetened`,
  'us-egg-products': `
    egg-product | hold 56.7/134 210, 55.6/132 372 | law high | white, no chemicals
    egg-product | hold 60/140 210 | law high | whole egg
    egg-product | hold 61.1/142 210, 60/140 372 | law high | whole-egg blend, under 2 % added
    egg-product | hold 61.1/142 210, 60/140 372 | law high | whole egg, 2 to 12 % sugar
    egg-product | hold 61.1/142 210, 60/140 372 | law high | plain yolk
    egg-product | hold 63.3/146 210, 62.2/144 372 | law high | yolk, 2 % sugar or more
    egg-product | hold 63.3/146 210, 62.2/144 372 | law high | yolk, 2 to 12 % salt`,
}

const lines = (text: string) => text.split('\n').flatMap((line) => (line.trim() ? [line.trim()] : []))

function said(limit: Limit, both: boolean): string {
  const { key, rule, force, source, alternative } = limit
  return `${key} | ${ruleSaid(rule, both)}${alternative ? ', if chosen' : ''} | ${force} ${source.confidence} | ${source.section}`
}

function ruleSaid(rule: Rule, both: boolean): string {
  const d = ({ c, f }: Degrees) => (both ? `${c}/${f}` : String(c))
  switch (rule.kind) {
    case 'hold':
      return `hold ${rule.rows.map(({ at, seconds }) => `${d(at)} ${seconds}`).join(', ')}`
    case 'equivalent': {
      const { atCelsius, z, from, to } = rule.reference
      return `${rule.minutes} min of ${atCelsius} z ${z} from ${from} to ${to}`
    }
    case 'reach': {
      const { clock } = rule
      const start =
        clock === 'event' ? 'from the event' : 'after' in clock ? `after ${clock.after}` : `from ${d(clock.crossing)}`
      return `${rule.direction} ${start} to ${d(rule.to)} in ${rule.withinMinutes}`
    }
    case 'stay':
      return `${rule.side} ${d(rule.level)}${rule.grace ? `, ${rule.grace.count} ${rule.grace.minutes}` : ''}`
    case 'exposure':
      return `${d(rule.low)} to ${d(rule.high)}: ${rule.bands.map(({ fromMinutes, then }) => `from ${fromMinutes} ${then}`).join(', ')}`
    case 'days':
      return `days ${rule.days}`
    case 'hours':
      return `hours ${rule.hours}${rule.under ? ` under ${d(rule.under)}` : ''}`
    case 'egg lot':
    case 'no number':
      return 'no number'
    case 'condition':
      return `${rule.needs}${rule.months ? ` ${rule.months} months` : ''}`
    case 'tolerance':
      return `within ${d(rule.within)}`
    case 'acidity': {
      const bound = ({ most, inclusive }: { most: number; inclusive: boolean }) => `${inclusive ? '≤' : '<'}${most}`
      return rule.rows
        .map(({ ph, waterActivity }) =>
          [ph && `pH ${bound(ph)}`, waterActivity && `aw ${bound(waterActivity)}`].filter(Boolean).join(' '),
        )
        .join('; ')
    }
  }
}

describe('the published limits', () => {
  it.each(Object.keys(PRINTED))('of %s are as written down', (key) => {
    const set = ruleSets[key]!
    expect(set.limits.map((limit) => said(limit, set.prints === 'both'))).toEqual(lines(PRINTED[key]!))
  })

  it.each(Object.entries(ELSEWHERE))('of %s are those of %s, by its own document', (key, of) => {
    const [set, first] = [ruleSets[key]!, ruleSets[of]!]
    const figures = ({ limits, prints }: typeof set) =>
      limits.map((limit) => said(limit, prints === 'both').replace('law high', 'law medium'))
    expect(figures(set)).toEqual(figures(first))
    for (const { force, source, origin } of set.limits) {
      expect(origin).toBe(key)
      if (force === 'law' && source.edition !== '')
        expect(first.limits.map((limit) => limit.source.document)).not.toContain(source.document)
    }
  })

  it.each(Object.keys(SCHEDULES))('of the schedule %s are as written down', (key) => {
    expect(schedules[key]!.limits.map((limit) => said(limit, true))).toEqual(lines(SCHEDULES[key]!))
  })

  it('are all there, each with a document and an origin', () => {
    expect(Object.keys(ruleSets).sort()).toEqual(
      [...Object.keys(PRINTED), ...Object.keys(ELSEWHERE), 'strictest'].sort(),
    )
    expect(Object.keys(schedules)).toEqual(Object.keys(SCHEDULES))
    for (const set of Object.values(ruleSets)) {
      for (const { origin, source } of set.limits) {
        expect(source.document).not.toBe('')
        if (set.key !== 'strictest') expect(origin).toBe(set.key)
      }
    }
  })

  it('have in °F exactly what °C converts to where a document prints °C alone', () => {
    const degrees = (value: unknown): Degrees[] => {
      if (typeof value !== 'object' || value === null) return []
      return 'c' in value && 'f' in value ? [value as Degrees] : Object.values(value).flatMap(degrees)
    }
    for (const { limits, prints } of Object.values(ruleSets)) {
      if (prints === 'both') continue
      const judged = limits.filter(({ origin, rule }) => origin !== 'us-food-code-2022' && rule.kind !== 'tolerance')
      for (const { c, f } of degrees(judged)) expect(toCelsius(f)).toBeCloseTo(c, 9)
    }
  })

  it('let the figure of the code unit decide, and the stricter of the two on request', () => {
    expect(heatRows('us-food-code-2022', 'egg', 'C')[2]).toEqual({ celsius: 68, seconds: 17 })
    expect(heatRows('us-food-code-2022', 'egg')[2]).toEqual({ celsius: toCelsius(155), seconds: 17 })
    expect(coolingStages('us-food-code-2022')[0]).toMatchObject({ from: toCelsius(135), to: toCelsius(70) })
    expect(coolingStages('us-food-code-2022', 'stricter')[0]).toMatchObject({ from: toCelsius(135), to: 21 })
    expect(coolingStages('uk-2013')).toEqual([{ key: 'cool-total', from: 63, to: 8, withinMinutes: 90, clock: 'from' }])
    expect(heatRows('uk-2013', 'egg')).toHaveLength(5)
    expect(heatRows('anz-3-2-2', 'egg')).toEqual([])
    expect(heatRows('us-food-code-2022', 'reheat', 'C')).toEqual([{ celsius: 74, seconds: 15 }])
  })

  it('of the strictest set are the union of the coolings, a stage that follows another right after it', () => {
    const stages = coolingStages('strictest')
    expect(
      stages.map(({ key, from, to, withinMinutes, clock }) => `${key} ${clock} ${from} ${to} ${withinMinutes}`),
    ).toEqual([
      'us-food-code-2022:cool-first from 57 21 120',
      'us-food-code-2022:cool-total from 57 5 360',
      'uk-2013:cool-total from 63 8 90',
      'anz-3-2-2:cool-first from 60 21 120',
      'anz-3-2-2:cool-second previous 5 5 240',
      'ca-retail:cool-first from 60 20 120',
      'ca-retail:cool-second previous 4 4 240',
      'fr-2009:cool-total from 63 10 120',
    ])
    expect(heatRows('strictest', 'egg')).toEqual([
      { celsius: 74, seconds: 120 },
      { celsius: 75, seconds: 30 },
      { celsius: 80, seconds: 15 },
    ])
  })

  it('know no other set or use', () => {
    expect(() => coolingStages('nowhere')).toThrow(/ruleSetKey: nowhere/)
    expect(() => coolingStages('toString')).toThrow(RangeError)
    expect(() => heatRows('uk-2013', 'boil' as never)).toThrow(/use: boil/)
  })
})
