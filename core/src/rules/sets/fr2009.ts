import type { RuleSet } from '../limit'
import { celsius, fall, HOURS, limitsOf, stay } from './printed'

const KEY = 'fr-2009'
const limit = limitsOf(KEY, 'Arrêté du 21 décembre 2009', '2009')

/** France: arrêté of 21 December 2009. */
export const fr2009: RuleSet = {
  key: KEY,
  name: 'France, 2009',
  edition: '2009',
  prints: 'C',
  unit: 'C',
  rawShellEgg: null,
  limits: [
    limit('egg', 'cooking', { kind: 'no number' }),
    limit('cool-total', 'rapid cooling', fall({ crossing: celsius(63) }, celsius(10), 2 * HOURS)),
    limit('cold-holding', 'after rapid cooling, 0 to 3°', stay('under', celsius(3))),
    limit('hot-holding', 'hot holding', stay('over', celsius(63))),
    limit('reheat-time', 'reheating, same day', {
      kind: 'reach',
      clock: { crossing: celsius(10) },
      to: celsius(63),
      direction: 'rising',
      withinMinutes: HOURS,
    }),
    limit('date-marking', '3 days after the day of making', { kind: 'days', days: 4 }, { confidence: 'medium' }),
  ],
  offers: [],
}
