import type { PassedWall, Dating } from './dating'
import type { Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { EggPart, EggSize } from '../recipe/ingredient/eggGrams'
import type { LotForm } from '../recipe/egg/eggPlan'
import type { Allergen, Ingredient } from '../recipe/ingredient/ingredient'
import type { ListedIngredient } from '../recipe/ingredient/listed'
import type { DietClaim } from '../recipe/method/facts'
import type { Measure } from '../ground/measure'
import type { HoldingKind } from '../recipe/checks/unitKind'
import type { Bounded } from '../physics/trace/reading'
import type { Typed } from '../ground/temperature'
import type { ReadBy } from './instrumentEntries'
import type { Id, Subject } from './subject'
import type { ToolUntold, Traces } from './tool'

/** A unit of the kitchen that things are held in. */
export interface ColdUnit {
  name: string
  kind: HoldingKind
  /** How much heat it takes out, W, as stated on it; null where nobody knows. */
  watts: number | null
  /** Numbered from the top. */
  shelves: number
  /** Litres it holds; null where nobody knows. */
  litres: number | null
}

/** What a unit's air was: read off its display, or by a probe that stays in it. */
export interface UnitReading {
  typed: Typed
  /** null: its own display, which is not registered. */
  instrument: Id | null
  /** What stood behind that instrument, as core knew it. */
  readBy?: ReadBy
  /** Why the air is not what the food is. */
  noted: 'door open' | 'defrost' | null
}

/** What an item says of itself: on its label and in the register. */
export interface ItemFacts {
  allergens: Allergen[]
  claims: DietClaim[]
  /** Holds raw or undercooked egg: the guest is told. */
  advisory: boolean
  /** Holds frozen fruit that nobody treated and nothing boiled: a note of its own, never the word for egg. */
  untreatedFruit?: true
  heat: HeatStatus
  /** Raw because its method and the rule set allow it so, and nothing else in it is raw. Left out: it is not, or nobody can say. */
  meantRaw?: true
  /** What went in has alcohol: its share of the volume, null where that is not known. Left out: none. */
  alcohol?: { byVolume: number | null }
  /** Spoils without temperature control. */
  needsCold: boolean
  /** Parts of which nothing is known: nothing is claimed. */
  unknown: string[]
  /** What a tool brought along from what went through it before, and is not in it. Left out: nothing. */
  mayContain?: Traces
  /** All that is in it, the most of it first. Left out: it was made before this was kept, or came ready. */
  ingredients?: ListedIngredient[]
}

/** What heat did to it: proven by a floor, pasteurized by its maker, raw, or nothing that asks for heat. */
export type HeatStatus = 'cooked' | 'pasteurized' | 'raw' | 'no heat asked'

/** Where an item is put: a unit and its shelf. null: on the bench, out of the cold. */
export interface Spot {
  unit: Id | null
  shelf: number | null
}

/** Some of a batch put away as an item of its own. */
export interface Portioned extends Spot {
  /** Steps that went through a tool and nobody told which; left out: none. */
  untold?: ToolUntold[]
  batch: Id
  batchCode: string
  method: Id
  code: string
  name: string
  as: 'portion' | 'trimmings' | 'strained residue'
  measure: Measure
  dating: Dating
  facts: ItemFacts
  /** Set or aged from then on; null: at once. Not when it is safe. */
  ready: Instant | null
  /** First read under the cold limit; null: not yet. */
  coldAt: Instant | null
  /** Time out of the cold while it was put together, ms. */
  carried: Bounded
  /** Nothing of the batch is left elsewhere: it leaves the Line. */
  last: boolean
  /** Right into a freezer: its date clock stops there. Left out: it is not. */
  frozen?: true
}

export const MOVES = ['move', 'freeze', 'thaw', 'out', 'serve', 'hot'] as const
/** out: on the bench, and back. serve: time is its only control, and it never goes back. hot: into a hot well. */
export type MoveHow = (typeof MOVES)[number]

export interface Moved extends Spot {
  how: MoveHow
}

/** What a part was when it went in: its date, its heat and its allergens go with it. */
export interface Part {
  item: Id
  code: string
  name: string
  lastDay: Day | null
  /** Usable before this instant; null: frozen or undated by itself. */
  until: Instant | null
  facts: ItemFacts
  /** Which part of an egg it is; null: none. */
  egg: EggPart | null
  /** Its time above its cold limit until it went in, ms. */
  carried: Bounded
  /** Ready to eat: made here, and not to be heated again. Older entries do not say. */
  ready?: boolean
  /** Every date of it, each as an instant with its kind: the frost stops days, and neither hours nor a use-by. */
  walls?: PassedWall[]
  /** The batches it was made of. */
  from?: Id[]
}

/** Some of an item went into a batch. */
export interface PartUsed {
  batch: Id
  step: string
  measure: Measure
  /** How warm it was, by a probe. */
  typed: Typed
  instrument: Id
  /** Poured warm on cold parts: the merged temperature is asked for. */
  warm: boolean
  /** Herbs, fruit and nuts are looked at again; null where there is nothing to see. */
  condition: Condition | null
  part: Part
  /** It is in already, whatever stood against it. */
  happened?: true
}

/** Some of an item went to people. */
export interface ItemUse {
  measure: Measure
  then: 'sold' | 'served' | 'tasted' | 'sample'
  /** Of a sample: of what by name and code, where it is kept and through which day; core finds all but the place. */
  sample?: { name: string; place: string; until: Day }
  /** It has happened, whatever stood against it. */
  happened?: true
}

/** Eggs out of a package, into a batch. */
export interface EggsOut {
  measure: Measure
  then: 'into a batch'
  happened?: true
}

/** Some of an item put onto another. */
export interface PutOn {
  measure: Measure
  then: 'onto an item'
  onto: Id
  happened?: true
}

/** To whom something leaves the kitchen: a care home, a hospital and a nursery are highly susceptible people. */
export const DISPATCHED_TO = ['customer', 'event', 'care home'] as const
export type DispatchedTo = (typeof DISPATCHED_TO)[number]

/** Some of an item left the kitchen, and never comes back into it. */
export interface Dispatched {
  measure: Measure
  then: 'dispatched'
  to: DispatchedTo
  /** Who gets it. */
  name: string
  /** How cold it left, by a probe; null: it needs no cold. */
  typed: Typed | null
  instrument: Id | null
  /** What it travels in: "insulated box 2, ice packs". */
  box: string
  /** null: it is fetched. */
  vehicle: string | null
  happened?: true
}

/** How warm something was as it arrived. */
export interface Arrived {
  /** The entry by which it left. */
  target: Id
  typed: Typed
  instrument: Id | null
  /** Over its cold limit: as core finds it. */
  warm: boolean
}

/** What something was made of. */
export interface Ancestor extends Subject {
  code: string
}

/** Some of an item becomes one of its own, with all that it was until then. */
export interface ItemSplit {
  into: Id
  code: string
  measure: Measure
  as: Inherited
}

/** What goes onto an item of the store: another item of it, as it was then, or a dry thing that nobody holds there. */
export type Topping = ToppingItem | ToppingFood

export interface ToppingItem {
  of: 'item'
  item: Id
  measure: Measure
  /** How warm it was, by a probe; null: it needs no cold. */
  typed: Typed | null
  instrument: Id | null
  /** Poured on warm, knowingly: how warm it is together is read after. */
  warm: boolean
  /** Frozen fruit that nobody treated, taken as it is, knowingly. */
  asItIs: boolean
  condition: Condition | null
  part: Part
}

export interface ToppingFood {
  of: 'food'
  ingredient: string
  own?: Ingredient
  /** A received lot; null: nobody said. */
  lot: Id | null
  grams: number | null
  condition: Condition | null
}

/** Some of an item is finished with a topping, a sauce, a glaze: an item of its own from then on. */
export interface ItemFinished extends ItemSplit {
  topping: Topping
  /** It is on already, whatever stood against it. */
  happened?: true
}

/** How something looked: good, or why not. */
export interface Condition {
  good: boolean
  why: string | null
}

/** Known too late to better anything, and when: left out for what was known in time. */
export interface Lateness {
  late?: true
  knownAt?: Instant
}

/** The time above its limit that something brought along as it was put on, ms. */
export interface Brought {
  at: Instant
  time: Bounded
}

/** What an item passes to what is split off it: what it is, and where it has been. */
export interface Inherited {
  name: string
  what: 'portion' | 'package' | 'by-product' | 'find'
  from: Ancestor[]
  made: Instant
  madeBy: Id
  cost: number | null
  dating: Dating
  facts: ItemFacts
  ready: Instant | null
  coldAt: Instant | null
  carried: Bounded
  /** Of what was put on it: left out where nothing was. */
  brought?: Brought[]
  ingredient: string | null
  moves: ({ at: Instant } & Moved & Lateness)[]
  opened: Instant[]
  readings: ({ at: Instant; typed: Typed; instrument: Id | null; readBy?: ReadBy } & Lateness)[]
  holds: { at: Instant; held: boolean; reason: string; recall: Id | null; answers?: string[] }[]
}

export const DISCARD_REASONS = [
  'past its day',
  'too warm',
  'time up',
  'not proven',
  'undated',
  'recalled',
  'damaged',
  'not kept',
  'left over',
  'other',
] as const
export type DiscardReason = (typeof DISCARD_REASONS)[number]

/** Into the bin: how much, why, what it weighed and what it cost, where that is known. */
export interface ItemDiscarded {
  reason: DiscardReason
  note: string | null
  measure: Measure | null
  grams: number | null
  /** In the smallest coin. */
  cost: number | null
}

/** A lot as it came. */
export interface LotReceived {
  code: string
  /** Key of the catalogue; null for a bought component. */
  ingredient: string | null
  /** One of the kitchen's own: `ingredient` is what it is most like, and its allergens are its own. */
  own?: Ingredient
  /** What it is called: the ingredient's name, or the bought component's. */
  name: string
  form: LotForm | null
  size: EggSize | null
  supplier: string
  useBy: Day | null
  /** What kind of date that is: a best-before is only noted. Left out: a use-by. */
  dateKind?: 'use-by' | 'best-before'
  /** For a pasteurized lot: the maker's word, or the variance under which it was heated here. */
  pasteurized: { by: 'maker'; certificate: string } | { by: 'this kitchen'; limits: Id } | null
  /** What the eggs are assured by; null: none that is known. */
  scheme: string | null
  /** What was done to frozen fruit against viruses; null: nothing that is known. */
  treatment: string | null
  /**
   * By a probe between the packs, or in one; null: not read. `atMost`: how warm it was let come in, °C; null: it
   * needs no cold; left out: nobody wrote it down then.
   */
  received: { typed: Typed; instrument: Id | null; readBy?: ReadBy; atMost?: number | null } | null
  /** How herbs, fruit and nuts looked; null: not looked at, or nothing to see. */
  condition: { good: boolean; why: string | null } | null
  /** What core makes of it, and what was done: never more than core allows. */
  verdict: ReceivingVerdict
  why: string | null
  /** Held as an item of its own; null: refused at the door, or not tracked. */
  held: LotHeld | null
}

/** A received lot as an item: in its package. */
export interface LotHeld extends Spot {
  item: Id
  /** The short code that people say; the lot's own stands beside it. */
  code: string
  measure: Measure
  /** Of the whole, in the smallest coin; null: not known. */
  cost: number | null
  dating: Dating
  facts: ItemFacts
}

/** accept: goes in. hold: kept apart until the lead decides. refuse: goes back with the driver. */
export type ReceivingVerdict = 'accept' | 'hold' | 'refuse'
