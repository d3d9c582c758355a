import { canonical } from '../ground/canonical'
import type { MadeAway } from '../ledger/away'
import type { Contest } from '../ledger/contest'
import type { AnyClaim, Entry, Kind, SealedEntry } from '../ledger/entry'
import type { Id, Subject, SubjectType } from '../ledger/subject'
import type { World } from '../judgement/world'
import type { Read, States } from '../state/state'
import { apply } from './fold'
import type { Refusal } from './guard/refusal'
import { asFolded, kindOf, needs, touches } from './kinds'

/** An entry that was made while the server heard nothing of its tablet. */
export interface OutOfSight {
  made: MadeAway
  /** Every entry so far of what it and they look at (`disputable`, `isOfHistory`), in chain order. */
  history: readonly SealedEntry[]
}

/** What two tablets out of each other's sight can contradict each other about: of what a claim looks at, what hands work on. */
export function disputable(claim: AnyClaim, read: Read, world: World): Subject[] {
  const kind = kindOf<Kind>(claim)
  if (kind.signed) return []
  return [...needs(claim), ...(kind.readsThen?.(claim, read, world) ?? [])].filter(({ type }) =>
    WORKED_ON.includes(type),
  )
}

const WORKED_ON: readonly SubjectType[] = ['batch', 'item', 'lot', 'unit', 'instrument']

/** Whether an entry belongs to the history of a subject: of a unit or an instrument only what is told of itself. */
export function isOfHistory({ claim, seal }: Entry, { type, id }: Subject): boolean {
  if (type === 'unit' || type === 'instrument') return claim.about.id === id
  return touches(claim, seal).some((each) => each.id === id)
}

/** Whether an entry was made by another tablet, and the one that made this claim had not heard of it. */
export function isUnheard({ claim: other, seal }: SealedEntry, claim: AnyClaim): boolean {
  return other.device !== claim.device && seal.seq > (claim.serverSeen ?? Infinity)
}

/** Entries whose own subjects have to be read to tell what a claim contradicts, too. */
export function isAskedToo(entry: SealedEntry, claim: AnyClaim): boolean {
  return entry.seal.away !== undefined || isUnheard(entry, claim)
}

/**
 * Whether a refusal says that something contradicts: that lies in how things stand, and not in whose entry it is. A code that
 * is taken contradicts nothing: the tablet takes the next.
 */
export function isOfWhatHappened(refusal: Refusal | null): refusal is Refusal {
  if (refusal === null || refusal.code === 'code taken' || refusal.code === 'ahead of clock') return false
  return !['by', 'pin', 'kitchen', 'second'].includes(refusal.field)
}

/**
 * What a claim that is refused contradicts, where its tablet would have taken it, and the batches and items that the lead has
 * to look at. null: it is refused for what its tablet knew, a mistake and nothing more.
 */
export function contestedWith(claim: AnyClaim, { history }: OutOfSight, read: Read, world: World): Contest | null {
  const against = standingAgainst(claim, history, read, world)
  if (!against) return null
  // None stands against it where it follows on what is in dispute already.
  const others = against.map((other) => other.claim)
  const about = disputedIn([claim, ...others])
  return about.length > 0 ? { entries: others.map(({ id }) => id), about } : null
}

/**
 * What an entry contradicts although it was taken: it could not have been entered after those, or they not after it, had
 * their tablets heard of each other at once. So two that contradict each other are found in whichever order they come.
 */
export function contradictedBy(entry: Entry, { history }: OutOfSight, read: Read, world: World): Contest | null {
  const { claim } = entry
  const before = new Set(standingAgainst(claim, history, read, world))
  const others = history
    .filter((other) => isUnheard(other, claim) && other.seal.away && !other.seal.resolved?.contested)
    .filter((other) => before.has(other) || couldNotFollow(other, entry, history, read, world))
    .map((other) => other.claim)
  const about = disputedIn([claim, ...others])
  return about.length > 0 && others.length > 0 ? { entries: others.map(({ id }) => id), about } : null
}

/** Which entries that its tablet had not heard of stand against a claim; null where its tablet would not have taken it. */
function standingAgainst(
  claim: AnyClaim,
  history: readonly SealedEntry[],
  read: Read,
  world: World,
): readonly SealedEntry[] | null {
  const heard = history.filter((each) => !isUnheard(each, claim))
  const named = disputable(claim, read, world)
  // What is not there but on its tablet leads to more.
  const subjects = [...named, ...disputable(claim, asOf(heard, named, claim, read), world)]
  const stands = standsAfter(claim, heard, (entries) => asOf(entries, subjects, claim, read), world)
  if (subjects.length === 0 || stands === null) return null
  const unheard = history.filter((each) => isUnheard(each, claim))
  const alone = unheard.filter((each) => !stands([...heard, each]))
  if (alone.length > 0) return alone
  // Of several that only stand against it together, each does.
  return stands(history) ? [] : unheard
}

/** Whether an entry that was taken would not have been after another, as far as their two tablets knew. */
function couldNotFollow(
  other: SealedEntry,
  entry: Entry,
  history: readonly SealedEntry[],
  read: Read,
  world: World,
): boolean {
  const subjects = disputable(other.claim, read, world)
  if (subjects.length === 0) return false
  const before = history.filter(
    (each) => each.seal.seq < other.seal.seq && (!isUnheard(each, other.claim) || !isUnheard(each, entry.claim)),
  )
  const then = { ...world, now: other.seal.away!.at }
  const stands = standsAfter(other.claim, before, (entries) => asOf(entries, subjects, other.claim, read), then)
  return stands !== null && !stands([...before, entry])
}

/**
 * Whether a claim that would be taken after some entries would be after others too, with the same label on what it puts
 * away; null: it would not be taken after those.
 */
function standsAfter(
  claim: AnyClaim,
  heard: readonly Entry[],
  asOfThese: (entries: readonly Entry[]) => Read,
  world: World,
): ((entries: readonly Entry[]) => boolean) | null {
  const kind = kindOf<Kind>(claim)
  const before = asOfThese(heard)
  if (kind.refuse(claim, before, world) !== null) return null
  const label = labelOf(claim, before, world)
  return (entries) => {
    const then = asOfThese(entries)
    const refusal = kind.refuse(claim, then, world)
    return refusal ? !isOfWhatHappened(refusal) : labelOf(claim, then, world) === label
  }
}

/** What a tablet prints on the label of what an entry puts away, as text: what is in it, and what has to be said of it. */
function labelOf(claim: AnyClaim, read: Read, world: World): string {
  const derived = kindOf<Kind>(claim).derive?.(claim, read, world) as { facts?: unknown } | undefined
  return canonical(derived?.facts ?? null)
}

/** The batches and items that entries change, each once. */
function disputedIn(claims: readonly AnyClaim[]): Subject[] {
  const all = claims.flatMap((claim) => kindOf<Kind>(claim).writes(claim))
  const shown = all.filter(({ type }) => type === 'batch' || type === 'item')
  return [...new Map(shown.map((subject) => [subject.id, subject])).values()]
}

/** The states of subjects as these entries alone make them, for the tablet that made a claim. */
function asOf(entries: readonly Entry[], subjects: readonly Subject[], { device }: AnyClaim, read: Read): Read {
  const states = new Map<string, unknown>(subjects.map(({ type, id }) => [`${type} ${id}`, null]))
  for (const sealed of entries) {
    const entry = asFolded(asThought(sealed, device))
    for (const subject of subjects) {
      if (!isOfHistory(entry, subject)) continue
      const { type, id } = subject
      const key = `${type} ${id}`
      const fold = apply[type] as (id: Id, state: unknown, entry: Entry) => unknown
      states.set(key, fold(id, states.get(key), entry))
    }
  }
  return <T extends keyof States>(type: T, id: Id) =>
    states.has(`${type} ${id}`) ? (states.get(`${type} ${id}`) as States[T] | null) : read(type, id)
}

/**
 * An entry of out of sight as if it had been recorded as it was made: whom it reached, or contradicts, was not known. To its
 * own tablet it counts as sent, with what that took for so: which instrument stood behind a reading, what an item holds.
 */
function asThought({ claim, seal }: Entry, device: Id): Entry {
  if (!seal?.away) return { claim, seal }
  const { body = {}, egg, treated } = seal.resolved ?? {}
  const sent = claim.body as unknown as Record<string, unknown>
  // What a check of an instrument found is core's alone.
  const isOwn = claim.device === device && claim.about.type !== 'instrument'
  const isKept = (name: string) => !isOwn || (sent[name] === undefined && !['readBy', 'happened'].includes(name))
  const resolved = {
    body: Object.fromEntries(Object.entries(body).filter(([name]) => isKept(name))),
    ...(egg ? { egg } : {}),
    ...(treated === undefined ? {} : { treated }),
  }
  return { claim, seal: { ...seal, recordedAt: seal.away.at, resolved } }
}
