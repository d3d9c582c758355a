import type {
  Advice,
  BatchState,
  Decision,
  DiscardReason,
  Finding,
  Id,
  Instant,
  InstrumentState,
  ItemCard,
  ItemStanding,
  ItemState,
  KitchenState,
  Learned,
  LikelyCause,
  LimitsState,
  LoggedBatch,
  Lineage,
  LineageBar,
  LotState,
  Matter,
  MethodState,
  Member,
  MethodReview,
  NoticeWish,
  RaisedByDay,
  Role,
  RoundsWalked,
  Seal,
  SealedEntry,
  ShownBake,
  Standing,
  UnitCard,
  Unfit,
  UnitState,
  VesselState,
  Change,
  Trend,
  Day,
  TemperatureScale,
  TranscribedCooling,
} from '@logged-thermal/core'
import type { BatchRecord, Language, ListRecord } from '@logged-thermal/wording'
import type { LookBackAnswer } from './lookBackAnswer'

/** A change of a batch, with which batch it is of. */
export type Changed = Change & {
  batch: { id: Id; code: string; name: string; steps: BatchState['method']['steps'] }
}

/** A cooling out of an old log, as it stands under the limits of its day. */
export interface TranscribedRow extends TranscribedCooling {
  standing: 'missed' | 'unproven'
  /** The entry that brought it in, and the file. */
  entry: Id
  source: string
}

/**
 * What every route that answers JSON answers, by its name. `npm run openapi` makes the schemas of the OpenAPI document of
 * these types, so that a client can be generated; a route names its own by `@Answers`.
 */
export interface Answers {
  Login: LoginKitchen[]
  Account: { account: AccountAnswer | null }
  CodesPrepared: { uri: string; qr: string }
  CodesOn: { recovery: string[] }
  Group: { now: Instant; kitchens: GroupKitchen[] }
  PasswordGiven: { given: true }
  Shift: { shift: { kitchen: Id; person: Id; open: boolean } | null }
  Locked: { locked: true }
  Tablets: { tablets: Tablet[]; lockOuts: LockOut[] }
  PinChanged: { changed: true }
  PersonAdded: { id: Id }
  PersonChanged: { changed: true }
  KitchenNamed: { named: true }
  UnfitPeople: UnfitPeople
  Notices: NoticesAnswer
  Packets: { packets: PacketAnswer[] }
  PacketAsked: { id: Id }
  PacketCancelled: { cancelled: true }
  Record: BatchRecord
  List: ListRecord
  PhotoKept: { hash: string }
  EntryHash: { hash: string | null }
  Posted: { now: Instant; results: PostResult[] }
  Line: LineAnswer
  TracePiece: BatchState['facts']['reading-taken']
  Batch: { now: Instant; batch: BatchState; standing: Standing; findings: Finding[] }
  BatchEntries: { entries: SealedEntry[] }
  Log: LogAnswer
  /** The most urgent first; `more`: there are more batches than are looked at. */
  Matters: { now: Instant; seq: number; matters: Matter[]; more: boolean }
  Raised: RaisedByDay & { now: Instant; from: Instant; causes: LikelyCause[]; rounds: RoundsWalked }
  Week: { now: Instant; methods: MethodReview[]; more: boolean }
  Transcribed: { rows: TranscribedRow[]; counts: { missed: number; unproven: number }; more: boolean }
  Trends: { now: Instant; trend: Trend; more: boolean }
  Changes: {
    changes: Changed[]
    takenBack: { entry: SealedEntry; target: SealedEntry }[]
    names: Record<Id, string>
    more: boolean
  }
  LogEvents: { entries: SealedEntry[]; names: Record<Id, string>; more: boolean }
  LookBack: LookBackAnswer
  Bakes: { bakes: ShownBake[] }
  Learned: { learned: Record<string, Learned> }
  Store: { now: Instant; seq: number; units: UnitCard[]; items: ItemCard[] }
  DueToday: { now: Instant; due: Due[] }
  Barred: { bars: Record<Id, LineageBar> }
  Discarded: { totals: DiscardTotal[] }
  Found: { found: Found[] }
  Search: { items: ItemCard[] }
  Item: ItemAnswer
  Lineage: Lineage
  Calendar: { path: string }
  Clock: { now: Instant }
  Since: { now: Instant; entries: SealedEntry[]; more: boolean }
  Live: { live: true }
  Ready: Readiness
  Problem: ProblemDetails
}

/** Batches of a period that fit what is asked for, the latest first. */
export interface LogAnswer {
  now: Instant
  seq: number
  /** Of all that fit, how many stand how now. */
  counts: Record<Standing, number>
  batches: LoggedBatch[]
  /** There are more, which began before the last of these. */
  more: boolean
}

/** Who signed in with a password, and where they work. */
export interface AccountAnswer {
  name: string
  /** One-time codes are asked for beside the password. */
  codes: boolean
  kitchens: { id: Id; name: string; role: Role }[]
}

/** A kitchen beside others, by the batches of its last 30 days. */
export interface GroupKitchen {
  id: Id
  name: string
  batches: number
  /** Of those that are over or wait: by what the lead decided last. */
  decided: Record<Decision, number>
  /** Entered too late and let count by the lead. */
  lateAccepted: number
  /** Of those, accepted by whoever entered them. */
  bySamePerson: number
}

export interface Readiness {
  ready: boolean
  parts: ReadyPart[]
}

export interface ReadyPart {
  part: 'reading' | 'writing' | 'queue' | 'logbook' | 'disk'
  ok: boolean
  /** How long it took to answer. */
  ms: number
  why?: string
}

/** All that a tablet needs to show the Line and go on by itself: facts as of entry `seq`. */
export interface LineAnswer {
  seq: number
  kitchen: { id: Id; name: string; address: string | null; zone: string; unit: 'C' | 'F' }
  people: (Omit<Member, 'role'> & { name: string; role: Role | null; job: string; digits: number })[]
  /** Codes of batches that were given already. */
  codes: string[]
  handover: KitchenState['handover'] | null
  deputies: KitchenState['deputies']
  week: KitchenState['week']
  /** Who may do what, as the logbook says; null: it does not say yet. */
  roles: KitchenState['people']
  restored: KitchenState['restored']
  tools: KitchenState['tools']
  ingredients: KitchenState['ingredients']
  signedDays: KitchenState['signedDays']
  lists: KitchenState['lists']
  listsDone: KitchenState['listsDone']
  traceTries: KitchenState['traceTries']
  samples: KitchenState['samples']
  /** null: the kitchen has none yet. */
  limits: LimitsState | null
  methods: MethodState[]
  instruments: InstrumentState[]
  batches: BatchState[]
  /** Readings that come before those in `batches`, where there are very many. */
  traces: TraceApart[]
  lots: LotState[]
  vessels: VesselState[]
  units: UnitState[]
  items: ItemState[]
}

/** Where the first readings of a batch are: pieces in their order, each at /api/line/traces/ and its hash. */
export interface TraceApart {
  batch: Id
  pieces: string[]
}

/** One item, held or gone, with the batch and the lots it was made of. */
export interface ItemAnswer {
  now: Instant
  item: ItemState
  standing: ItemStanding
  /** What it was made of and is held by. */
  bar: LineageBar | null
  batch: { state: BatchState; standing: Standing; cleared: boolean } | null
  lots: LotState[]
}

/**
 * A kitchen with those who may open a shift in it. On a tablet that belongs to none the ids are handles that only the
 * login takes, and what somebody does there and how long a PIN is stays untold.
 */
export interface LoginKitchen {
  id: string
  name: string
  people: { id: string; name: string; job: string | null; digits: number | null }[]
}

/** A shared tablet that the lead enrolled. */
export interface Tablet {
  id: Id
  name: string
  enrolledAt: Instant
  seenAt: Instant | null
  /** The one that asks. */
  here: boolean
}

/** Somebody's name was locked after wrong PINs: on a tablet of the kitchen, or elsewhere. */
export interface LockOut {
  at: Instant
  until: Instant
  person: string
  tablet: string | null
  wrong: number
}

/** An item that goes or is asked about, in short. */
export interface Due extends Pick<ItemStanding, 'asks' | 'why' | 'until' | 'daysLeft'> {
  item: ItemCard
  advice: Pick<Advice, 'kind' | 'by' | 'time' | 'source'>
}

/** Something with a code: an item, a batch or a lot. */
export interface Found {
  type: 'item' | 'batch' | 'lot'
  id: Id
  code: string
  name: string
  /** It is still held, or goes on. */
  live: boolean
}

/** What was thrown away for a reason: how many, and what they weighed (g) and cost (cents) as far as that is known. */
export interface DiscardTotal {
  reason: DiscardReason
  items: number
  grams: number
  cost: number
}

export type PostResult =
  | { id: Id | null; outcome: 'accepted' | 'already there'; seal: Seal }
  | { id: Id | null; outcome: 'refused'; status: number; code: string; field: string; sentence: string }

/** A failure, as RFC 9457 problem details. */
export interface ProblemDetails {
  /** urn:logged-thermal:problem:… */
  type: string
  /** The code of it. */
  title: string
  status: number
  /** A sentence for a person. */
  detail: string
  field?: string
}

/** Who is not fit to work with food, and who was: for the lead alone. */
export interface UnfitPeople {
  now: Instant
  /** The latest first. */
  people: UnfitPerson[]
}

export interface UnfitPerson extends Unfit {
  id: Id
  person: Id
  toldAt: Instant
  toldBy: Id
  /** Back with open food; null: not yet. */
  back: { at: Instant; by: Id; papers: string; covered: boolean } | null
  /** What they entered something about from the onset on, until they were back. */
  handled: Handled[]
}

/** A batch or a thing in the store that somebody had in hand. */
export interface Handled {
  type: 'batch' | 'item'
  id: Id
  code: string
  name: string
  first: Instant
  last: Instant
  /** Whether a heat that its limits ask for is proven after the last of it. */
  heatedAfter: boolean
  /** A batch: what of it is still held, each by its name and code. */
  left: { id: Id; code: string; name: string }[]
}

/** Who is told of what waits, by e-mail. */
/** A packet of records that was asked for. */
export interface PacketAnswer {
  id: Id
  askedBy: Id
  askedAt: Instant
  fromDay: Day
  toDay: Day
  scale: TemperatureScale
  language: Language
  state: 'waits' | 'made' | 'ready' | 'failed' | 'cancelled' | 'gone'
  /** Of its pieces, how many are made. */
  done: number
  of: number
  bytes: number | null
  /** Why it could not be made. */
  said: string | null
  keptUntil: Instant
}

export interface NoticesAnswer {
  /** Whether the installation names a mail server. */
  canSend: boolean
  on: boolean
  /** null: off, or not for who asks. */
  wish: (NoticeWish & { to: string; since: Instant }) | null
  /** The last letters that went out, the latest first. */
  sent: { name: string; at: Instant }[]
  /** What waits, is sent now, or was given up. */
  jobs: {
    name: string
    state: 'created' | 'retry' | 'active' | 'failed'
    tries: number
    /** When it is tried next, or was given up. */
    at: Instant
    said: string | null
  }[]
}
