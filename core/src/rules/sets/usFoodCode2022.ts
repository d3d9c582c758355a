import type { RuleSet } from '../limit'
import { both, fall, hold, HOURS, limitsOf, MINUTES, stay } from './printed'

const KEY = 'us-food-code-2022'
const limit = limitsOf(KEY, 'FDA Food Code', '2022')
const guidance = { force: 'guidance' } as const

/** US retail and food service: FDA Food Code 2022. */
export const usFoodCode2022: RuleSet = {
  key: KEY,
  name: 'Food Code 2022',
  edition: '2022',
  prints: 'both',
  unit: 'F',
  measures: 'US',
  rawShellEgg: 'advisory',
  limits: [
    limit('egg-immediate', '3-401.11(A)(1)(a)', hold([both(63, 145), 15])),
    limit(
      'egg',
      '3-401.11(A)(2)',
      hold([both(63, 145), 3 * MINUTES], [both(66, 150), MINUTES], [both(68, 155), 17], [both(70, 158), 0]),
    ),
    limit('egg-guidance', 'custard base, nog, egg dishes', hold([both(71.1, 160), 0]), {
      ...guidance,
      from: 'USDA consumer guidance',
    }),
    limit('dairy-hot', '3-401.13, 3-501.16', hold([both(57, 135), 0])),
    limit('microwave', '3-401.12, then 2 min covered', hold([both(74, 165), 0])),
    limit('reheat', '3-403.11', hold([both(74, 165), 15])),
    limit('reheat-time', '3-403.11', {
      kind: 'reach',
      clock: 'event',
      to: both(74, 165),
      direction: 'rising',
      withinMinutes: 2 * HOURS,
    }),
    limit('rework', 'slow cooling, once, begun before the 2 h gate passes', hold([both(74, 165), 15]), {
      ...guidance,
      confidence: 'medium',
      from: 'Practice of regulators',
    }),
    limit('cool-first', '3-501.14(A)(1)', fall({ crossing: both(57, 135) }, both(21, 70), 2 * HOURS)),
    limit('cool-total', '3-501.14(A)(2)', fall({ crossing: both(57, 135) }, both(5, 41), 6 * HOURS)),
    limit('cool-ambient', '3-501.14(B)', fall('event', both(5, 41), 4 * HOURS)),
    limit('cold-holding', '3-501.16(A)(2)', stay('under', both(5, 41))),
    limit('hot-holding', '3-501.16(A)(1)', stay('over', both(57, 135))),
    limit('shell-egg-air', '3-202.11(C), 3-501.16(B)', stay('under', both(7, 45))),
    limit('received-cold', '3-202.11', stay('under', both(5, 41))),
    limit('received-milk', '3-202.11, where law sets it', stay('under', both(7, 45))),
    limit('thaw-water', '3-501.13', stay('under', both(21, 70))),
    limit('date-marking', '3-501.17', { kind: 'days', days: 7 }),
    limit('opened-package', '3-501.17(B)', { kind: 'days', days: 7 }),
    limit('combined-parts', '3-501.17', { kind: 'condition', needs: 'earliest date of the parts' }),
    limit('freezing', '3-501.17, .18', { kind: 'condition', needs: 'frozen days stop the count' }),
    limit('over-limit', '3-501.18', { kind: 'condition', needs: 'discard' }),
    limit('time-control', '3-501.19(B)', { kind: 'hours', hours: 4, under: null }),
    limit('time-control-cold', '3-501.19(C)', { kind: 'hours', hours: 6, under: both(21, 70) }),
    limit('advisory', '3-603.11', { kind: 'condition', needs: 'advisory' }),
    limit('susceptible', '3-801.11', { kind: 'condition', needs: 'no raw egg' }),
    limit('pasteurized-egg', '3-302.13', { kind: 'condition', needs: 'pasteurized egg' }),
    limit('thermometer', '4-203.11', { kind: 'tolerance', within: both(1, 2) }),
    limit('air-thermometer', '4-203.12', { kind: 'tolerance', within: both(1.5, 3) }),
    limit('acidity-packaged', '1-201.10, table A', {
      kind: 'acidity',
      rows: [
        { ph: upTo(4.6), waterActivity: null },
        { ph: upTo(5.6), waterActivity: upTo(0.95) },
        { ph: null, waterActivity: upTo(0.92) },
      ],
    }),
    limit('acidity', '1-201.10, table B', {
      kind: 'acidity',
      rows: [
        { ph: under(4.2), waterActivity: null },
        { ph: upTo(4.6), waterActivity: upTo(0.92) },
        { ph: upTo(5), waterActivity: upTo(0.9) },
        { ph: null, waterActivity: under(0.88) },
      ],
    }),
  ],
  offers: [
    {
      key: 'egg',
      rule: hold([both(71.1, 160), 0]),
      why: 'USDA consumer guidance for custard base, nog and egg dishes',
    },
  ],
}

function upTo(most: number) {
  return { most, inclusive: true }
}

function under(most: number) {
  return { most, inclusive: false }
}
