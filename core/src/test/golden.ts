import { createHash } from 'node:crypto'
import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { apply } from '../admission/fold'
import { asFolded, touches } from '../admission/kinds'
import type { Instant } from '../ground/instant'
import { batchStanding, judgeBatch, rulingDate } from '../judgement/batch/judgeBatch'
import { itemStanding } from '../judgement/keeping/itemStanding'
import type { SealedEntry } from '../ledger/entry'
import type { Id } from '../ledger/subject'
import { limitsAt } from '../rules/limitSet'
import type { BatchState } from '../state/batch'
import type { ItemState } from '../state/item'
import type { LimitsState } from '../state/state'
import type { UnitState } from '../state/unit'

/** A ledger as a release wrote it, and how it judged that then: it opens with every later one. */
export interface Golden {
  header: Header
  entries: SealedEntry[]
  then: Judged
}

export interface Header {
  zone: string
  now: Instant
  limits: Id
  kitchen: Id
  recordedWith: string
}

export interface Judged {
  batches: Record<
    Id,
    { code: string; standing: string; checks: [string, string, Instant | null][]; until: Instant | null }
  >
  items: Record<
    Id,
    { code: string; asks: string; until: Instant | null; heat: string; advisory: boolean; allergens: string[] }
  >
}

export const sha256 = (text: string) => createHash('sha256').update(text).digest('hex')

const fileOf = (name: string) => join(__dirname, 'golden', `${name}.ndjson`)

export function readGolden(name: string): Golden {
  const lines = readFileSync(fileOf(name), 'utf8').trimEnd().split('\n')
  const [first, ...rest] = lines.map((line) => JSON.parse(line) as unknown)
  return {
    header: (first as Pick<Golden, 'header'>).header,
    entries: rest.slice(0, -1) as SealedEntry[],
    then: (rest.at(-1) as Pick<Golden, 'then'>).then,
  }
}

/** A line for its header, one an entry, and one for how it is judged by the present code. */
export function writeGolden(name: string, header: Header, entries: readonly SealedEntry[]): void {
  const lines = [{ header }, ...entries, { then: judgedNow(header, entries) }]
  writeFileSync(fileOf(name), lines.map((line) => `${JSON.stringify(line)}\n`).join(''))
}

/** How the present code judges a ledger at the time of its header. */
export function judgedNow({ zone, now, limits: id }: Header, entries: readonly SealedEntry[]): Judged {
  const states = opened(entries)
  const of = <T>(type: string) =>
    [...states].filter(([key]) => key.startsWith(`${type} `)).map(([, state]) => state as T)
  const limits = limitsAt((states.get(`limits ${id}`) as LimitsState).versions, now)!
  const store = { units: of<UnitState>('unit'), limits, zone }
  return {
    batches: Object.fromEntries(
      of<BatchState>('batch').map((batch) => {
        const findings = judgeBatch(batch, { zone }, now)
        const checks = findings.map(({ check, standing, deadline }): [string, string, Instant | null] => [
          check.key,
          standing,
          deadline,
        ])
        const until = rulingDate(findings)?.deadline ?? null
        return [batch.id, { code: batch.code, standing: batchStanding(findings), checks, until }]
      }),
    ),
    items: Object.fromEntries(
      of<ItemState>('item').map((item) => {
        const { asks, until } = itemStanding(item, store, now)
        const { heat, advisory, allergens } = item.facts
        return [item.id, { code: item.code, asks, until, heat, advisory, allergens }]
      }),
    ),
  }
}

function opened(entries: readonly SealedEntry[]): Map<string, unknown> {
  const states = new Map<string, unknown>()
  for (const sealed of entries) {
    const entry = asFolded(sealed)
    for (const { type, id } of touches(entry.claim, entry.seal)) {
      const fold = apply[type] as (id: Id, state: unknown, entry: SealedEntry) => unknown
      states.set(`${type} ${id}`, fold(id, states.get(`${type} ${id}`) ?? null, entry))
    }
  }
  return states
}
