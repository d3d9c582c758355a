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
import { clock } from '../clock/clock'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { foldCore } from './foldCore'
import { Projections } from './projections'
import { foldSubjects } from './foldSubjects'
import { sha256 } from './sha256'
import { gather, gatherStates, lockHead, write, type Gathered, type Sealed } from './statements'

/** What one tablet sends at a time. */
export interface Post {
  kitchenId: Id
  postedBy: Id
  /** Whose PIN came with the post and was right. */
  signedBy: Id | null
  /** Whose PIN came beside it and was right; left out: nobody's. */
  secondedBy?: Id | null
  clockAheadMs: number
  claims: readonly unknown[]
  /** Seeding alone sets this: when the server is to have recorded each claim. */
  recordedAt?: (claim: AnyClaim) => Instant
}

/** A post whose claims have been read. */
export interface ReadPost extends Omit<Post, 'claims'> {
  claims: readonly ReadClaim[]
}

export function readPost(post: Post): ReadPost {
  return { ...post, claims: post.claims.map(parsedClaim) }
}

/**
 * Appends what can be appended of the posts of one kitchen, in their order, in the transaction of `em`; each claim is
 * answered by itself. The kitchen's chain head is locked first, so that numbers have no gap and states are read as they
 * will be written.
 */
export async function appendGroup(em: SqlEntityManager, posts: readonly ReadPost[]): Promise<Appended[][]> {
  const claims = posts.flatMap((post) => post.claims.flatMap((each) => ('claim' in each ? [each.claim] : [])))
  if (claims.length === 0) return posts.map((post) => post.claims.map((each) => refusedUnread(each as Unreadable)))
  const { kitchenId } = posts[0]!

  const { zone, limits, core: keptBy, recordedAt: last, ...start } = await locked(em, kitchenId)
  const core = await foldCore(em)
  // Rows of newer code are read, never written over: until this server is the newer one too, another has to write.
  if (keptBy > core) throw behindProblem()
  const posters = posts.map(({ postedBy }) => postedBy)
  const { known, roles, projections } = await gathered(em, kitchenId, posters, claims, zone, core)
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
  const outcomes: Appended[][] = []
  let now = last
  for (const { claims: sent, recordedAt, ...post } of posts) {
    const answers: Appended[] = []
    for (const each of sent) {
      if (!('claim' in each)) {
        answers.push(refusedUnread(each))
        continue
      }
      await loadFollowing(em, each.claim, projections, { zone, limits }, core)
      // A clock that was set back stands still meanwhile: nothing is recorded before what was recorded.
      now = Math.max(now, recordedAt?.(each.claim) ?? clock.now())
      answers.push(append(each.claim, { ...post, kitchen: kitchenId, now }, book, sha256))
    }
    outcomes.push(answers)
  }
  if (sealed.length > 0) await query(em, write(kitchenId, sealed, projections.changed(), core))
  return outcomes
}

type Unreadable = Exclude<ReadClaim, { claim: AnyClaim }>

function refusedUnread({ id, refusal }: Unreadable): Appended {
  return { id, outcome: 'refused', refusal }
}

async function locked(
  em: SqlEntityManager,
  kitchenId: Id,
): Promise<ChainHead & { recordedAt: Instant; core: number; zone: string; limits: Id }> {
  const [row] = await query<{ seq: string; hash: string; recorded_at: string; core: number; zone: string; limits: Id }>(
    em,
    lockHead(kitchenId),
  )
  if (!row) throw new RangeError(`kitchenId: ${kitchenId} has no logbook`)
  const { seq, recorded_at: recordedAt, ...rest } = row
  return { ...rest, seq: Number(seq), recordedAt: Number(recordedAt) }
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

async function gathered(
  em: SqlEntityManager,
  kitchenId: Id,
  posters: readonly Id[],
  claims: readonly AnyClaim[],
  zone: string,
  core: number,
) {
  const known = new Map<Id, { claim: string; seal: Seal }>()
  const roles = new Map<Id, Role>()
  const projections = new Projections(zone)
  for (const row of await query<Gathered>(em, gather(kitchenId, claims, posters))) {
    const { what, id, word, content } = row
    if (what === 'author') roles.set(id, word as Role)
    else if (what !== 'entry') await loadRow(em, kitchenId, row, projections, core)
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
  if (foldedBy < core) await foldSubjects(em, kitchenId, [subject], projections)
  else projections.load(subject.type, id, JSON.parse(content!) as States[Subject['type']])
}

function behindProblem(): Problem {
  return new Problem(
    503,
    'server behind',
    'A newer version of this program keeps the records now. Send it again in a moment.',
  )
}
