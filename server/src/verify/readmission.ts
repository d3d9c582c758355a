import {
  append,
  asFolded,
  canonical,
  CORE_VERSION,
  kinds,
  RULES,
  touches,
  type AnyClaim,
  type Id,
  type Role,
  type SealedEntry,
  type Book,
  type ChainHead,
} from '@logged-thermal/core'
import { refusalSentence, type Reader } from '@logged-thermal/wording'
import { Projections } from '../ledger/projections'
import { sha256 } from '../sealing/sha256'
import type { Fault } from './fault'

/** Takes every entry once more, as it was taken: one that was put in around the rules is found, and all states are made anew. */
export class Readmission {
  readonly faults: Fault[] = []
  older = 0
  readonly projections: Projections
  /** Every role that anybody was ever given. */
  readonly given = new Map<Id, Set<Role>>()

  constructor(
    private readonly kitchen: { id: Id; limits: Id },
    private readonly reader: Reader,
    private readonly roles: ReadonlyMap<Id, Role>,
  ) {
    this.projections = new Projections(reader.zone)
  }

  /**
   * @param before where the chain stood before it
   * @param history of what it looks at, where it was made out of the server's sight
   */
  next(entry: SealedEntry, before: ChainHead, history: readonly SealedEntry[] = []): void {
    try {
      if (isOfToday(entry)) this.admit(entry, before, history)
      else this.older++
      const folded = asFolded(entry)
      this.projections.fold(touches(folded.claim, folded.seal), folded)
      for (const { id, role } of rolesIn(folded.claim)) this.given.set(id, (this.given.get(id) ?? new Set()).add(role))
    } catch {
      this.faults.push({ code: 'not admitted', seq: entry.seal.seq, why: 'this program cannot read it.' })
    }
  }

  private admit({ claim, seal }: SealedEntry, before: ChainHead, history: readonly SealedEntry[]): void {
    const { seq } = seal
    const book: Book = {
      zone: this.reader.zone,
      limits: this.kitchen.limits,
      head: before,
      known: () => null,
      role: (person) => this.roles.get(person) ?? null,
      read: this.projections.read,
      // What is stored is folded, not what would be sealed now.
      keep: () => undefined,
    }
    const poster = {
      kitchen: this.kitchen.id,
      postedBy: seal.postedBy,
      signedBy: seal.signedBy ?? null,
      secondedBy: seal.secondedBy ?? null,
      clockAheadMs: 0,
      now: seal.recordedAt,
    }
    const outcome = append(claim, poster, book, sha256, seal.away && { made: seal.away, history })
    if (outcome.outcome === 'refused')
      this.faults.push({ code: 'not admitted', seq, why: refusalSentence(outcome.refusal, this.reader) })
    else if (canonical(outcome.seal.resolved ?? {}) !== canonical(seal.resolved ?? {}))
      this.faults.push({ code: 'resolved otherwise', seq })
  }
}

/** Roles that a claim gives. */
export function rolesIn(claim: AnyClaim): { id: Id; role: Role }[] {
  if (claim.kind === 'people-found') return claim.body.people
  if (claim.kind !== 'role-given' || claim.body.role === null) return []
  return [{ id: claim.body.person, role: claim.body.role }]
}

/** Taken under the rules and by the judge of today. */
function isOfToday({ claim, seal }: SealedEntry): boolean {
  return seal.rules === RULES && seal.core === CORE_VERSION && kinds[claim.kind].v === claim.v
}
