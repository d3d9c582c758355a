import type { AnyClaim, Id } from '@logged-thermal/core'
import { comingMemory, inTime, type Memory, type WaitingEntry } from './database'
import type { IDBPDatabase } from 'idb'

/** Down to the disk before it is answered for: a power cut does not take it. */
const STRICT = { durability: 'strict' } as const

/** Writes entries down behind those that wait. Resolves to whether they lie on this tablet; null: it keeps nothing. */
export function keepEntries(claims: readonly AnyClaim[]): Promise<boolean> | null {
  return kept(async (db) => {
    const { store, done } = db.transaction('outbox', 'readwrite', STRICT)
    await Promise.all([...claims.map((claim) => store.add({ claim, seq: null, refusal: null })), done])
  })
}

/** What became of entries: the number of each that is recorded, or why it is refused. */
export function keepOutcomes(outcomes: readonly ({ id: Id } & Omit<WaitingEntry, 'claim'>)[]): Promise<boolean> | null {
  return kept(async (db) => {
    const { store, done } = db.transaction('outbox', 'readwrite')
    for (const { id, seq, refusal } of outcomes) {
      const known = await store.index('id').get(id)
      if (known) await store.put({ ...known, seq, refusal })
    }
    await done
  })
}

/** Puts another claim in the place of one that was refused; null forgets it. */
export function keepSettled(id: Id, claim: AnyClaim | null): Promise<boolean> | null {
  return kept(async (db) => {
    const { store, done } = db.transaction('outbox', 'readwrite', STRICT)
    const n = await store.index('id').getKey(id)
    if (n !== undefined) await (claim ? store.put({ n, claim, seq: null, refusal: null }) : store.delete(n))
    await done
  })
}

/** What was entered here and the kept Line does not have, in the order of entering. */
export async function keptEntries(): Promise<WaitingEntry[]> {
  const all = (await (await comingMemory())?.getAll('outbox')) ?? []
  return all.map(({ claim, seq, refusal }) => ({ claim, seq, refusal }))
}

/**
 * False where the disk is full or too slow, or the browser took its database away; null: there is none. What comes too late
 * is written down once it can be.
 */
function kept(write: (db: IDBPDatabase<Memory>) => Promise<void>): Promise<boolean> | null {
  const written = comingMemory()?.then(async (db) => {
    if (!db) return false
    await write(db)
    return true
  })
  return written
    ? inTime(
        written.catch(() => false),
        false,
      )
    : null
}
