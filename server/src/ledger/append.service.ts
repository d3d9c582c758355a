import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import {
  append,
  canonical,
  follows,
  parsedClaim,
  upcast,
  type AnyClaim,
  type Appended,
  type Book,
  type ChainHead,
  type Id,
  type Instant,
  type ReadClaim,
  type Role,
  type Seal,
  type States,
  type Subject,
  type World,
} from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { foldCore } from './foldCore'
import { Projections } from './projections'
import { foldAnew, Refold } from './refold'
import { sha256 } from './sha256'
import { gather, gatherStates, lockHead, write, type Gathered, type Sealed } from './statements'
import { clock } from '../clock/clock'

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
  constructor(
    private readonly scope: KitchenScope,
    private readonly refold: Refold,
  ) {}

  /**
   * Appends what can be appended, in the order sent, in one transaction; each claim is answered by itself.
   * The kitchen's chain head is locked first, so that numbers have no gap and states are read as they will be written.
   */
  async append(post: Post): Promise<Appended[]> {
    const parsed = post.claims.map(parsedClaim)
    const claims = parsed.flatMap((each) => ('claim' in each ? [each.claim] : []))
    if (claims.length === 0) return parsed.map((each) => refusedUnread(each as Unreadable))

    await this.refold.subjects(post.kitchenId)
    return this.scope.inKitchen(post.kitchenId, async (em) => {
      const { zone, limits, core: keptBy, ...start } = await locked(em, post.kitchenId)
      const core = await foldCore(em)
      // Rows of newer code are read, never written over: until this server is the newer one too, another has to write.
      if (keptBy > core) throw behindProblem()
      const { known, roles, projections } = await gathered(em, post, claims, zone, core)
      const sealed: Sealed[] = []
      const book: Book = {
        zone,
        limits,
        head: start,
        known: (id) => known.get(id) ?? null,
        role: (person) => roles.get(person) ?? null,
        read: projections.read,
        keep(entry, canon, folded) {
          book.head = entry.seal
          const { claim } = JSON.parse(canon) as { claim: AnyClaim }
          sealed.push({ claim: entry.claim, canon, seal: entry.seal })
          known.set(claim.id, { claim: canonical(upcast(claim)), seal: entry.seal })
          projections.fold(folded, entry)
        },
      }
      const outcomes: Appended[] = []
      for (const each of parsed) {
        if (!('claim' in each)) {
          outcomes.push(refusedUnread(each))
          continue
        }
        await loadFollowing(em, each.claim, projections, { zone, limits }, core)
        const now = post.recordedAt?.(each.claim) ?? clock.now()
        const { kitchenId: kitchen, postedBy, clockAheadMs } = post
        const poster = { kitchen, postedBy, signedBy: post.signedBy, clockAheadMs, now }
        outcomes.push(append(each.claim, poster, book, sha256))
      }
      if (sealed.length > 0) {
        await query(em, write(post.kitchenId, sealed, projections.changed(), book.head, core))
      }
      return outcomes
    })
  }
}

type Unreadable = Exclude<ReadClaim, { claim: AnyClaim }>

function refusedUnread({ id, refusal }: Unreadable): Appended {
  return { id, outcome: 'refused', refusal }
}

async function locked(
  em: SqlEntityManager,
  kitchenId: Id,
): Promise<ChainHead & { core: number; zone: string; limits: Id }> {
  const [row] = await query<{ seq: string; hash: string; core: number; zone: string; limits: Id }>(
    em,
    lockHead(kitchenId),
  )
  if (!row) throw new RangeError(`kitchenId: ${kitchenId} has no logbook`)
  return { ...row, seq: Number(row.seq) }
}

/** What an entry looks at beyond what it names, once that is read, and so on: most look at nothing. */
async function loadFollowing(
  em: SqlEntityManager,
  claim: AnyClaim,
  projections: Projections,
  world: World,
  core: number,
): Promise<void> {
  const asked = new Set<Id>()
  for (;;) {
    const missing = follows(claim, projections.read, world).filter(
      (subject) => !projections.has(subject) && !asked.has(`${subject.type} ${subject.id}`),
    )
    if (missing.length === 0) return
    // One that is not there is asked for once.
    for (const { type, id } of missing) asked.add(`${type} ${id}`)
    for (const row of await query<Gathered>(em, gatherStates(claim.kitchen, missing)))
      await loadRow(em, claim.kitchen, row, projections, core)
  }
}

async function gathered(em: SqlEntityManager, post: Post, claims: readonly AnyClaim[], zone: string, core: number) {
  const known = new Map<Id, { claim: string; seal: Seal }>()
  const roles = new Map<Id, Role>()
  const projections = new Projections(zone)
  for (const row of await query<Gathered>(em, gather(post.kitchenId, claims, [post.postedBy]))) {
    const { what, id, word, content } = row
    if (what === 'author') roles.set(id, word as Role)
    else if (what !== 'entry') await loadRow(em, post.kitchenId, row, projections, core)
    else {
      const { claim, seal: unhashed } = JSON.parse(content!) as { claim: AnyClaim; seal: Omit<Seal, 'hash'> }
      known.set(id, { claim: canonical(upcast(claim)), seal: { ...unhashed, hash: word! } })
    }
  }
  return { known, roles, projections }
}

/** A state as this code has it: as it is stored, or folded anew where older code folded it. */
async function loadRow(
  em: SqlEntityManager,
  kitchenId: Id,
  { what, id, word, content }: Gathered,
  projections: Projections,
  core: number,
): Promise<void> {
  const subject = { type: what, id } as Subject
  const foldedBy = Number(word)
  if (foldedBy > core) throw behindProblem()
  if (foldedBy < core) await foldAnew(em, kitchenId, subject, projections)
  else projections.load(subject.type, id, JSON.parse(content!) as States[Subject['type']])
}

function behindProblem(): Problem {
  return new Problem(
    503,
    'server behind',
    'A newer version of this program keeps the records now. Send it again in a moment.',
  )
}
