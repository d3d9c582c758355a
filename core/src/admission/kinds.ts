import { canonical } from '../ground/canonical'
import type { AnyClaim, Claim, Entry, Kind } from '../ledger/entry'
import type { Subject } from '../ledger/subject'
import type { Read } from '../state/state'
import type { World } from '../judgement/world'
import type { KindOf } from './guard/kindOf'
import * as register from './register'

type Registered = (typeof register)[keyof typeof register]['kind']

/** Every kind of entry, by its name. A kind that has a body and is not in the register is an error of its type. */
export const kinds: { [K in Registered]: KindOf<K> } = byName(Object.values(register))

function byName<R extends { kind: string }>(all: readonly R[]) {
  return Object.fromEntries(all.map((kind) => [kind.kind, kind])) as { [K in R['kind']]: Extract<R, { kind: K }> }
}

/** The kind of a claim, with the types tied together. */
export function kindOf<K extends Kind>(claim: Claim<K>): KindOf<K> {
  return kinds[claim.kind]
}

/** A claim as it would be made today: the body of an older version brought up, all else as it was sealed. */
export function upcast(claim: AnyClaim): AnyClaim {
  const kind = kindOf<Kind>(claim)
  if (claim.v === kind.v || !kind.upcast) return claim
  const body = kind.upcast(claim.body as unknown as Record<string, unknown>, claim.v)
  return { ...claim, v: kind.v, body } as unknown as AnyClaim
}

/** An entry as it is folded: what core worked out of its body in place of what was sent, brought up to today's version. */
export function asFolded<E extends Entry>(entry: E): E {
  const own = entry.seal?.resolved?.body
  const claim = own ? ({ ...entry.claim, body: { ...entry.claim.body, ...own } } as AnyClaim) : entry.claim
  return { ...entry, claim: upcast(claim) }
}

/** What core works out of a claim's body where what was sent is another; null: nothing is. */
export function differencesOf(claim: AnyClaim, read: Read, world: World): Record<string, unknown> | null {
  const own = kindOf<Kind>(claim).derive?.(claim, read, world) ?? {}
  const sent = claim.body as unknown as Record<string, unknown>
  // What was left out differs too, also where ours is null: "not yet cold" is no silence.
  const isOther = ([name, value]: [string, unknown]) =>
    sent[name] === undefined || canonical(value) !== canonical(sent[name])
  const others = Object.entries(own).filter(isOther)
  return others.length > 0 ? Object.fromEntries(others) : null
}

/** The subjects whose state a claim changes; once it is sealed, those too that the server found it reaches. */
export function touches(claim: AnyClaim, seal: Entry['seal'] = null): Subject[] {
  const own = kindOf<Kind>(claim).writes(claim)
  const { reached = [], contested, contests } = seal?.resolved ?? {}
  const all = [...own, ...reached, ...((contested ?? contests)?.about ?? [])]
  return [...new Map(all.map(({ type, id }) => [`${type} ${id}`, { type, id }])).values()]
}

/** Every subject that a claim itself names as needed to admit it. */
export function needs(claim: AnyClaim): Subject[] {
  return [...touches(claim), ...kindOf<Kind>(claim).reads(claim)]
}
