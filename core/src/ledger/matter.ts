import { DAY, type Instant } from '../ground/instant'
import type { Day } from '../ground/zone'
import type { Standing } from './standing'
import type { Hash, Id, Subject } from './subject'

/** What happens in a kitchen that no reading tells. */
export const INCIDENTS = [
  'animal',
  'child',
  'glass',
  'metal',
  'plastic',
  'shell',
  'chemical',
  'wrong allergen',
  'water in the food',
  'outside',
  'complaint',
  'other',
] as const
export type IncidentWhat = (typeof INCIDENTS)[number]

/** Something happened: to which batches and items; with neither, to the kitchen. */
export interface Incident {
  what: IncidentWhat
  note: string
  items: Id[]
  batches: Id[]
  /** Of a complaint, and of nothing else. */
  complaint?: Complaint
  /** Of a photo that the server keeps, by the SHA-256 of its bytes. */
  photo?: Hash
}

/** Somebody who ate it says that they fell ill, or what was wrong with it. No name, no diagnosis. */
export interface Complaint {
  eaten: Instant
  /** When the first of them fell ill; null: nobody did, or it is not known. */
  onset: Instant | null
  /** How many people. */
  people: number
}

/** What a matter is about: a batch that does not stand, a unit that was warm, and so on. */
export const MATTERS = ['batch', 'eggs', 'item', 'unit', 'instrument', 'round', 'list', 'fault', 'incident'] as const
export type MatterOf = (typeof MATTERS)[number]

/** A matter is closed: what was done, why it came about, and what stops it next time. */
export interface MatterClosed {
  of: MatterOf
  /** Of what: the batch, item, unit or instrument; the kitchen, of a round and of what happened to no batch. */
  subject: Subject
  /** When it began: of two of one cause another one each. */
  since: Instant
  action: string
  why: string
  prevents: string
}

/** A day as it is signed: how each of its batches stood then, as core found it. */
export interface DaySigned {
  day: Day
  batches: { id: Id; standing: Standing }[]
  core: string
}

/** At most so many batches are signed with a day. */
export const SIGNED_AT_ONCE = 500

/** A day is signed within so long of its end, ms: later nobody knows it well enough, and who looks at it signs nothing. */
export const SIGNED_WITHIN = 31 * DAY
