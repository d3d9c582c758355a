import { SECOND, type Instant } from '../calendar/instant'
import type { AnyClaim, Id, Kind, Role } from '../ledger/entry'
import { id, instant, object, oneOf, whole, type Field } from '../ledger/parse'
import type { Refusal } from '../ledger/refusal'
import { decidesForLead } from '../state/kitchen'
import type { Read } from '../state/state'
import type { KindOf } from './kindOf'
import { kindOf, kinds } from './kinds'

/** A claim further ahead of the server's clock than this is held with a question, ms. */
export const AHEAD_ALLOWED = 5 * SECOND

/** A claim as sent, checked field by field. Throws FieldError. */
export function parseClaim(raw: unknown): AnyClaim {
  const names = ['id', 'kitchen', 'kind', 'v', 'about', 'at', 'madeAt', 'by', 'device', 'body'] as const
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
    body: kind.parse(raisedBody(kind, bare(fields.body), whole(bare(fields.v), kind.raise ? 1 : kind.v, kind.v))),
  } as AnyClaim
}

function raisedBody(kind: KindOf<Kind>, body: Field, v: number): Field {
  const { value } = body
  if (v === kind.v || !kind.raise || typeof value !== 'object' || value === null) return body
  return { ...body, value: kind.raise(value as Record<string, unknown>, v) }
}

/** Who stands behind a claim, as the server knows it. */
export interface Author {
  kitchen: Id
  /** The role of the person named in `by`; null when there is no such person here. */
  role: Role | null
  /** That person's PIN came with the post and was right. */
  signed: boolean
  now: Instant
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
  if (!kind.may.includes(author.role) && !(kind.delegable && stands(claim, read)))
    return { code: 'may not', field: 'by', kind: claim.kind }
  if (kind.signed && !author.signed) return { code: 'lead must sign', field: 'pin' }
  const aheadMs = Math.max(claim.at, claim.madeAt) - author.now
  if (aheadMs > AHEAD_ALLOWED)
    return { code: 'ahead of clock', field: 'at', aheadMs, clockAheadMs: author.clockAheadMs }
  return kind.admit(claim, read, { zone: author.zone, limits: author.limits })
}

/** Whether its author decides for the lead just then. */
function stands({ kitchen, by, madeAt }: AnyClaim, read: Read): boolean {
  const state = read('kitchen', kitchen)
  return state !== null && decidesForLead(state, by, madeAt)
}

// The path inside one entry, without its name in front.
function bare<F extends { path: string }>(field: F): F {
  return { ...field, path: field.path.replace(/^entry\./, '') }
}
