import type { Degrees } from '../quantity/temperature'
import type { Force, Limit, LimitKey, RuleSet } from './limit'
import type { Rule } from './rule'

const printed = (c: number, f: number): Degrees => ({ c, f })

function limit(key: LimitKey, section: string, rule: Rule, force: Force = 'law'): Limit {
  return { key, rule, force, source: { document: 'FDA Food Code', section, edition: '2022', confidence: 'high' } }
}

/** US retail and food service: FDA Food Code 2022. */
export const usFoodCode2022: RuleSet = {
  key: 'us-food-code-2022',
  name: 'Food Code 2022',
  unit: 'F',
  limits: [
    limit('egg-immediate', '3-401.11(A)(1)(a)', { kind: 'hold', rows: [{ at: printed(63, 145), seconds: 15 }] }),
    limit('egg', '3-401.11(A)(2)', {
      kind: 'hold',
      rows: [
        { at: printed(63, 145), seconds: 180 },
        { at: printed(66, 150), seconds: 60 },
        { at: printed(68, 155), seconds: 17 },
        { at: printed(70, 158), seconds: 0 },
      ],
    }),
    limit('cool-first', '3-501.14(A)(1)', {
      kind: 'reach',
      clock: { crossing: printed(57, 135) },
      to: printed(21, 70),
      withinMinutes: 120,
    }),
    limit('cool-total', '3-501.14(A)(2)', {
      kind: 'reach',
      clock: { crossing: printed(57, 135) },
      to: printed(5, 41),
      withinMinutes: 360,
    }),
    limit('cold-holding', '3-501.16(A)(2)', { kind: 'stay', side: 'under', level: printed(5, 41) }),
    limit('date-marking', '3-501.17', { kind: 'days', days: 7 }),
  ],
}
