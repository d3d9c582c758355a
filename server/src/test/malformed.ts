import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { AnyClaim, Id, SealedEntry } from '@logged-thermal/core'

/** A whole number of 0 to `below` - 1, by chance that can be repeated. */
export type Chance = (below: number) => number

/** mulberry32: the same seed gives the same series. */
export function chanceOf(seed: number): Chance {
  let state = seed
  return (below) => {
    state = (state + 0x6d2b79f5) | 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return Math.floor((((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296) * below)
  }
}

/** What no field of ours is, each in its own way. */
const NASTY: readonly unknown[] = [
  null,
  '',
  ' ',
  '\u0000',
  '\ud800',
  '\u202e\u0007',
  'x'.repeat(5_000),
  '=cmd|calc',
  "'; drop table entry; --",
  '__proto__',
  -1,
  0.1,
  1e308,
  -1e308,
  Number.MAX_SAFE_INTEGER,
  Number.MAX_SAFE_INTEGER + 2,
  253_402_300_800_000,
  true,
  [],
  {},
  [[[[[[[[]]]]]]]],
  { __proto__: { a: 1 } },
  { toString: 1, constructor: 2 },
  Array.from({ length: 3_000 }, (_, i) => i),
  '00000000-0000-0000-0000-000000000000',
  '2026-02-30',
]

/** Texts that JSON.stringify does not write. */
const RAW = [
  '1e400',
  '-1e400',
  `${'['.repeat(1_500)}${']'.repeat(1_500)}`,
  '"\\ud800"',
  '{"a":1,"a":2}',
  'NaN',
  '01',
  '',
]

/** A claim of every kind that a ledger of an earlier version holds, as if it were of this kitchen. */
export function seedClaims(kitchen: Id, by: Id): AnyClaim[] {
  const file = join(__dirname, '../../../core/src/test/golden/every-kind-2.ndjson')
  const entries = readFileSync(file, 'utf8')
    .trimEnd()
    .split('\n')
    .map((line) => JSON.parse(line) as Partial<SealedEntry>)
    .flatMap(({ claim }) => (claim ? [claim] : []))
  const kinds = new Map(entries.map((claim) => [claim.kind, claim]))
  return [...kinds.values()].map((claim) => {
    const about = claim.about.type === 'kitchen' ? { ...claim.about, id: kitchen } : claim.about
    return { ...claim, kitchen, by, about }
  })
}

/** A body for POST /api/entries that is wrong somewhere, as text. */
export function malformedPost(claims: readonly AnyClaim[], now: number, chance: Chance): string {
  const some = Array.from({ length: 1 + chance(3) }, () => broken(claims[chance(claims.length)]!, chance))
  const post = { sentAt: now, entries: some }
  const text = JSON.stringify(chance(8) === 0 ? broken(post, chance) : post)
  if (chance(6) > 0) return text
  return chance(2) ? spoiled(text, chance) : text.replace(/:("[^"]*"|\d+)/, `:${RAW[chance(RAW.length)]!}`)
}

/** An address of a route with something in each place that may or may not be right. */
export function malformedAddress(path: string, ids: readonly Id[], chance: Chance): string {
  const odd = () => {
    const value = NASTY[chance(NASTY.length)]
    const text = typeof value === 'string' ? value : JSON.stringify(value)
    return chance(2)
      ? ids[chance(ids.length)]!
      : encodeURIComponent(text.replace(/[\ud800-\udfff]/g, '')).slice(0, 2_000) || 'x'
  }
  const filled = path.replace(/\{[^}]*\}/g, odd)
  const names = ['code', 'text', 'from', 'to', 'items', 'copies', 'paper', 'after', 'seq']
  const query = Array.from({ length: chance(4) }, () => `${names[chance(names.length)]!}=${odd()}`).join('&')
  return chance(20) === 0 ? `${filled}%` : query ? `${filled}?${query}` : filled
}

/** The same with one thing in it changed, taken away or put in. */
function broken<T>(value: T, chance: Chance): T {
  const copy = structuredClone(value)
  let at: Record<string, unknown> = copy as Record<string, unknown>
  for (let depth = 0; depth < 6; depth++) {
    const names = Object.keys(at)
    const name = names[chance(names.length)]
    const inner = name === undefined ? undefined : at[name]
    if (name === undefined || typeof inner !== 'object' || inner === null || chance(3) === 0) {
      const nasty = NASTY[chance(NASTY.length)]
      if (name === undefined || chance(6) === 0) at[`unknown${chance(9)}`] = nasty
      else if (chance(4) === 0) delete at[name]
      else at[name] = nasty
      break
    }
    at = inner as Record<string, unknown>
  }
  return copy
}

/** Text with some of its bytes changed, cut off or doubled. */
function spoiled(text: string, chance: Chance): string {
  const at = chance(text.length)
  const ways = [
    text.slice(0, at),
    `${text.slice(0, at)}${String.fromCharCode(chance(256))}${text.slice(at + 1)}`,
    `${text}${text.slice(at)}`,
    `${text.slice(0, at)}${'{"a":'.repeat(chance(3_000))}${text.slice(at)}`,
  ]
  return ways[chance(ways.length)]!
}
