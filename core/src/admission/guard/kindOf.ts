import type { Role, Subject, SubjectType } from '../../ledger/subject'
import type { Bodies, Claim, Kind, Resolved } from '../../ledger/entry'
import type { Field } from '../../ground/field'
import type { Refusal } from './refusal'
import type { Read } from '../../state/state'
import type { World } from '../../judgement/world'

/** What only the lead enters, with their PIN, or whoever decides for the lead. */
export const BY_THE_LEAD = { may: ['lead'], signed: true, delegable: true } as const

/** All that is particular to one kind of entry. One file a kind. */
export interface KindOf<K extends Kind> {
  kind: K
  /** Version of the body. */
  v: number
  /** A body of an older version as this one; without it there is no older one. */
  raise?(body: Record<string, unknown>, v: number): Record<string, unknown>
  about: SubjectType
  /** Who may make it. */
  may: readonly Role[]
  /** Needs the PIN of who makes it with the post. */
  signed: boolean
  /** Whoever decides for the lead may make it too. */
  delegable?: true
  /** The body, checked field by field. Throws FieldError. */
  parse(body: Field): Bodies[K]
  /** The subjects whose state it changes. */
  touches(claim: Claim<K>): Subject[]
  /** Further subjects that `admit` looks at. */
  reads(claim: Claim<K>): Subject[]
  /** Still further ones that only come to light once those are read. */
  follows?(claim: Claim<K>, read: Read, world: World): Subject[]
  /** What the server finds out about it as it seals it; left out or null: nothing. */
  resolve?(claim: Claim<K>, read: Read, world: World): Resolved | null
  /** Why it cannot be taken as things stand, or null. */
  admit(claim: Claim<K>, read: Read, world: World): Refusal | null
}

export const EVERYONE_WHO_COOKS: readonly Role[] = ['cook', 'chef', 'lead']
