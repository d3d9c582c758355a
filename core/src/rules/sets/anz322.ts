import type { RuleSet } from '../limit'
import { celsius, fall, hold, HOURS, limitsOf, MINUTES, stay } from './printed'

const KEY = 'anz-3-2-2'
const limit = limitsOf(KEY, 'Food Standards Code', '3.2.2')
const medium = { confidence: 'medium' } as const
const rawGuidance = { force: 'guidance', confidence: 'medium', from: 'State raw-egg guidance' } as const

/** Australia: Food Standards Code 3.2.2 and 3.2.2A. */
export const anz322: RuleSet = {
  key: KEY,
  name: 'Australia, Food Standards Code 3.2.2',
  edition: '3.2.2',
  prints: 'C',
  unit: 'C',
  rawShellEgg: 'raw-class',
  limits: [
    limit('egg', '3.2.2', { kind: 'no number' }),
    limit('cool-first', 'cl. 7', fall({ crossing: celsius(60) }, celsius(21), 2 * HOURS)),
    limit('cool-second', 'cl. 7', fall({ after: 'cool-first' }, celsius(5), 4 * HOURS)),
    limit('cold-holding', '3.2.2', stay('under', celsius(5))),
    limit('hot-holding', '3.2.2', stay('over', celsius(60))),
    limit('exposure', 'cl. 25', {
      kind: 'exposure',
      low: celsius(5),
      high: celsius(60),
      bands: [
        { fromMinutes: 0, then: 'use or chill' },
        { fromMinutes: 2 * HOURS, then: 'use now' },
        { fromMinutes: 4 * HOURS, then: 'discard' },
      ],
    }),
    limit('date-marking', '3.2.2', { kind: 'no number' }),
    limit('thermometer', 'cl. 22', { kind: 'tolerance', within: { c: 1, f: 1.8 } }),
    limit(
      'acidity',
      'raw egg product',
      { kind: 'acidity', rows: [{ ph: { most: 4.2, inclusive: false }, waterActivity: null }] },
      rawGuidance,
    ),
    limit('raw-class', 'raw egg product, at 5° or under', { kind: 'hours', hours: 24, under: celsius(5) }, rawGuidance),
    limit('records', '3.2.2A', { kind: 'condition', needs: 'records kept', months: 3 }, medium),
  ],
  offers: [
    {
      key: 'egg',
      rule: hold([celsius(75), 0], [celsius(70), 2 * MINUTES]),
      why: 'House default where the standard prints no number',
    },
  ],
}
