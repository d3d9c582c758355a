import { admit, kinds, type AnyClaim, type Id, type Read, type Refusal, type States } from '@logged-thermal/core'
import { foldLine } from './foldLine'
import { kitchenOf, type LineData } from './lineData'

/** A Line with what waits on this tablet folded on top, and what of that the server will not take. */
export interface Unsent {
  line: LineData
  refused: ReadonlyMap<Id, Refusal>
}

/** Folds what waits as the server will take it: what it would refuse, as far as this tablet knows, moves nothing. */
export function foldUnsent(line: LineData, unsent: readonly { claim: AnyClaim; seq: number | null }[]): Unsent {
  const refused = new Map<Id, Refusal>()
  let folded = line
  for (const { claim, seq } of unsent) {
    // What is recorded, and has not come back yet, was taken.
    const refusal = seq === null ? refusedHere(claim, folded) : null
    if (refusal) refused.set(claim.id, refusal)
    else folded = foldLine(folded, { claim, seal: null })
  }
  return { line: folded, refused }
}

/**
 * Why the server will not take a claim, by the very rules it goes by; null where it will, and where that hangs on anything
 * that this tablet does not hold: then only the server knows.
 */
export function refusedHere(claim: AnyClaim, line: LineData): Refusal | null {
  const author = line.people.find(({ id }) => id === claim.by)
  // What is signed goes to the server at once: it alone knows the PIN.
  if (!author || kinds[claim.kind].signed) return null
  let isUnknown = false
  const read: Read = (type, id) => {
    const state = heldHere(line, type, id)
    if (state === null) isUnknown = true
    return state
  }
  const standing = {
    kitchen: line.kitchen.id,
    role: author.role,
    signed: false,
    // Where the house asks for a second pair of eyes, that is asked as it is sent.
    seconded: true,
    now: Math.max(claim.at, claim.madeAt),
    zone: line.kitchen.zone,
    limits: line.limits?.id ?? '',
    clockAheadMs: 0,
  }
  const refusal = admit(claim, standing, read)
  return isUnknown ? null : refusal
}

/** Where the Line has the states of each type that it has many of. */
const LISTS = {
  method: 'methods',
  batch: 'batches',
  instrument: 'instruments',
  lot: 'lots',
  item: 'items',
  vessel: 'vessels',
  unit: 'units',
} as const

/** A state as this tablet holds it; null: it does not. */
function heldHere<T extends keyof States>(line: LineData, type: T, id: Id): States[T] | null
function heldHere(line: LineData, type: keyof States, id: Id): States[keyof States] | null {
  if (type === 'kitchen') return id === line.kitchen.id ? kitchenOf(line) : null
  if (type === 'limits') return line.limits?.id === id ? line.limits : null
  if (type === 'matter') return null
  const all: readonly Exclude<States[keyof States], States['kitchen']>[] = line[LISTS[type]]
  return all.find((each) => each.id === id) ?? null
}
