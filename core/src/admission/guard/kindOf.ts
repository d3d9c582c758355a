import type { Actor, Id, Role, Subject, SubjectType } from '../../ledger/subject'
import type { Seal, Bodies, Claim, Kind, Resolved } from '../../ledger/entry'
import type { Known } from '../../ledger/late'
import type { BatchFacts } from '../../state/batch'
import type { NewItem } from '../../state/newItem'
import type { States, Read } from '../../state/state'
import type { Field } from '../../ground/field'
import type { Refusal } from './refusal'
import type { World } from '../../judgement/world'

/** What only the lead enters, with their PIN, or whoever decides for the lead. */
export const BY_THE_LEAD = { may: ['lead'], signed: true, delegable: true } as const

/** An entry of one kind as it is folded: its body brought up to today's version. */
export type EntryOf<K extends Kind> = Known & { claim: Claim<K> }

/** What a kind makes of a subject that it is the first entry about; what the fold adds itself is left out. */
export interface Begun extends Omit<States, 'batch' | 'item'> {
  batch: Omit<States['batch'], 'facts'>
  item: NewItem
}

/** All that is particular to one kind of entry. One file a kind, and one line in the register. */
export interface KindOf<K extends Kind> {
  kind: K
  /** Version of the body. */
  v: number
  /** A body of an older version as this one; without it there is no older one. */
  upcast?(body: Record<string, unknown>, v: number): Record<string, unknown>
  about: SubjectType
  /** Who may make it. */
  may: readonly Actor[]
  /** Needs the PIN of who makes it with the post. */
  signed: boolean
  /** Who entered what it lets count: somebody's own needs a second PIN, where the house asks for one. */
  letsCount?(claim: Claim<K>, read: Read): Id[]
  /** Whoever decides for the lead may make it too. */
  delegable?: true
  /** Whoever looks after people and tablets may make it too; `refuse` says how far. */
  administered?: true
  /** The body, checked field by field. Throws FieldError. */
  parse(body: Field): Bodies[K]
  /** The subjects whose state it changes. */
  writes(claim: Claim<K>): Subject[]
  /** Further subjects that `refuse` looks at. */
  reads(claim: Claim<K>): Subject[]
  /** Still further ones that only come to light once those are read. */
  readsThen?(claim: Claim<K>, read: Read, world: World): Subject[]
  /**
   * What of its body only core can work out: checks, terms, dates, what is inherited. What was sent is not taken for it:
   * where it differs, ours is sealed beside it and counts. Called once nothing refuses it; left out: nothing is.
   */
  derive?(claim: Claim<K>, read: Read, world: World): Partial<Bodies[K]>
  /** What the server finds out about it as it seals it; left out or null: nothing. */
  resolve?(claim: Claim<K>, read: Read, world: World): Resolved | null
  /** Why it cannot be taken as things stand, or null. */
  refuse(claim: Claim<K>, read: Read, world: World): Refusal | null
  /**
   * How long after it happened it may become known and still better something, ms; left out: it betters nothing. A house
   * rule: later than this it waits for the lead.
   */
  lateAfter?: number
  /**
   * Whether it is told at second hand, as what is copied from paper: somebody else looks on, with their PIN beside it, and
   * it waits for the lead however soon it is entered.
   */
  secondHand?(claim: Claim<K>): boolean
  /** What of it stays on its batch as a fact of its kind; left out: nothing does. */
  fact?: K extends keyof BatchFacts ? (claim: Claim<K>, seal: Seal | null) => BatchFacts[K] : never
  /** The subjects that it is the first entry about, as they begin; null: it begins none. */
  begins?: { [T in SubjectType]?: (entry: EntryOf<K>, id: Id) => Begun[T] | null }
  /** How it changes a subject that is there, beside its fact. */
  folds?: { [T in SubjectType]?: (state: States[T], entry: EntryOf<K>, id: Id) => States[T] }
}

/** The body itself is the fact. */
export const asEntered = <B>({ body }: { body: B }): B => body

export const EVERYONE_WHO_COOKS: readonly Role[] = ['cook', 'chef', 'lead']
