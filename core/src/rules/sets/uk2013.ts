import type { RuleSet } from '../limit'
import { celsius, fall, hold, HOURS, limitsOf, MINUTES, stay } from './printed'

const KEY = 'uk-2013'
const limit = limitsOf(KEY, 'SI 2013/2996', 'schedule 4')
const agency = { from: 'Food agency time-temperature table' }
const chill = { force: 'guidance', confidence: 'medium', from: 'Cook-chill guidance' } as const

/** England: temperature control, the agency's equivalents, cook-chill guidance. */
export const uk2013: RuleSet = {
  key: KEY,
  name: 'England 2013',
  edition: '2013',
  prints: 'C',
  unit: 'C',
  measures: 'UK',
  rawShellEgg: 'raw-egg',
  limits: [
    limit(
      'egg',
      'core, any one row',
      hold(
        [celsius(60), 45 * MINUTES],
        [celsius(65), 10 * MINUTES],
        [celsius(70), 2 * MINUTES],
        [celsius(75), 30],
        [celsius(80), 6],
      ),
      agency,
    ),
    limit(
      'egg',
      'equivalence, reference 70°, z 7.5°',
      { kind: 'equivalent', reference: { atCelsius: 70, z: 7.5, from: 60, to: 80 }, minutes: 2 },
      { ...agency, confidence: 'medium', alternative: true },
    ),
    limit('reheat', '70° 2 min or equivalent; Scotland 82°', hold([celsius(70), 2 * MINUTES]), {
      force: 'guidance',
      from: 'Food agency guidance',
    }),
    limit('cool-total', 'cooling', fall({ crossing: celsius(63) }, celsius(8), 90), {
      force: 'guidance',
      confidence: 'medium',
      from: 'Industry and agency guidance',
    }),
    limit('cold-holding', 'schedule 4', stay('under', celsius(8), { minutes: 4 * HOURS, count: 'once' })),
    limit('hot-holding', 'schedule 4', stay('over', celsius(63), { minutes: 2 * HOURS, count: 'once' })),
    limit('chill-begin', 'start within 30 min of cooking', { kind: 'hours', hours: 0.5, under: null }, chill),
    limit('chill-total', 'to 3° within 90 min of the start', fall('event', celsius(3), 90), chill),
    limit('chill-holding', '0 to 3°', stay('under', celsius(3)), chill),
    limit(
      'chill-warm',
      'above 5° eat within 12 h, above 10° discard',
      { kind: 'hours', hours: 12, under: celsius(10) },
      chill,
    ),
    limit('chill-days', 'with the days of cooking and eating', { kind: 'days', days: 5 }, chill),
    limit('date-marking', "the house's own use-by, with its reason", { kind: 'no number' }),
    limit(
      'raw-egg',
      'assurance scheme for vulnerable people, none for the severely immunocompromised',
      { kind: 'condition', needs: 'assured eggs' },
      { from: 'Food agency advice 2017' },
    ),
  ],
  offers: [],
}
