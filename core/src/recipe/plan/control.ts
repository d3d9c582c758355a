import type { Limit, LimitKey } from '../../rules/limit'

/**
 * What can go wrong, as an inspector's table names it. Which hazard meets which kind of step: general principles of food
 * hygiene, CXC 1-1969 (2020 revision), and Food Code 2022, annexes 3 and 4.
 */
export const HAZARDS = [
  'survives',
  'spores grow',
  'grows',
  'grows in the cold',
  'toxin',
  'raw egg',
  'virus',
  'arrives warm',
  'misread',
  'allergen',
  'stale',
  'spoils',
] as const

export type Hazard = (typeof HAZARDS)[number]

/** Who looks at what, and when: every one is something this program asks for or keeps. */
export const WATCHED = [
  'in the middle',
  'at the boil',
  'by the bake',
  'to validate',
  'heating up',
  'cooling',
  'back to the cold',
  'same reading',
  'rounds',
  'kept hot',
  'moves',
  'closing',
  'clock',
  'lot',
  'menu',
  'in ice',
  'receiving',
  'label',
  'nobody',
] as const

export type Watched = (typeof WATCHED)[number]

/** What is done where it is not met, before anybody decides. */
export type Missed =
  | 'heat on'
  | 'bake on'
  | 'heat once more'
  | 'cool faster'
  | 'hold'
  | 'look at it'
  | 'hold what was in it'
  | 'use or bin'
  | 'bin'
  | 'hold the lot'
  | 'not sold'
  | 'off the bench'
  | 'turn back'
  | 'label anew'
  | 'house line'

/** The hazard that each limit stands against. */
const AGAINST: Record<LimitKey, Hazard> = {
  egg: 'survives',
  'egg-immediate': 'survives',
  'egg-guidance': 'survives',
  'dairy-hot': 'survives',
  microwave: 'survives',
  'no-egg': 'survives',
  'bake-core': 'survives',
  reheat: 'survives',
  rework: 'survives',
  'reheat-time': 'grows',
  'boil-out': 'spoils',
  ceiling: 'spoils',
  'fruit-boil': 'virus',
  'fruit-days': 'virus',
  'cool-first': 'spores grow',
  'cool-second': 'spores grow',
  'cool-total': 'spores grow',
  'chill-begin': 'spores grow',
  'chill-total': 'spores grow',
  'cool-ambient': 'grows',
  rewarmed: 'grows',
  'hot-holding': 'grows',
  'thaw-water': 'grows',
  acidity: 'grows',
  'acidity-packaged': 'grows',
  'cold-holding': 'grows in the cold',
  'date-marking': 'grows in the cold',
  'house-days': 'grows in the cold',
  'chill-holding': 'grows in the cold',
  'chill-warm': 'grows in the cold',
  'chill-days': 'grows in the cold',
  'opened-package': 'grows in the cold',
  'combined-parts': 'grows in the cold',
  freezing: 'grows in the cold',
  'over-limit': 'grows in the cold',
  exposure: 'toxin',
  'time-control': 'toxin',
  'time-control-cold': 'toxin',
  'serve-by': 'toxin',
  'raw-class': 'raw egg',
  'pasteurized-egg': 'raw egg',
  'raw-egg': 'raw egg',
  'egg-product': 'raw egg',
  advisory: 'raw egg',
  susceptible: 'raw egg',
  thermometer: 'misread',
  'air-thermometer': 'misread',
  records: 'misread',
  'received-cold': 'arrives warm',
  'received-milk': 'arrives warm',
  'shell-egg-air': 'arrives warm',
}

/** @param dry it is kept without cold: then its days are against going stale */
export function hazardOf({ key }: Pick<Limit, 'key'>, dry: boolean): Hazard {
  return dry && key === 'house-days' ? 'stale' : AGAINST[key]
}

const RECEIVED: readonly LimitKey[] = ['received-cold', 'received-milk', 'shell-egg-air']

/** @param baked a validated bake closes it as a reading does */
export function watchedAs({ key, rule }: Limit, baked: boolean): Watched {
  if (RECEIVED.includes(key)) return 'receiving'
  switch (rule.kind) {
    case 'hold':
      if (key === 'bake-core') return 'to validate'
      if (key === 'boil-out' || key === 'fruit-boil') return 'at the boil'
      return baked ? 'by the bake' : 'in the middle'
    case 'equivalent':
      return 'in the middle'
    case 'reach':
      if (rule.direction === 'rising') return 'heating up'
      return key === 'rewarmed' ? 'back to the cold' : 'cooling'
    case 'stay':
      if (key === 'ceiling') return 'same reading'
      return rule.side === 'under' ? 'rounds' : 'kept hot'
    case 'exposure':
      return 'moves'
    case 'days':
      return 'closing'
    case 'hours':
      return 'clock'
    case 'egg lot':
      return 'lot'
    case 'tolerance':
      return 'in ice'
    case 'condition':
      return 'menu'
    case 'no number':
    case 'acidity':
      return 'nobody'
  }
}

const ANSWERED: Record<Watched, Missed> = {
  'in the middle': 'heat on',
  'at the boil': 'heat on',
  'by the bake': 'bake on',
  'to validate': 'look at it',
  'heating up': 'hold',
  cooling: 'cool faster',
  'back to the cold': 'hold',
  'same reading': 'look at it',
  rounds: 'hold what was in it',
  'kept hot': 'hold',
  moves: 'use or bin',
  closing: 'bin',
  clock: 'bin',
  lot: 'hold the lot',
  menu: 'not sold',
  'in ice': 'off the bench',
  receiving: 'turn back',
  label: 'label anew',
  nobody: 'house line',
}

/**
 * @param rework it may be heated once more where it cools too slowly
 * @param baked its step is a bake
 */
export function answeredBy(
  watched: Watched,
  { key }: Pick<Limit, 'key'>,
  { rework, baked }: { rework: boolean; baked: boolean },
): Missed {
  if (watched === 'in the middle' && baked) return 'bake on'
  const first = key === 'cool-first' || key === 'cool-total'
  return watched === 'cooling' && first && rework ? 'heat once more' : ANSWERED[watched]
}
