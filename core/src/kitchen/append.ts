import type { Instant } from '../ground/instant'
import { offsetMinutes } from '../ground/zone'
import { canonical } from '../ground/canonical'
import { admit, isSecondHand, parseClaim, type Author } from '../admission/admission'
import { asFolded, differencesOf, kindOf, touches, upcast } from '../admission/kinds'
import type { KindOf } from '../admission/guard/kindOf'
import { contestedWith, contradictedBy, isOfWhatHappened, type OutOfSight } from '../admission/contest'
import { reachedBy } from '../admission/reached'
import { seal, type ChainHead, type Sha256 } from '../ledger/chain'
import type { Actor, Id, Role, Subject } from '../ledger/subject'
import type { AnyClaim, Kind, Resolved, Seal, SealedEntry } from '../ledger/entry'
import { RULES } from '../ledger/late'
import { FieldError } from '../ground/field'
import type { Refusal } from '../admission/guard/refusal'
import { DEPUTIES } from '../state/signing'
import type { Read } from '../state/state'
import { CORE_VERSION } from '../version'
import type { World } from '../judgement/world'

/** What became of one entry that was sent. */
export type Appended =
  | { id: Id | null; outcome: 'accepted' | 'already there'; seal: Seal }
  | { id: Id | null; outcome: 'refused'; refusal: Refusal }

/** Who sends entries, and when. */
export interface Poster {
  kitchen: Id
  /** Whose shift it is. */
  postedBy: Id
  /** Whose PIN came with the post and was right; null: nobody's. */
  signedBy: Id | null
  /** Whose PIN came beside it and was right; left out: nobody's. */
  secondedBy?: Id | null
  /** How far the tablet's clock is ahead, ms. */
  clockAheadMs: number
  /** By the server's clock. */
  now: Instant
}

/** What appending looks at and writes to, whatever keeps it: a database in one transaction, or a map. */
export interface Book {
  zone: string
  limits: Id
  head: ChainHead
  /** An entry that is there already: its claim as canonical text. */
  known(id: Id): { claim: string; seal: Seal } | null
  /** By the list of people, until the logbook says who is there. */
  role(person: Id): Role | null
  read: Read
  /** Keeps a sealed entry, and folds it into the subjects that it changes. `canon` is the text that was hashed. */
  keep(entry: SealedEntry, canon: string, folded: readonly Subject[]): void
}

/** A claim as it was sent, or why it cannot be read. */
export type ReadClaim = { claim: AnyClaim } | { id: Id | null; refusal: Refusal }

export function parsedClaim(raw: unknown): ReadClaim {
  try {
    return { claim: parseClaim(raw) }
  } catch (error) {
    if (!(error instanceof FieldError)) throw error
    const id = (raw as { id?: unknown } | null)?.id
    const { field, problem } = error
    return { id: typeof id === 'string' ? id : null, refusal: { code: 'bad field', field, problem } }
  }
}

/**
 * The one way into the logbook: admits a claim as things stand, seals it as the next entry and folds it. The same claim
 * twice is there already; the same id with another claim is refused. What is refused only for what its tablet had not heard
 * of is sealed as contested: it counts as what has happened, where its kind knows that, and else moves nothing. RangeError for an `away` that is not over.
 * @param outOfSight it was made while the server heard nothing of its tablet; null: it is known as it is recorded
 */
export function append(
  claim: AnyClaim,
  poster: Poster,
  book: Book,
  sha256: Sha256,
  outOfSight: OutOfSight | null = null,
): Appended {
  const { id } = claim
  const there = book.known(id)
  if (there) {
    return there.claim === canonical(upcast(claim))
      ? { id, outcome: 'already there', seal: there.seal }
      : { id, outcome: 'refused', refusal: { code: 'id taken', field: 'id' } }
  }
  const { zone, limits, read } = book
  const { now, signedBy, postedBy } = poster
  const away = outOfSight?.made
  if (away && !(away.from <= away.at && away.at <= away.to && away.to <= now))
    throw new RangeError(`away: ${canonical(away)} is no time before ${now}`)
  const secondedBy = secondOf(claim, poster, book)
  const author = {
    kitchen: poster.kitchen,
    role: actorOf(claim.by, poster.kitchen, book),
    signed: claim.by === signedBy,
    seconded: secondedBy !== null,
    postedBy: { id: postedBy, role: actorOf(postedBy, poster.kitchen, book) },
    now,
    entered: away?.at ?? now,
    zone,
    limits,
    clockAheadMs: poster.clockAheadMs,
  }
  const refusal = admit(claim, author, read)
  const then = { zone, limits, now: author.entered }
  const contest = isOfWhatHappened(refusal) && outOfSight ? contestedWith(claim, outOfSight, read, then) : null
  if (refusal && !contest) return { id, outcome: 'refused', refusal }

  const happened = contest && asHappened(claim, author, read)
  const contested = refusal && contest && !happened ? { code: refusal.code, about: contest.about } : null
  const resolved = contested ? { contested } : resolvedOf(happened ?? claim, read, { zone, limits, now }, claim)
  const stamp = {
    recordedAt: now,
    offsetMinutes: offsetMinutes(now, zone),
    postedBy,
    rules: RULES,
    core: CORE_VERSION,
    ...(signedBy === null ? {} : { signedBy }),
    ...(secondedBy === null ? {} : { secondedBy }),
    ...(away ? { away } : {}),
    ...(resolved ? { resolved } : {}),
  }
  // Reached are labels by what is in the logbook, and not by the place in it.
  const unsealed = asFolded({ claim, seal: { ...stamp, seq: book.head.seq + 1, prev: book.head.hash, hash: '' } })
  const reached = contested ? [] : reachedBy(unsealed, read)
  const contests = contested || !outOfSight ? null : (contest ?? contradictedBy(unsealed, outOfSight, read, then))
  const more = { ...(reached.length > 0 ? { reached } : {}), ...(contests ? { contests } : {}) }
  const found = Object.keys(more).length > 0 ? { ...stamp, resolved: { ...resolved, ...more } } : stamp
  const { entry, canon } = seal(claim, book.head, found, sha256)
  const folded = asFolded(entry)
  book.keep(folded, canon, touches(folded.claim, folded.seal))
  return { id, outcome: 'accepted', seal: entry.seal }
}

/**
 * What went in or out while nobody heard of the tablet has happened, whatever stands against it: an allergen, a lot or an
 * amount is not lost for a dispute. null where its kind knows no such thing, or it is refused even so.
 */
function asHappened(claim: AnyClaim, author: Author, read: Read): AnyClaim | null {
  const parsed = parsedClaim({ ...claim, body: { ...claim.body, happened: true } })
  return 'claim' in parsed && admit(parsed.claim, author, read) === null ? parsed.claim : null
}

/** A second pair of eyes is somebody else's, who works here and does not only read. */
function secondOf(claim: AnyClaim, { kitchen, secondedBy, postedBy }: Poster, book: Book): Id | null {
  if (!secondedBy || secondedBy === claim.by) return null
  // A name is tapped without a PIN: of what is told at second hand, whose shift it is would else be both.
  if (secondedBy === postedBy && isSecondHand(claim)) return null
  return DEPUTIES.some((role) => role === actorOf(secondedBy, kitchen, book)) ? secondedBy : null
}

/** As the logbook says, once it does; nobody has the program's own id, and nobody's PIN comes with it. */
function actorOf(id: Id, kitchen: Id, book: Book): Actor | null {
  if (id === kitchen) return 'installation'
  const people = book.read('kitchen', kitchen)?.people ?? null
  return people === null ? book.role(id) : (people.find((person) => person.id === id)?.role ?? null)
}

/** @param sent as the tablet sent it, where it counts as another */
function resolvedOf(claim: AnyClaim, read: Read, world: World, sent: AnyClaim): Resolved | null {
  const kind: KindOf<Kind> = kindOf<Kind>(claim)
  const found = kind.resolve?.(claim, read, world) ?? null
  const own = differencesOf(claim, read, world)
  const body = claim === sent ? own : { ...own, happened: true }
  return body ? { ...found, body } : found
}
