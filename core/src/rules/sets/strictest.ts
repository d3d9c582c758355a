import type { Limit, LimitKey, RuleSet } from '../limit'
import { anz322 } from './anz322'
import { caRetail } from './caRetail'
import { fr2009 } from './fr2009'
import { celsius, hold, limitsOf, MINUTES, stay } from './printed'
import { uk2013 } from './uk2013'
import { usFoodCode2022 } from './usFoodCode2022'

const KEY = 'strictest'
const limit = limitsOf(KEY, 'Strictest of the shipped sets', 'one rule everywhere')
const ALL = [usFoodCode2022, uk2013, anz322, caRetail, fr2009]
const COOLING: LimitKey[] = ['cool-first', 'cool-second', 'cool-total']
const AS_PRINTED: LimitKey[] = [
  'exposure',
  'time-control',
  'time-control-cold',
  'shell-egg-air',
  'received-cold',
  'raw-class',
  'advisory',
  'susceptible',
  'pasteurized-egg',
  'raw-egg',
  'thermometer',
  'acidity',
]

/** Each of these rows meets every set. */
const cook = hold([celsius(74), 2 * MINUTES], [celsius(75), 30], [celsius(80), 15])

/** For a house that wants one rule everywhere: what no single figure can say is the union of all, every one required. */
export const strictest: RuleSet = {
  key: KEY,
  name: 'Strictest of all',
  edition: '1',
  prints: 'C',
  unit: 'C',
  rawShellEgg: null,
  limits: [
    limit('egg-immediate', 'meets every set', cook),
    limit('egg', 'meets every set', cook),
    limit('reheat', 'meets every set', cook),
    ...every('reheat-time'),
    // A stage that follows another stands right after it.
    ...ALL.flatMap(({ limits }) => limits.filter(({ key }) => COOLING.includes(key))),
    ...every('cool-ambient'),
    limit('cold-holding', 'France, 2009', stay('under', celsius(3))),
    limit('hot-holding', 'England 2013, France 2009', stay('over', celsius(63))),
    limit('date-marking', 'the shortest of all', { kind: 'days', days: 4 }),
    ...AS_PRINTED.flatMap(every),
  ],
  offers: [],
}

function every(key: LimitKey): Limit[] {
  return ALL.flatMap(({ limits }) => limits.filter((each) => each.key === key && !each.alternative))
}
