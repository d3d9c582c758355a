import type { SqlEntityManager } from '@mikro-orm/postgresql'
import {
  append,
  canonical,
  follows,
  madeAway,
  needs,
  parsedClaim,
  upcast,
  type AnyClaim,
  type Appended,
  type Book,
  type ChainHead,
  type Contact,
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
import { hasUnheard, historyOf } from './outOfSight'
import { sha256 } from '../sealing/sha256'
import { keptPictures, lacksPicture } from './pictures'
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
  /** The tablet of the kitchen that they come from; null: a stranger's. */
  tabletId?: Id | null
  claims: readonly unknown[]
  /** Seeding alone sets this: when the server is to have recorded each claim. */
  recordedAt?: (claim: AnyClaim) => Instant
}

/** A post whose claims have been read. */
export interface ReadPost extends Omit<Post, 'claims'> {
  claims: readonly ReadClaim[]
  /** What is known of its tablet; left out: nothing that says when they were made. */
  contact?: Contact | null
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
  const claims = posts.flatMap((post) => readableOf(post.claims))
  if (claims.length === 0) return posts.map((post) => post.claims.map((each) => refusedUnread(each as Unreadable)))
  const { kitchenId } = posts[0]!

  const { zone, limits, core: keptBy, recordedAt: last, ...start } = await locked(em, kitchenId)
  const core = await foldCore(em)
  // Rows of newer code are read, never written over: until this server is the newer one too, another has to write.
  if (keptBy > core) throw behindProblem()
  const posters = posts.map(({ postedBy }) => postedBy)
  const { known, roles, projections } = await gathered(em, kitchenId, posters, claims, zone, core)
  const pictures = await keptPictures(em, kitchenId, claims)
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
  for (const { claims: sent, recordedAt, contact, ...post } of posts) {
    const answers: Appended[] = []
    const away = contact ? madeAway(readableOf(sent), contact, Math.max(now, clock.now())) : null
    for (const each of sent) {
      if (!('claim' in each)) {
        answers.push(refusedUnread(each))
        continue
      }
      const lacks = book.known(each.claim.id) ? null : lacksPicture(each.claim, pictures)
      if (lacks) {
        answers.push({ id: each.claim.id, outcome: 'refused', refusal: lacks })
        continue
      }
      await loadFollowing(em, each.claim, projections, { zone, limits }, core)
      // A clock that was set back stands still meanwhile: nothing is recorded before what was recorded.
      now = Math.max(now, recordedAt?.(each.claim) ?? clock.now())
      const poster = { ...post, kitchen: kitchenId, now }
      const made = away?.get(each.claim.id)
      if (!made) {
        answers.push(append(each.claim, poster, book, sha256))
        continue
      }
      const records = {
        em,
        kitchenId,
        read: projections.read,
        world: { zone, limits, now: made.at },
        unwritten: sealed,
        load: (claim: AnyClaim) => loadNeeded(em, claim, projections, { zone, limits }, core),
      }
      const history = () => historyOf(each.claim, records)
      const known = (await hasUnheard(each.claim, records)) ? await history() : []
      const answer = append(each.claim, poster, book, sha256, { made, history: known })
      // Refused, it may be for what its tablet had not heard of.
      const again = answer.outcome === 'refused' && known.length === 0
      answers.push(again ? append(each.claim, poster, book, sha256, { made, history: await history() }) : answer)
    }
    outcomes.push(answers)
  }
  if (sealed.length > 0) await query(em, write(kitchenId, sealed, projections.changed(), core))
  return outcomes
}

/** Those of the claims that could be read. */
export function readableOf(claims: readonly ReadClaim[]): AnyClaim[] {
  return claims.flatMap((each) => ('claim' in each ? [each.claim] : []))
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
    await loadStates(em, claim.kitchen, missing, projections, core)
  }
}

/** What an entry that is in the logbook looks at. */
async function loadNeeded(
  em: SqlEntityManager,
  claim: AnyClaim,
  projections: Projections,
  world: World,
  core: number,
): Promise<void> {
  const missing = needs(claim).filter((subject) => !projections.has(subject))
  if (missing.length > 0) await loadStates(em, claim.kitchen, missing, projections, core)
  await loadFollowing(em, claim, projections, world, core)
}

async function loadStates(
  em: SqlEntityManager,
  kitchenId: Id,
  subjects: readonly Subject[],
  projections: Projections,
  core: number,
): Promise<void> {
  for (const row of await query<Gathered>(em, gatherStates(kitchenId, subjects)))
    await loadRow(em, kitchenId, row, projections, core)
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
