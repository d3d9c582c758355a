import type { Procedure } from '../method/method'
import { VALIDATED_CORE } from './signed'
import { families } from '../method/families'
import type { Source } from '../../rules/source'
import type { Limit, LimitSet } from '../../rules/limit'

/** What a method brings with it, beside the rule set. House defaults, each saying so. */

const houseDefault = (section: string): Source => ({
  document: 'House default',
  section,
  edition: '1',
  confidence: 'medium',
})

/** Above it the dessert spoils: quality. The method's own, else the family's; some have none. */
export function ceilingOf(method: Procedure): Limit[] {
  const level = method.ceiling ?? families[method.family].ceiling
  if (!level) return []
  const source: Source = method.ceiling
    ? { document: method.name, section: 'ceiling', edition: `version ${method.version}`, confidence: 'high' }
    : houseDefault(families[method.family].name)
  return [
    {
      key: 'ceiling',
      origin: 'method',
      rule: { kind: 'stay', side: 'under', level, grace: null },
      force: 'quality',
      source,
    },
  ]
}

/** Starch is boiled for a minute, read twice, so that its amylase is dead and the cream does not thin: quality. */
export function boilOutOf(): Limit {
  return {
    key: 'boil-out',
    origin: 'method',
    rule: { kind: 'hold', rows: [{ at: { c: 95, f: 203 }, seconds: 60 }] },
    force: 'quality',
    source: houseDefault('starch and amylase, at sea level'),
  }
}

/** Read so in the middle, a bake may be one of those that validate it: quality, for the egg rows are the floor. */
export function bakeCoreOf(): Limit {
  return {
    key: 'bake-core',
    origin: 'method',
    rule: { kind: 'hold', rows: [{ at: VALIDATED_CORE, seconds: 0 }] },
    force: 'quality',
    source: houseDefault('a bake that validates'),
  }
}

/** Frozen fruit that no supplier treated is boiled for a minute: a virus is not seen. */
export function fruitBoilOf(): Limit {
  return {
    key: 'fruit-boil',
    origin: 'method',
    rule: { kind: 'hold', rows: [{ at: { c: 95, f: 203 }, seconds: 60 }] },
    force: 'house',
    source: houseDefault('untreated frozen fruit'),
  }
}

/** Frozen fruit that nobody treated and nothing boils is kept for the house's days: the cold kills no virus. */
export function fruitDaysOf({ practice, version }: LimitSet): Limit {
  return {
    key: 'fruit-days',
    origin: 'method',
    rule: { kind: 'days', days: practice.fruitDays },
    force: 'house',
    source: { ...houseDefault('untreated frozen fruit, not boiled'), edition: `version ${version}` },
  }
}

/** Raw egg is kept for a day from when it was combined: what the rule set says, else the house. */
export function rawHoursOf(printed: Limit[]): Limit[] {
  if (printed.length) return printed
  return [
    {
      key: 'raw-class',
      origin: 'method',
      rule: { kind: 'hours', hours: 24, under: null },
      force: 'house',
      source: houseDefault('raw class, from combining'),
    },
  ]
}

/** Egg that no step heats is from a pasteurized lot: by the rule set's own line where it prints one, else the house's. */
export function eggLotOf([printed]: Limit[]): Limit {
  const rule = { kind: 'egg lot' as const }
  return printed
    ? { ...printed, rule }
    : { key: 'pasteurized-egg', origin: 'method', rule, force: 'house', source: houseDefault('egg that no step heats') }
}

/**
 * Melted again without getting hot, it is back in the cold in time: as long as the rule set gives what is made at room
 * temperature, counted from when it went into the warmth; a house default where it prints none.
 */
export function rewarmedOf(ambient: Limit[], cold: Limit[]): Limit[] {
  const printed = ambient.find(({ rule }) => rule.kind === 'reach')
  const [level] = cold.flatMap(({ rule }) => (rule.kind === 'stay' ? [rule.level] : []))
  const to = printed?.rule.kind === 'reach' ? printed.rule.to : level
  if (!to) return []
  const withinMinutes = printed?.rule.kind === 'reach' ? printed.rule.withinMinutes : REWARMED_MINUTES
  return [
    {
      key: 'rewarmed',
      origin: 'method',
      rule: { kind: 'reach', clock: 'event', to, direction: 'falling', withinMinutes },
      force: 'house',
      source: printed?.source ?? houseDefault('melted again, back to the cold'),
    },
  ]
}

const REWARMED_MINUTES = 120

/** Nothing heats it: from when it is put together to the guest, hours. A house rule, stricter than any printed time without cold. */
const UNHEATED_HOURS = 2

/**
 * What is served at once goes to the guest within minutes of the heat; what nothing heats, within two hours of being put
 * together. What is left then is thrown away.
 */
export function serveByOf({ practice, version }: LimitSet, heated: boolean): Limit {
  const told = heated ? 'minutes from the heat to the guest' : 'hours from putting it together to the guest'
  return {
    key: 'serve-by',
    origin: 'method',
    rule: { kind: 'hours', hours: heated ? practice.serveMinutes / 60 : UNHEATED_HOURS, under: null },
    force: 'house',
    source: { ...houseDefault(told), edition: `version ${version}` },
  }
}

export function houseDaysOf(method: Procedure): Limit {
  return {
    key: 'house-days',
    origin: 'method',
    rule: { kind: 'days', days: method.houseDays },
    force: 'house',
    source: { document: method.name, section: 'house days', edition: `version ${method.version}`, confidence: 'high' },
  }
}
