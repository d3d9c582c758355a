import type { RuleSet } from '../limit'
import { celsius, fall, hold, HOURS, limitsOf, MINUTES, stay } from './printed'

const KEY = 'ca-retail'
const limit = limitsOf(KEY, 'Retail and food services code', 'federal, provincial, territorial')
const medium = { confidence: 'medium' } as const

/** Canada: the federal, provincial and territorial retail and food services code. */
export const caRetail: RuleSet = {
  key: KEY,
  name: 'Canada, retail code',
  edition: 'federal, provincial, territorial',
  prints: 'C',
  unit: 'C',
  rawShellEgg: null,
  limits: [
    limit('egg', 'egg mixtures', hold([celsius(74), 15]), medium),
    limit('egg-guidance', 'nog and custard', hold([celsius(71), 0]), {
      ...medium,
      force: 'guidance',
      from: 'Consumer guidance',
    }),
    limit('egg-product', 'frozen mix', hold([celsius(69), 30 * MINUTES], [celsius(80), 25], [celsius(83), 16]), medium),
    limit('cool-first', 'cooling', fall({ crossing: celsius(60) }, celsius(20), 2 * HOURS)),
    limit('cool-second', 'cooling', fall({ after: 'cool-first' }, celsius(4), 4 * HOURS)),
    limit('cold-holding', 'cold holding', stay('under', celsius(4))),
    limit('hot-holding', 'hot holding', stay('over', celsius(60))),
    limit('date-marking', 'keeping', { kind: 'no number' }),
  ],
  offers: [],
}
