import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import {
  admit,
  canonical,
  FieldError,
  offsetMinutes,
  parseClaim,
  seal,
  follows,
  touches,
  type AnyClaim,
  type ChainHead,
  type Id,
  type Instant,
  type Refusal,
  type Role,
  type Seal,
  type SubjectType,
  type World,
} from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Projections } from './projections'
import { sha256 } from './sha256'
import { gather, gatherStates, lockHead, write, type Gathered, type Sealed } from './statements'
import { clock } from '../clock/clock'

/** What became of one entry that was sent. */
export type Outcome =
  | { id: Id | null; outcome: 'accepted' | 'already there'; seal: Seal }
  | { id: Id | null; outcome: 'refused'; refusal: Refusal }

export interface Post {
  kitchenId: Id
  postedBy: Id
  /** Whose PIN came with the post and was right. */
  signedBy: Id | null
  clockAheadMs: number
  claims: readonly unknown[]
  /** Seeding alone sets this: when the server is to have recorded each claim. */
  recordedAt?: (claim: AnyClaim) => Instant
}

/** The one way into the logbook. */
@Injectable()
export class Append {
  constructor(private readonly scope: KitchenScope) {}

  /**
   * Appends what can be appended, in the order sent, in one transaction; each claim is answered by itself.
   * The kitchen's chain head is locked first, so that numbers have no gap and states are read as they will be written.
   */
  async append(post: Post): Promise<Outcome[]> {
    const parsed = post.claims.map(parsedClaim)
    const claims = parsed.flatMap((claim) => ('refusal' in claim ? [] : [claim]))
    if (claims.length === 0) return parsed.map((claim) => refusedUnread(claim as { id: Id | null; refusal: Refusal }))

    return this.scope.inKitchen(post.kitchenId, async (em) => {
      const { zone, limits, ...start } = await locked(em, post.kitchenId)
      const { known, roles, projections } = await gathered(em, post.kitchenId, claims, zone)

      let head: ChainHead = start
      const sealed: Sealed[] = []
      const outcomes: Outcome[] = []
      for (const claim of parsed) {
        if (!('refusal' in claim)) await loadFollowing(em, claim, projections, { zone, limits })
        outcomes.push(take(claim))
      }
      if (sealed.length > 0) {
        await query(em, write(post.kitchenId, sealed, projections.changed(), head))
      }
      return outcomes

      function take(claim: AnyClaim | Unreadable): Outcome {
        if ('refusal' in claim) return refusedUnread(claim)
        const { id } = claim
        const there = known.get(id)
        if (there) {
          if (there.claim !== canonical(claim))
            return { id, outcome: 'refused', refusal: { code: 'id taken', field: 'id' } }
          return { id, outcome: 'already there', seal: there.seal }
        }
        const now = post.recordedAt?.(claim) ?? clock.now()
        const { kitchenId: kitchen, postedBy, clockAheadMs } = post
        const author = {
          kitchen,
          role: roles.get(claim.by) ?? null,
          signed: claim.by === post.signedBy,
          now,
          zone,
          limits,
          clockAheadMs,
        }
        const refusal = admit(claim, author, projections.read)
        if (refusal) return { id, outcome: 'refused', refusal }

        const stamp = { recordedAt: now, offsetMinutes: offsetMinutes(now, zone), postedBy }
        const { entry, canon } = seal(claim, head, stamp, sha256)
        head = entry.seal
        sealed.push({ canon, seal: entry.seal })
        known.set(id, { claim: canonical(claim), seal: entry.seal })
        projections.fold(touches(claim), entry)
        return { id, outcome: 'accepted', seal: entry.seal }
      }
    })
  }
}

type Unreadable = { id: Id | null; refusal: Refusal }

function parsedClaim(raw: unknown): AnyClaim | Unreadable {
  try {
    return parseClaim(raw)
  } catch (error) {
    if (!(error instanceof FieldError)) throw error
    const id = (raw as { id?: unknown } | null)?.id
    const { field, problem } = error
    return { id: typeof id === 'string' ? id : null, refusal: { code: 'bad field', field, problem } }
  }
}

function refusedUnread({ id, refusal }: Unreadable): Outcome {
  return { id, outcome: 'refused', refusal }
}

async function locked(em: SqlEntityManager, kitchenId: Id): Promise<ChainHead & { zone: string; limits: Id }> {
  const [row] = await query<{ seq: string; hash: string; zone: string; limits: Id }>(em, lockHead(kitchenId))
  if (!row) throw new RangeError(`kitchenId: ${kitchenId} has no logbook`)
  return { ...row, seq: Number(row.seq) }
}

/** What an entry looks at beyond what it names, once that is read: most look at nothing. */
async function loadFollowing(
  em: SqlEntityManager,
  claim: AnyClaim,
  projections: Projections,
  world: World,
): Promise<void> {
  const missing = follows(claim, projections.read, world).filter((subject) => !projections.has(subject))
  if (missing.length === 0) return
  for (const { what, id, content } of await query<Gathered>(em, gatherStates(claim.kitchen, missing)))
    projections.load(what as SubjectType, id, JSON.parse(content!))
}

async function gathered(em: SqlEntityManager, kitchenId: Id, claims: readonly AnyClaim[], zone: string) {
  const known = new Map<Id, { claim: string; seal: Seal }>()
  const roles = new Map<Id, Role>()
  const projections = new Projections(zone)
  for (const { what, id, word, content } of await query<Gathered>(em, gather(kitchenId, claims))) {
    if (what === 'author') roles.set(id, word as Role)
    else if (what !== 'entry') projections.load(what, id, JSON.parse(content!))
    else {
      const { claim, seal: unhashed } = JSON.parse(content!) as { claim: AnyClaim; seal: Omit<Seal, 'hash'> }
      known.set(id, { claim: canonical(claim), seal: { ...unhashed, hash: word! } })
    }
  }
  return { known, roles, projections }
}
