import { type ItemAsIs, judgedItem } from './judgedItem'
import type { Instant } from '../ground/instant'
import { dayOf } from '../ground/zone'
import { canonical } from '../ground/canonical'
import type { MadeAway } from '../ledger/away'
import { GENESIS, type ChainHead, type Sha256 } from '../ledger/chain'
import type { Hash, Id, Role, SubjectType } from '../ledger/subject'
import type { CheckTerms, InstrumentKind } from '../ledger/instrumentEntries'
import { TOLERANCE } from '../state/instrument'
import type { AnyClaim, Kind, Seal, SealedEntry } from '../ledger/entry'
import type { Refusal } from '../admission/guard/refusal'
import { disputable, isAskedToo, isOfHistory } from '../admission/contest'
import { kinds, upcast } from '../admission/kinds'
import type { HouseLine, LimitKey, LimitSet } from '../rules/limit'
import { limitsAt as versionAt, limitSetOf } from '../rules/limitSet'
import { PRACTICE, type Practice } from '../rules/practice'
import { ruleSets } from '../rules/sets/ruleSets'
import { apply } from '../admission/fold'
import type { Read, States } from '../state/state'
import { attention, type Attention } from '../advice/attention'
import type { Finding } from '../judgement/finding'
import { batchStanding, judgeBatch } from '../judgement/batch/judgeBatch'
import type { Standing } from '../ledger/standing'
import { append, parsedClaim, type Book } from './append'

export interface KitchenSetup {
  id?: Id
  /** IANA zone. */
  zone: string
  /** Key of a rule set. */
  ruleSet: string
  unit?: 'C' | 'F'
  practice?: Partial<Practice>
  lines?: Partial<Record<LimitKey, HouseLine>>
  people: { id: Id; role: Role }[]
  /** Registered as they were before checks were asked for, unless their terms are given. */
  instruments?: { id: Id; code: string; kind: InstrumentKind; checks?: CheckTerms }[]
  now: Instant
  sha256: Sha256
  /** A snapshot of a kitchen: what it does not hold is unknown there, not absent. */
  from?: { head: ChainHead; states: { type: SubjectType; id: Id; state: unknown }[] }
}

/**
 * What became of a post. `provisional`: it looked at something that the snapshot does not hold; `why`: the code of what
 * stands behind a refusal, where something does.
 */
export type Posted =
  { ok: true; seq: number; provisional?: true } | { ok: false; code: string; field?: string; why?: string }

export interface MemoryKitchen {
  id: Id
  /** The id of its limits. */
  limits: Id
  post(claim: unknown, author: { postedBy: Id; signedBy?: Id; secondedBy?: Id; now: Instant; away?: MadeAway }): Posted
  entries(): SealedEntry[]
  read: Read
  limitsAt(at: Instant): LimitSet
  findings(batch: Id, now: Instant): Finding[]
  standing(batch: Id, now: Instant): Standing
  attention(batch: Id, now: Instant): Attention
  item(id: Id, now: Instant): ItemAsIs
}

/**
 * A kitchen over a map: it admits, seals, folds and judges exactly as the server does. RangeError for an unknown rule set
 * or zone, for nobody on the list, and for a batch or an item that it does not hold.
 */
export function openKitchen(setup: KitchenSetup): MemoryKitchen {
  const { zone, people, sha256, now: begins, from } = setup
  const set = ruleSets[setup.ruleSet]
  if (!set) throw new RangeError(`ruleSet: ${setup.ruleSet} is none of ${Object.keys(ruleSets).join(', ')}`)
  dayOf(begins, zone)
  const kitchen = setup.id ?? idOf(`kitchen ${zone} ${begins}`, sha256)
  const limits = limitsIdOf(from) ?? idOf(`limits ${kitchen}`, sha256)
  const roles = new Map(people.map(({ id, role }) => [id, role]))
  const states = new Map<string, unknown>((from?.states ?? []).map(({ type, id, state }) => [`${type} ${id}`, state]))
  const known = new Map<Id, { claim: string; seal: Seal }>()
  const kept: SealedEntry[] = []
  let unknown = false
  const read: Read = <T extends SubjectType>(type: T, id: Id) => {
    const state = states.get(`${type} ${id}`)
    if (state === undefined && from) unknown = true
    return (state ?? null) as States[T] | null
  }
  const book: Book = {
    zone,
    limits,
    head: from?.head ?? GENESIS,
    known: (id) => known.get(id) ?? null,
    role: (person) => roles.get(person) ?? null,
    read,
    keep(entry, canon, folded) {
      const { claim } = JSON.parse(canon) as { claim: AnyClaim }
      kept.push({ ...entry, claim })
      book.head = entry.seal
      known.set(claim.id, { claim: canonical(upcast(claim)), seal: entry.seal })
      for (const { type, id } of folded) {
        const fold = apply[type] as (id: Id, state: unknown, entry: SealedEntry) => unknown
        const state = fold(id, states.get(`${type} ${id}`) ?? null, entry)
        if (state !== null) states.set(`${type} ${id}`, state)
      }
    },
  }

  const post: MemoryKitchen['post'] = (raw, { postedBy, signedBy, secondedBy, now, away }) => {
    const parsed = parsedClaim(raw)
    if ('refusal' in parsed) return refused(parsed.refusal)
    unknown = false
    const poster = {
      kitchen,
      postedBy,
      signedBy: signedBy ?? null,
      secondedBy: secondedBy ?? null,
      clockAheadMs: 0,
      now,
    }
    const outOfSight = away ? { made: away, history: historyOf(parsed.claim) } : null
    const outcome = append(parsed.claim, poster, book, sha256, outOfSight)
    if (outcome.outcome === 'refused') return refused(outcome.refusal)
    return { ok: true, seq: outcome.seal.seq, ...(unknown ? { provisional: true as const } : {}) }
  }
  if (!from) begin()

  /** Of what it may contradict, and of all that others may have entered of that. */
  function historyOf(claim: AnyClaim): SealedEntry[] {
    const of = (claims: readonly AnyClaim[]) => {
      const subjects = claims.flatMap((each) => disputable(each, read, { zone, limits }))
      return kept.filter((entry) => subjects.some((subject) => isOfHistory(entry, subject)))
    }
    const asked = of([claim]).filter((entry) => isAskedToo(entry, claim))
    return of([claim, ...asked.map((entry) => entry.claim)])
  }

  const world = { zone, limits }
  const batchOf = (id: Id) => {
    const batch = read('batch', id)
    if (!batch) throw new RangeError(`batch: ${id} is not here`)
    return batch
  }
  const limitsAt = (at: Instant): LimitSet => {
    const found = versionAt(read('limits', limits)?.versions ?? [], at)
    if (!found) throw new RangeError(`at: ${at} is before any limits of this kitchen`)
    return found
  }
  const findings = (batch: Id, now: Instant) => judgeBatch(batchOf(batch), world, now)
  return {
    id: kitchen,
    limits,
    post,
    entries: () => [...kept],
    read,
    limitsAt,
    findings,
    standing: (batch, now) => batchStanding(findings(batch, now)),
    attention: (batch, now) => attention(batchOf(batch), findings(batch, now), world, now),
    item(id, now) {
      const item = read('item', id)
      if (!item) throw new RangeError(`id: ${id} is no item here`)
      return judgedItem(item, read, world, limitsAt(now), now)
    },
  }

  /** Its limits and instruments, entered as a lead does when a kitchen moves in. */
  function begin(): void {
    const lead = people.find(({ role }) => role === 'lead')?.id ?? idOf(`lead ${kitchen}`, sha256)
    roles.set(lead, 'lead')
    const printed = limitSetOf(set!, {
      id: limits,
      from: begins,
      unit: setup.unit ?? set!.unit,
      practice: { ...PRACTICE, ...setup.practice },
    })
    const lines = printed.lines.map((line) => ({ ...line, house: setup.lines?.[line.key] ?? line.house }))
    const enter = (kind: Kind, type: SubjectType, id: Id, body: unknown) => {
      const claim = {
        id: idOf(`${kind} ${id}`, sha256),
        kitchen,
        kind,
        v: kinds[kind].v,
        about: { type, id },
        at: begins,
        madeAt: begins,
        by: lead,
        device: kitchen,
        body,
      }
      const posted = post(claim, { postedBy: lead, signedBy: lead, now: begins })
      if (!posted.ok) throw new RangeError(`setup: ${kind} is refused, ${posted.code} ${posted.field ?? ''}`)
    }
    enter('limits-set', 'limits', limits, { set: { ...printed, lines } })
    for (const { id, code, kind, checks = 'not asked' } of setup.instruments ?? []) {
      const tolerance = kind === 'ph' ? TOLERANCE.ph : TOLERANCE.temperature
      enter('instrument-registered', 'instrument', id, { code, kind, place: null, tolerance, checks })
    }
    if (!people.some(({ id }) => id === lead)) roles.delete(lead)
  }
}

function refused(refusal: Refusal): Posted {
  const { code, field } = refusal
  const why = 'why' in refusal && refusal.why !== null ? refusal.why : undefined
  return { ok: false, code, field, ...(why === undefined ? {} : { why: typeof why === 'string' ? why : why.code }) }
}

function limitsIdOf(from: KitchenSetup['from']): Id | undefined {
  return from?.states.find(({ type }) => type === 'limits')?.id
}

/** A UUID that follows from a text: a kitchen in memory is the same each time. */
function idOf(text: string, sha256: (text: string) => Hash): Id {
  const h = sha256(text)
  return `${h.slice(0, 8)}-${h.slice(8, 12)}-8${h.slice(13, 16)}-8${h.slice(17, 20)}-${h.slice(20, 32)}`
}
