import { createHash } from 'node:crypto'
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { Instant } from '../ground/instant'
import { asFolded, touches } from '../admission/kinds'
import { verifyChain } from '../ledger/chain'
import type { Id } from '../ledger/subject'
import type { SealedEntry } from '../ledger/entry'
import { limitsAt } from '../rules/limitSet'
import type { BatchState } from '../state/batch'
import type { ItemState } from '../state/item'
import { apply } from '../admission/fold'
import type { LimitsState } from '../state/state'
import type { UnitState } from '../state/unit'
import { itemStanding } from '../judgement/keeping/itemStanding'
import { batchStanding, judgeBatch, rulingDate } from '../judgement/batch/judgeBatch'

interface Golden {
  header: { zone: string; now: Instant; limits: Id; kitchen: Id; recordedWith: string }
  entries: SealedEntry[]
  then: {
    batches: Record<
      Id,
      { code: string; standing: string; checks: [string, string, Instant | null][]; until: Instant | null }
    >
    items: Record<
      Id,
      { code: string; asks: string; until: Instant | null; heat: string; advisory: boolean; allergens: string[] }
    >
  }
}
/** What these rules judge otherwise than those that it was recorded with, and why. Anything else that changes is a fault. */
const INTENDED: Record<string, Record<string, string>> = {
  demo: {
    '61-2 boil-out: unproven to proven': 'What is only for quality is not read as often as a floor.',
  },
  store: Object.fromEntries(
    ['b-0', 'b-2', 'b-4', 'b-6', 'b-8'].flatMap((code) =>
      ['standing', 'cool-first', ...(['b-6', 'b-8'].includes(code) ? [] : ['cool-total'])].map((what) => [
        `${code} ${what}: open to unproven`,
        'Hot hours ago, and read only hot: nothing will be proven of its cooling any more.',
      ]),
    ),
  ),
  families: Object.fromEntries(
    ['Y-118', 'W-204', 'E-077'].map((code) => [
      `${code} until: 1805155200000 to 1804291200000`,
      'A carton that was poured from is open, whether somebody tapped that or not.',
    ]),
  ),
  kinds: {
    'k-3 rework: proven to unproven': 'Typed as 78 °C after 32 °C it may be 78 °F: a minute later it is read again.',
    'k-3 standing: proven to unproven': 'As its rework.',
  },
}

const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

function golden(name: string): Golden {
  const lines = readFileSync(join(__dirname, 'golden', `${name}.ndjson`), 'utf8')
    .trimEnd()
    .split('\n')
  const [first, ...rest] = lines.map((line) => JSON.parse(line) as unknown)
  return {
    header: (first as Pick<Golden, 'header'>).header,
    entries: rest.slice(0, -1) as SealedEntry[],
    then: (rest.at(-1) as Pick<Golden, 'then'>).then,
  }
}

function opened(entries: readonly SealedEntry[]): Map<string, unknown> {
  const states = new Map<string, unknown>()
  for (const sealed of entries) {
    const entry = asFolded(sealed)
    for (const { type, id } of touches(entry.claim)) {
      const fold = apply[type] as (id: Id, state: unknown, entry: SealedEntry) => unknown
      states.set(`${type} ${id}`, fold(id, states.get(`${type} ${id}`) ?? null, entry))
    }
  }
  return states
}

function changes(name: string): string[] {
  const { header, entries, then } = golden(name)
  const { zone, now } = header
  expect(verifyChain(entries, sha256)).toMatchObject({ seq: entries.length })
  const states = opened(entries)
  const of = <T>(type: string) =>
    [...states].filter(([key]) => key.startsWith(`${type} `)).map(([, state]) => state as T)
  const limits = limitsAt((states.get(`limits ${header.limits}`) as LimitsState).versions, now)!
  const found: string[] = []
  expect(
    of<BatchState>('batch')
      .map(({ id }) => id)
      .sort(),
  ).toEqual(Object.keys(then.batches).sort())
  expect(
    of<ItemState>('item')
      .map(({ id }) => id)
      .sort(),
  ).toEqual(Object.keys(then.items).sort())
  for (const batch of of<BatchState>('batch')) {
    const was = then.batches[batch.id]!
    const findings = judgeBatch(batch, { zone }, now)
    const until = rulingDate(findings)?.deadline ?? null
    const say = (what: string, before: unknown, after: unknown) =>
      before === after || found.push(`${was.code} ${what}: ${String(before)} to ${String(after)}`)
    say('standing', was.standing, batchStanding(findings))
    say('until', was.until, until)
    const all = new Map(findings.map((finding) => [finding.check.key, finding]))
    for (const [key, standing, deadline] of was.checks) {
      say(key, standing, all.get(key)?.standing)
      say(`${key} deadline`, deadline, all.get(key)?.deadline)
    }
    for (const key of all.keys()) if (!was.checks.some(([known]) => known === key)) found.push(`${was.code} has ${key}`)
  }
  for (const item of of<ItemState>('item')) {
    const was = then.items[item.id]!
    const is = itemStanding(item, { units: of<UnitState>('unit'), limits, zone }, now)
    const say = (what: string, before: unknown, after: unknown) =>
      before === after || found.push(`${was.code} ${what}: ${String(before)} to ${String(after)}`)
    say('asks', was.asks, is.asks)
    say('until', was.until, is.until)
    say('heat', was.heat, item.facts.heat)
    say('advisory', was.advisory, item.facts.advisory)
    say('allergens', String(was.allergens), String(item.facts.allergens))
  }
  return found
}

describe('a ledger of an earlier version', () => {
  it.each(['demo', 'store', 'families', 'kinds'])(
    'opens, and is judged as it was, but for what was meant: %s',
    (name) => {
      expect(changes(name).sort()).toEqual(Object.keys(INTENDED[name]!).sort())
    },
  )
})
