import type { Instant } from '../calendar/instant'
import type { Day } from '../calendar/zone'
import type { AcidityMeasure } from '../acidity/acidity'
import type { EggPart, EggSize } from '../egg/eggGrams'
import type { LotForm } from '../egg/eggPlan'
import type { Amount } from '../method/method'
import type { Terms } from '../method/terms'
import type { Place } from '../cooling/place'
import type { Allergen } from '../ingredient/ingredient'
import type { DietClaim } from '../method/facts'
import type { Dating } from '../store/dating'
import type { Measure } from '../store/measure'
import type { ReceivingVerdict } from '../store/receiving'
import type { HoldingKind } from '../store/unitKind'
import type { Bounded } from '../trace/reading'
import type { Check } from '../limits/checksFor'
import type { Force, LimitSet } from '../limits/limit'
import type { Edge } from '../limits/rule'
import type { Method, Of, Procedure, Vessel } from '../method/method'
import type { RegisteredVessel, Vessel as PouredInto } from '../vessel/vessel'
import type { Typed } from '../quantity/temperature'
import type { Where } from '../trace/reading'
import type { Standing } from '../verdict/standing'

/** A UUID, made where the thing was made. */
export type Id = string
/** SHA-256, lower-case hexadecimal. */
export type Hash = string

export type SubjectType = 'kitchen' | 'limits' | 'method' | 'batch' | 'instrument' | 'lot' | 'item' | 'vessel' | 'unit'

export interface Subject {
  type: SubjectType
  id: Id
}

export type Role = 'cook' | 'chef' | 'lead' | 'inspector'

export type InstrumentKind = 'probe' | 'infrared' | 'display'

/** What the lead decides for a batch: hold and discard whatever the standings, release and rework where they allow it. */
export type Decision = 'release' | 'hold' | 'rework' | 'discard'

/** A decision, with the standings that the lead saw and the version of core that found them. */
export interface Disposition {
  decision: Decision
  reason: string
  findings: { check: string; force: Force; standing: Standing }[]
  core: string
}

/** What a cook did otherwise than the method says. */
export interface Deviation {
  step: string
  said: string
}

/** A moment of churning, with its temperature where it was read. */
export interface Churning {
  step: string
  moment: 'going in' | 'start' | 'end' | 'draw'
  typed: Typed | null
}

/** A remark, or how it looks, sounds and moves. It moves no standing. */
export interface Note {
  text: string
  cue: string | null
}

/** Eggs that went into a batch at a step: cracked from their shells, or poured from a carton. */
export interface EggsTaken {
  step: string
  lot: Id
  /** As the lot is: what was known when they were taken. */
  form: LotForm
  as: EggPart | 'separated'
  /** Good ones; null where they were poured. */
  cracked: number | null
  rejected: number
  /** Weighed, by part; what is not weighed is reckoned from the count. */
  grams: Partial<Record<EggPart, number>>
  size: EggSize
}

/** Part of an egg that a batch did not use: kept with a date, or thrown away, never just gone. */
export interface LeftOver {
  batch: Id
  code: string
  part: EggPart
  grams: number
  then: 'kept' | 'discarded'
  /** When the eggs were first opened, from which lots, and whether all of those were pasteurized. */
  made: Instant
  lots: Id[]
  heat: LotForm
  /** The use-bys of those lots, which it never passes. */
  useBys: { name: string; lastDay: Day }[]
  /** Where it is kept; null: not said. */
  spot: Spot | null
}

/** Something that went in after the kill, or into the pot on the heat. */
export interface Addition {
  step: string
  /** Key of the catalogue. */
  ingredient: string
  grams: number | null
  state: Amount['state']
  /** As written on the package; null where nobody looked. */
  lot: string | null
}

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
  /** null: its own display. */
  instrument: Id | null
  /** Why the air is not what the food is. */
  noted: 'door open' | 'defrost' | null
}

/** What an item says of itself: on its label and in the register. */
export interface ItemFacts {
  allergens: Allergen[]
  claims: DietClaim[]
  /** Holds raw or undercooked egg: the guest is told. */
  advisory: boolean
  heat: HeatStatus
  /** Spoils without temperature control. */
  needsCold: boolean
  /** Parts of which nothing is known: nothing is claimed. */
  unknown: string[]
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
  condition: { good: boolean; why: string | null } | null
  part: Part
}

/** Some of an item went to people. */
export interface ItemUse {
  measure: Measure
  then: 'sold' | 'served' | 'tasted'
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
  ingredient: string | null
  moves: ({ at: Instant } & Moved)[]
  opened: Instant[]
  readings: { at: Instant; typed: Typed; instrument: Id | null }[]
  holds: { at: Instant; held: boolean; reason: string; recall: boolean }[]
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

/** Where it stands to cool, and what the unit's air was as it went in. */
export interface Placement {
  place: Place
  unit: Id | null
  air: Typed | null
}

/** Into what it was poured: pans alike, each filled so deep, m. */
export interface Pouring {
  vessel: PouredInto & { id: Id }
  pans: number
  depth: number
}

/** How it is meant to cool. */
export interface CoolingPlan extends Pouring {
  place: Place
  cover: Cover
}

export type Cover = 'open' | 'film on the surface' | 'lid'

/** A lot as it came. */
export interface LotReceived {
  code: string
  /** Key of the catalogue; null for a bought component. */
  ingredient: string | null
  /** What it is called: the ingredient's name, or the bought component's. */
  name: string
  form: LotForm | null
  size: EggSize | null
  supplier: string
  useBy: Day | null
  /** For a pasteurized lot: the maker's word, or the variance under which it was heated here. */
  pasteurized: { by: 'maker'; certificate: string } | { by: 'this kitchen'; limits: Id } | null
  /** What the eggs are assured by; null: none that is known. */
  scheme: string | null
  /** What was done to frozen fruit against viruses; null: nothing that is known. */
  treatment: string | null
  /** By a probe between the packs, or in one; null: not read. */
  received: { typed: Typed; instrument: Id | null } | null
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

/** A method as a batch keeps it: the version it was made by. */
export interface MethodRef extends Procedure {
  id: Id
}

export interface ReadingBody {
  typed: Typed
  where: Where
  of: Of
  /** null: taken without an instrument, which proves nothing. */
  instrument: Id | null
  /** Which pan, '1' on, after it was split; left out before, and where nobody said. */
  portion?: string
}

/** The closed union of what can be entered, one line a kind; each kind's file says what it means. */
export interface Bodies {
  'limits-set': { set: LimitSet }
  'method-saved': { method: Method }
  'method-approved': { version: number; limits: Id; components: Id[] }
  'instrument-registered': { code: string; kind: InstrumentKind }
  'batch-started': {
    code: string
    method: MethodRef
    limits: { id: Id; version: number }
    checks: Check[]
    vessel: Vessel
    /** How many times over the method is made. */
    factor: number
    terms: Terms
  }
  'step-marked': { step: string; edge: Edge; reason: string | null }
  'step-deviated': Deviation
  churned: Churning
  'reading-taken': ReadingBody
  corrected: { target: Id; reason: CorrectionReason; now: Correction }
  noted: Note
  'reading-accepted': { target: Id; reason: string }
  disposed: Disposition
  'lot-received': LotReceived
  'eggs-taken': EggsTaken
  'left-over': LeftOver
  'item-discarded': ItemDiscarded
  portioned: Portioned
  'item-moved': Moved
  'item-opened': Record<string, never>
  'item-split': ItemSplit
  'part-used': PartUsed
  'item-used': ItemUse
  'item-read': { typed: Typed; instrument: Id | null }
  'item-held': { reason: string }
  'item-released': { reason: string }
  'item-found': { code: string; name: string; measure: Measure } & Spot
  'label-printed': { copies: number }
  /** A mistaken tap, within minutes. `also`: the batch or item that it had changed too. */
  'taken-back': { target: Id; also: Subject | null }
  /** `item`: what is held of it, which goes on with it. */
  'lot-decided': { verdict: 'accept' | 'refuse'; reason: string; item: Id | null }
  recalled: { items: Id[]; batches: Id[]; reason: string; drill: boolean }
  'recall-ended': { items: Id[]; batches: Id[]; reason: string }
  'unit-read': UnitReading
  'unit-skipped': { reason: string }
  'air-taken-back': { target: Id }
  added: Addition
  /** Hands, cloth, sieve and spatula clean, probe wiped: at the boundary from raw to cooked. */
  cleaned: { step: string }
  covered: { cover: Cover }
  placed: Placement
  stirred: Record<string, never>
  poured: Pouring
  /** Proven and cold, it went into the warmth again. */
  rewarmed: { how: 'melted again' | 'baked again' | 'warmed again' }
  'cooling-planned': CoolingPlan
  'vessel-registered': RegisteredVessel
  'unit-registered': ColdUnit
  /** asked null: nobody is there. */
  'handed-over': { asked: Id | null; from: Instant; until: Instant }
  delegated: { to: Id | null; until: Instant }
  'acidity-measured': AcidityMeasure
  /** Served at once; what was left went to discard. */
  served: { discarded: number | null }
}

export type CorrectionReason = 'undo' | 'mistyped' | 'wrong pot' | 'touched the pan' | 'other'

/** What stands instead: nothing, or other values; `batch` when the reading was another batch's. */
export type Correction = 'void' | { at: Instant; reading: ReadingBody; batch: Id | null }

export type Kind = keyof Bodies

/** What somebody says happened. Everything in it is theirs; the server adds only the seal. */
export interface Claim<K extends Kind = Kind> {
  id: Id
  kitchen: Id
  kind: K
  v: number
  about: Subject
  /** When it happened. */
  at: Instant
  /** When it was entered. */
  madeAt: Instant
  by: Id
  device: Id
  body: Bodies[K]
}

/** A claim of any one kind, told apart by `kind`. */
export type AnyClaim = { [K in Kind]: Claim<K> }[Kind]

/** What the server adds: the place in the chain. hash = SHA-256 of canonical({ claim, seal less hash }). */
export interface Seal {
  seq: number
  recordedAt: Instant
  /** Minutes the kitchen's wall clock was ahead of UTC when it was recorded. */
  offsetMinutes: number
  postedBy: Id
  prev: Hash
  hash: Hash
}

/** seal null: still on the tablet, not yet recorded. */
export interface Entry {
  claim: AnyClaim
  seal: Seal | null
}

export interface SealedEntry {
  claim: AnyClaim
  seal: Seal
}
