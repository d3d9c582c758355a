import type { Id, Hash, Subject } from './subject'
import type { Cover } from '../physics/cooling/faces'
import type { Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { EggPart, EggSize } from '../recipe/ingredient/eggGrams'
import type { LotForm } from '../recipe/egg/eggPlan'
import type { Ingredient } from '../recipe/ingredient/ingredient'
import type { Amount, Of } from '../recipe/method/method'
import type { Place } from '../physics/cooling/place'
import type { Force } from '../rules/limit'
import type { Vessel as PouredInto } from '../physics/cooling/vessel'
import type { Typed } from '../ground/temperature'
import type { Where } from '../physics/trace/reading'
import type { MadeAway } from './away'
import type { SourceFile } from './broughtIn'
import type { Contest } from './contest'
import type { Standing } from './standing'
import type { Reached } from './tool'
import type { Spot } from './storeEntries'
import type { ReadBy } from './instrumentEntries'

/** What the lead decides for a batch: hold and discard whatever the standings, release and rework where they allow it. */
export type Decision = 'release' | 'hold' | 'rework' | 'discard'

/** A decision, with the standings that the lead saw and the version of core that found them. */
export interface Disposition {
  decision: Decision
  reason: string
  findings: { check: string; force: Force; standing: Standing }[]
  core: string
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
  /** The package they were taken out of; null: none is held of the lot. */
  item: Id | null
  /** More than was thought to be left, and the carton is in the cook's hand: the stock was wrong, not the kind. */
  inHand?: true
  /** They are in already, whatever stood against them. */
  happened?: true
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
  /** Calendar days it may be kept, the day it was opened being day 1. */
  keepDays: number
}

/** Something that went in after the kill, or into the pot on the heat. */
export interface Addition {
  step: string
  /** Key of the catalogue, or of an ingredient of the house's own, which then stands beside it. */
  ingredient: string
  own?: Ingredient
  grams: number | null
  state: Amount['state']
  /** The received lot, or what is written on the package; null where nobody looked. */
  lot: string | null
  /** It is in already, whatever stood against it. */
  happened?: true
}

/** Into what it was poured: pans alike, each filled so deep, m. */
export interface Pouring {
  vessel: PouredInto & { id: Id }
  pans: number
  depth: number
  /** The pan that cools slowest, deepest or in the middle of the stack: read, it speaks for all. Left out: not said. */
  slowest?: string
}

/** How it is meant to cool. */
export interface CoolingPlan extends Pouring {
  place: Place
  cover: Cover
}

export interface ReadingBody {
  typed: Typed
  where: Where
  of: Of
  /** null: taken without an instrument, which proves nothing. */
  instrument: Id | null
  /** Which pan, '1' on, after it was split; left out before, and where nobody said. */
  portion?: string
  /** What stood behind it, as core knew: left out where there was no instrument, and before instruments were checked. */
  readBy?: ReadBy
  /** Copied from a sheet of paper: the picture of that sheet. Left out: typed as it was read. */
  paper?: Hash
  /** Out of a logger's file, with others under the one entry. Left out: typed by hand. */
  file?: SourceFile
  /** Since when the tablet had asked for it as it was taken; left out: nobody had. It moves no standing. */
  asked?: Instant
}

/**
 * The body of each kind of entry. Every kind declares its own in its own file, by declaration merging: here stand only those
 * that facts themselves are made of, corrected and accepted by.
 */
export interface Bodies {
  'reading-taken': ReadingBody
  /** `item`: the package that eggs taken back go back into; null for all else. */
  corrected: { target: Id; reason: CorrectionReason; now: Correction; item: Id | null }
  'reading-accepted': { target: Id; reason: string }
  'entries-accepted': { entries: Accepted[]; reason: string }
  'entries-refused': { entries: Accepted[]; reason: string }
}

/** An entry that was known too late, and of what it tells: a correction by its own id. */
export interface Accepted extends Subject {
  entry: Id
}

/** What was served at once, and how much of it was left. `happened`: it went out, whatever stood against it. */
export interface Served {
  discarded: number | null
  happened?: true
}

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
  /** Which run of the tablet's program made it, and as the how-manyeth: an order that no clock can change. */
  run?: Id
  runSeq?: number
  /** ms since that run began, by a clock that nobody sets. */
  monotonic?: number
  /** The number of the last entry that the tablet had heard of. */
  serverSeen?: number
  /** How far that tablet's own clock was ahead of the kitchen's, ms; left out: as good as right. Its times here are the kitchen's. */
  aheadMs?: number
}

/** A claim of any one kind, told apart by `kind`. */
export type AnyClaim = { [K in Kind]: Claim<K> }[Kind]

/** What the server adds: the place in the chain. hash = SHA-256 of canonical({ claim, seal less hash }). */
export interface Seal {
  seq: number
  recordedAt: Instant
  /** Minutes the kitchen's wall clock was ahead of UTC when it was recorded. */
  offsetMinutes: number
  /** The person whose shift it was. */
  postedBy: Id
  /** Which rules of lateness it is held to; older entries have none. */
  rules?: number
  /** The version of core that took it. */
  core?: string
  /** Whose PIN came with it. */
  signedBy?: Id
  /** Whose PIN came beside that, where the house asks for a second. */
  secondedBy?: Id
  /** Made while the server heard nothing of the tablet: from when to when, and when in between. Left out: it was recorded as it was made. */
  away?: MadeAway
  /** What the server found out about it: never the tablet's word. */
  resolved?: Resolved
  prev: Hash
  hash: Hash
}

/** What only the server can say of an entry, because it looks at what is on its shelves. */
export interface Resolved {
  /** Fields of the body that core works out, where what was sent was another: these count. */
  body?: Record<string, unknown>
  /** Egg that went in: pasteurized only out of a received lot that is. */
  egg?: LotForm
  /** Whether frozen fruit that went in as treated is of a received lot that its supplier treated. */
  treated?: boolean
  /** What stood in the lineage of an item as the lead released it: what that release answers for. */
  answers?: string[]
  /** What was put away before this was told, and lacks on its label what this brings. */
  reached?: Reached[]
  /** Nothing stood against it but what its tablet had not heard of. It moves nothing before the lead decides; `code`: why not. */
  contested?: { code: string; about: Subject[] }
  /** It was taken, maybe only as what has happened; it contradicts these, which its tablet had not heard of. */
  contests?: Contest
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

export type CorrectionReason = 'undo' | 'mistyped' | 'wrong pot' | 'touched the pan' | 'other'
