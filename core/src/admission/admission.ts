import { SECOND, type Instant } from '../ground/instant'
import type { Actor, Id } from '../ledger/subject'
import type { AnyClaim, Kind } from '../ledger/entry'
import { id, instant, number, object, oneOf, whole, type Field } from '../ground/field'
import type { Refusal } from './guard/refusal'
import { limitsAt } from '../rules/limitSet'
import { administers } from '../state/members'
import { decidesForLead, DEPUTIES } from '../state/signing'
import type { Read } from '../state/state'
import type { KindOf } from './guard/kindOf'
import { kindOf, kinds } from './kinds'

/** A claim further ahead of the server's clock than this is held with a question, ms. */
export const AHEAD_ALLOWED = 5 * SECOND

/** A claim as sent, checked field by field. Throws FieldError. */
export function parseClaim(raw: unknown): AnyClaim {
  const names = ['id', 'kitchen', 'kind', 'v', 'about', 'at', 'madeAt', 'by', 'device', 'body', ...OPTIONAL] as const
  const fields = object({ path: 'entry', value: raw }, names)
  const kind = kinds[oneOf(bare(fields.kind), Object.keys(kinds) as Kind[])] as KindOf<Kind>
  const about = object(bare(fields.about), ['type', 'id'])
  return {
    id: id(bare(fields.id)),
    kitchen: id(bare(fields.kitchen)),
    kind: kind.kind,
    v: kind.v,
    about: { type: oneOf(about.type, [kind.about]), id: id(about.id) },
    at: instant(bare(fields.at)),
    madeAt: instant(bare(fields.madeAt)),
    by: id(bare(fields.by)),
    device: id(bare(fields.device)),
    body: kind.parse(raisedBody(kind, bare(fields.body), whole(bare(fields.v), kind.upcast ? 1 : kind.v, kind.v))),
    ...given('run', fields.run, id),
    ...given('runSeq', fields.runSeq, (field) => whole(field, 0, Number.MAX_SAFE_INTEGER)),
    ...given('monotonic', fields.monotonic, (field) => number(field, 0, Number.MAX_SAFE_INTEGER)),
    ...given('serverSeen', fields.serverSeen, (field) => whole(field, 0, Number.MAX_SAFE_INTEGER)),
    ...given('aheadMs', fields.aheadMs, (field) => whole(field, -Number.MAX_SAFE_INTEGER, Number.MAX_SAFE_INTEGER)),
  } as AnyClaim
}

const OPTIONAL = ['run', 'runSeq', 'monotonic', 'serverSeen', 'aheadMs'] as const

/** A field that may be left out; then the claim is the very one that it was before there was such a field. */
function given<T>(name: string, field: Field, parse: (field: Field) => T): Record<string, T> {
  return field.value === undefined ? {} : { [name]: parse(bare(field)) }
}

function raisedBody(kind: KindOf<Kind>, body: Field, v: number): Field {
  const { value } = body
  if (v === kind.v || !kind.upcast || typeof value !== 'object' || value === null) return body
  return { ...body, value: kind.upcast(value as Record<string, unknown>, v) }
}

/** Who stands behind a claim, as the server knows it. */
export interface Author {
  kitchen: Id
  /** The role of the person named in `by`; null when there is no such person here. */
  role: Actor | null
  /** That person's PIN came with the post and was right. */
  signed: boolean
  /** The PIN of somebody else who works here came beside it and was right. */
  seconded?: boolean
  /** Whose shift it is posted from; left out: that person's own. */
  postedBy?: { id: Id; role: Actor | null }
  now: Instant
  /** When the entry was made, as far as the server can tell; left out: now. */
  entered?: Instant
  /** IANA zone of the kitchen. */
  zone: string
  /** The kitchen's limits. */
  limits: Id
  /** How far the tablet's clock is ahead of ours, ms. */
  clockAheadMs: number
}

/** Why a claim cannot be taken as things stand; null when it can. */
export function admit(claim: AnyClaim, author: Author, read: Read): Refusal | null {
  const kind = kindOf<Kind>(claim)
  if (claim.kitchen !== author.kitchen) return { code: 'other kitchen', field: 'kitchen' }
  if (author.role === null) return { code: 'not on the list', field: 'by' }
  if (!kind.may.includes(author.role) && !mayInstead(claim, kind, author, read))
    return { code: 'may not', field: 'by', kind: claim.kind }
  if (kind.signed && !author.signed) return { code: 'lead must sign', field: 'pin' }
  if (!author.seconded && needsSecond(claim, kind, author, read)) return { code: 'second needed', field: 'second' }
  if (!author.signed && !mayPostFor(claim, kind, author))
    return { code: 'sign yourself', field: 'pin', kind: claim.kind }
  const aheadMs = Math.max(claim.at, claim.madeAt) - author.now
  if (aheadMs > AHEAD_ALLOWED)
    return { code: 'ahead of clock', field: 'at', aheadMs, clockAheadMs: author.clockAheadMs }
  const begins = beginsAt(claim, read)
  if (begins !== null && claim.at < begins) return { code: 'before it began', field: 'at', begins }
  return kind.refuse(claim, read, { zone: author.zone, limits: author.limits, now: author.entered ?? author.now })
}

/**
 * Without a PIN an entry needs a role that both have, whose shift it is and whose name is in it; and in another's name
 * only what every cook may enter.
 */
function mayPostFor(claim: AnyClaim, { may }: KindOf<Kind>, { postedBy }: Author): boolean {
  if (!postedBy) return true
  if (postedBy.role === null || !may.includes(postedBy.role)) return false
  return postedBy.id === claim.by || may.includes('cook')
}

/** Whether it is told at second hand, as what is copied from paper. */
export function isSecondHand(claim: AnyClaim): boolean {
  return kindOf<Kind>(claim).secondHand?.(claim) === true
}

/** What is told at second hand; and who lets their own entries count, where the house asks for a second pair of eyes. */
function needsSecond(claim: AnyClaim, kind: KindOf<Kind>, { limits, now }: Author, read: Read): boolean {
  if (isSecondHand(claim)) return true
  if (!kind.letsCount?.(claim, read).includes(claim.by)) return false
  return limitsAt(read('limits', limits)?.versions ?? [], now)?.practice.secondPin === true
}

/** Nothing happens to a batch or an item before there is one. */
function beginsAt({ kind, about }: AnyClaim, read: Read): Instant | null {
  if (about.type === 'batch' && kind !== 'batch-started') return read('batch', about.id)?.startedAt ?? null
  return about.type === 'item' ? (read('item', about.id)?.made ?? null) : null
}

/** Whether its author may make it though their role does not say so. */
function mayInstead(claim: AnyClaim, kind: KindOf<Kind>, author: Author, read: Read): boolean {
  if (kind.administered && administers(read('kitchen', claim.kitchen)?.people ?? [], claim.by)) return true
  return kind.delegable === true && stands(claim, author, read)
}

/** Whether its author decides for the lead just then; somebody who only reads never does. */
function stands({ kitchen, by }: AnyClaim, { role, now, zone }: Author, read: Read): boolean {
  const state = read('kitchen', kitchen)
  return state !== null && DEPUTIES.some((each) => each === role) && decidesForLead(state, by, now, zone)
}

// The path inside one entry, without its name in front.
function bare<F extends { path: string }>(field: F): F {
  return { ...field, path: field.path.replace(/^entry\./, '') }
}
