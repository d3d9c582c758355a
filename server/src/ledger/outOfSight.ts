import type { SqlEntityManager } from '@mikro-orm/postgresql'
import {
  disputable,
  isAskedToo,
  isOfHistory,
  isUnheard,
  type AnyClaim,
  type Id,
  type Read,
  type SealedEntry,
  type Subject,
  type World,
} from '@logged-thermal/core'
import { query } from '../database/query'
import { entryOf, type EntryRow } from './entries.service'

/** Where entries are looked for. */
interface Records {
  em: SqlEntityManager
  kitchenId: Id
  read: Read
  world: World
  /** Those of a number under this; left out: all. */
  before?: number
  /** Sealed in this transaction, and not written yet. */
  unwritten?: readonly SealedEntry[]
  /** Makes the states known that other claims look at; left out: all are. */
  load?: (claim: AnyClaim) => Promise<void>
}

/** Whether anything that a claim looks at was changed by an entry that its tablet had not heard of. */
export async function hasUnheard(claim: AnyClaim, records: Records): Promise<boolean> {
  const found = await entriesOf([claim], records, claim.serverSeen ?? Infinity)
  return found.some((entry) => isUnheard(entry, claim))
}

/** All that was entered of what a claim looks at, and of what those look at that it may contradict, in chain order. */
export async function historyOf(claim: AnyClaim, records: Records): Promise<SealedEntry[]> {
  const own = await entriesOf([claim], records)
  const others = own.filter((entry) => isAskedToo(entry, claim)).map((entry) => entry.claim)
  if (others.length === 0) return own
  for (const other of others) await records.load?.(other)
  return entriesOf([claim, ...others], records)
}

async function entriesOf(
  claims: readonly AnyClaim[],
  { em, kitchenId, read, world, before, unwritten = [] }: Records,
  after = 0,
): Promise<SealedEntry[]> {
  const subjects = claims.flatMap((claim) => disputable(claim, read, world))
  if (subjects.length === 0 || after === Infinity) return []
  const rows = await query<EntryRow>(em, {
    sql: `select hash, canon from entry where kitchen_id = ? and seq > ? and seq < ? and seq in (
        select seq from entry where kitchen_id = ? and about_id = any(?::uuid[])
        union select seq from entry_subject where kitchen_id = ? and subject_id = any(?::uuid[])) order by seq`,
    params: [
      kitchenId,
      after,
      before ?? Number.MAX_SAFE_INTEGER,
      kitchenId,
      idsOf(subjects),
      kitchenId,
      idsOf(subjects.filter(({ type }) => type !== 'unit' && type !== 'instrument')),
    ],
  })
  const written = rows.map(entryOf)
  return [...written, ...unwritten.filter((entry) => subjects.some((subject) => isOfHistory(entry, subject)))]
}

function idsOf(subjects: readonly Subject[]): string {
  return `{${[...new Set(subjects.map(({ id }) => id))].join()}}`
}
