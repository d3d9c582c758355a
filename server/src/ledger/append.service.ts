import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import {
  admit,
  canonical,
  FieldError,
  needs,
  offsetMinutes,
  parseClaim,
  seal,
  touches,
  type AnyClaim,
  type ChainHead,
  type Id,
  type Instant,
  type Refusal,
  type Role,
  type Seal,
} from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Projections } from './projections'
import { sha256 } from './sha256'

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

interface Sealed {
  canon: string
  seal: Seal
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
      const { zone, ...start } = await lockHead(em, post.kitchenId)
      const known = await entriesWith(em, post.kitchenId, claims)
      const roles = await rolesOf(em, post.kitchenId, claims)
      const projections = new Projections(post.kitchenId)
      await projections.load(em, claims.flatMap(needs))

      let head: ChainHead = start
      const sealed: Sealed[] = []
      const outcomes = parsed.map((claim): Outcome => {
        if ('refusal' in claim) return refusedUnread(claim)
        const { id } = claim
        const there = known.get(id)
        if (there) {
          if (there.claim !== canonical(claim))
            return { id, outcome: 'refused', refusal: { code: 'id taken', field: 'id' } }
          return { id, outcome: 'already there', seal: there.seal }
        }
        const now = post.recordedAt?.(claim) ?? Date.now()
        const { kitchenId: kitchen, postedBy, clockAheadMs } = post
        const author = {
          kitchen,
          role: roles.get(claim.by) ?? null,
          signed: claim.by === post.signedBy,
          now,
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
      })
      if (sealed.length > 0) {
        await insertEntries(em, post.kitchenId, sealed)
        await projections.save(em)
        await moveHead(em, post.kitchenId, head)
      }
      return outcomes
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

async function lockHead(em: SqlEntityManager, kitchenId: Id): Promise<ChainHead & { zone: string }> {
  const rows = await em.execute<{ seq: string; hash: string; zone: string }[]>(
    `select h.seq, h.hash, k.zone from chain_head h join kitchen k on k.id = h.kitchen_id where h.kitchen_id = ? for update of h`,
    [kitchenId],
  )
  const row = rows[0]
  if (!row) throw new RangeError(`kitchenId: ${kitchenId} has no logbook`)
  return { seq: Number(row.seq), hash: row.hash, zone: row.zone }
}

async function entriesWith(em: SqlEntityManager, kitchenId: Id, claims: readonly AnyClaim[]) {
  const rows = await em.execute<{ hash: string; canon: string }[]>(
    `select hash, canon from entry where kitchen_id = ? and id = any(?::uuid[])`,
    [kitchenId, `{${claims.map(({ id }) => id).join(',')}}`],
  )
  return new Map(
    rows.map(({ hash, canon }) => {
      const { claim, seal: unhashed } = JSON.parse(canon) as { claim: AnyClaim; seal: Omit<Seal, 'hash'> }
      return [claim.id, { claim: canonical(claim), seal: { ...unhashed, hash } }]
    }),
  )
}

async function rolesOf(em: SqlEntityManager, kitchenId: Id, claims: readonly AnyClaim[]): Promise<Map<Id, Role>> {
  const people = [...new Set(claims.map(({ by }) => by))]
  const rows = await em.execute<{ id: Id; role: Role }[]>(
    `select id, role from person where kitchen_id = ? and id = any(?::uuid[])`,
    [kitchenId, `{${people.join(',')}}`],
  )
  return new Map(rows.map(({ id, role }) => [id, role]))
}

async function insertEntries(em: SqlEntityManager, kitchenId: Id, sealed: readonly Sealed[]): Promise<void> {
  await em.execute(
    `insert into entry (kitchen_id, seq, hash, canon)
     select ?::uuid, (row ->> 0)::bigint, row ->> 1, row ->> 2 from json_array_elements(?::json) row`,
    [kitchenId, JSON.stringify(sealed.map(({ canon, seal: { seq, hash } }) => [seq, hash, canon]))],
  )
}

async function moveHead(em: SqlEntityManager, kitchenId: Id, { seq, hash }: ChainHead): Promise<void> {
  await em.execute(
    `with moved as (update chain_head set seq = ?, hash = ? where kitchen_id = ? returning kitchen_id)
     select pg_notify('lt_entry', kitchen_id || ':' || ?) from moved`,
    [seq, hash, kitchenId, seq],
  )
}
