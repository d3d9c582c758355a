import { MINUTE } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { Source, Variance } from './source'

/** A clock of two times twelve hours, or of twenty-four. */
export type ClockHours = 12 | 24

/** Whose cups, spoons and pints amounts are written in. */
export const MEASURE_SYSTEMS = ['metric', 'US', 'UK'] as const

export type MeasureSystem = (typeof MEASURE_SYSTEMS)[number]

/** Nothing, what needs the cold, or all that goes in. */
export const LOTS_ASKED = ['nothing', 'needs cold', 'everything'] as const

export type LotsAsked = (typeof LOTS_ASKED)[number]

/** How the house works beside its limits: versioned and signed with them. */
export interface Practice {
  /** It serves highly susceptible people: no raw egg, and pasteurized egg wherever more than one is combined. */
  susceptible: boolean
  /** After the boundary from raw to cooked the next step waits for hands, cloth and tools to be clean. */
  cleanFirst: boolean
  /** Minutes between cold and hot on the way up, or resting in infusion, after which a note is asked for. */
  warmMinutes: number
  /** Minutes from the heat to the guest, for what is served at once. */
  serveMinutes: number
  /** How often a proven batch may be melted or baked again. */
  rewarmings: number
  /** It cooks and chills by the cook-chill guideline, where the rule set prints its line. */
  cookChill: boolean
  /** Two good looks at a unit no further apart than this leave nothing unseen: a night, hours. */
  nightHours: number
  /** When every unit is looked at, on the kitchen's clock, 'HH:MM', in order. */
  rounds: string[]
  /** When the list of what ends at midnight is shown, 'HH:MM'. */
  closing: string
  /** How it writes a time of day. Left out: on a 24 h clock. */
  clock?: ClockHours
  /** Whose measures recipes are written in. Left out: metric. */
  measures?: MeasureSystem
  /** Of which of the things that a step takes the lot is asked. Left out: of nothing; it can be named. */
  lots?: LotsAsked
  /** Who lets their own late entry count needs the PIN of somebody else beside theirs. Left out: they do not. */
  secondPin?: boolean
  /** A shift that nobody touched for so many minutes locks. Left out: it stays open until it ends. */
  idleMinutes?: number
  /** For how many months a name stays with what its person entered. Left out: `USUAL_MONTHS_KEPT`. */
  monthsKept?: number
  /** Whose last day passes on to what they go into: ready-to-eat parts, or every part. */
  partsPassOn: 'ready to eat' | 'every part'
  /** An opened package of no printed limit is kept so many days, the day of opening being day 1. */
  openedDays: number
  /** Hot food is served within this, hours. */
  hotHours: number
  /** A freezer's air stays at or under this, °C. No rule set here prints one: food has to stay hard. */
  freezerAir: number
  /**
   * Where the authority allows it: days in the frost of what was frozen before its use-by, then a day after thawing. null:
   * the use-by binds, frozen or not.
   */
  frozenUseBy: number | null
  /** For how many days a bake that the lead validated holds, before it is shown again. */
  bakeDays: number
  /** How many days it keeps what holds frozen fruit that nobody treated and nothing boiled. */
  fruitDays: number
  permits: Permits
}

/** Written permissions for what the rule set does not allow of itself. */
export interface Permits {
  /** Eggs heated in this kitchen count as pasteurized. */
  heatedEggs: Variance | null
  /** A written hazard plan for susceptible people. */
  susceptiblePlan: Variance | null
  /** Hermetically packed and filled after the kill: the table for packaged food. */
  packagedAcidity: Variance | null
}

export const PERMITS = ['heatedEggs', 'susceptiblePlan', 'packagedAcidity'] as const

/** House defaults, each to be changed by the lead. */
export const PRACTICE: Practice = {
  susceptible: false,
  cleanFirst: false,
  warmMinutes: 30,
  serveMinutes: 20,
  rewarmings: 1,
  cookChill: false,
  nightHours: 12,
  rounds: ['07:30', '14:00', '21:00'],
  closing: '22:00',
  idleMinutes: 60,
  partsPassOn: 'ready to eat',
  openedDays: 3,
  hotHours: 4,
  freezerAir: -12,
  frozenUseBy: null,
  bakeDays: 180,
  fruitDays: 3,
  permits: { heatedEggs: null, susceptiblePlan: null, packagedAcidity: null },
}

/** Hands at a pot touch no tablet: while one is on the heat a shift never locks sooner, ms. */
const WHILE_ON_HEAT = 30 * MINUTE

/** After how long without a touch a shift locks, ms; null: never by itself. What was logged stays on the screen. */
export function locksAfter({ idleMinutes }: Pick<Practice, 'idleMinutes'>, potOnHeat: boolean): number | null {
  if (idleMinutes === undefined) return null
  return potOnHeat ? Math.max(idleMinutes * MINUTE, WHILE_ON_HEAT) : idleMinutes * MINUTE
}

/** Whether a permission holds on a day: it ends with its last. */
export function permitted(variance: Variance | null, day: Day): boolean {
  return variance !== null && day <= variance.validUntil
}

/** How the house works as a source: where a rule set prints no number of its own. */
export function practiceSource(section: string, { version }: { version: number }): Source {
  return { document: 'House practice', section, edition: `limits version ${version}`, confidence: 'medium' }
}
