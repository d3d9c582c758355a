import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import type { AnyClaim, Id, Seal, SealedEntry } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'

/** An entry as it is stored. */
export interface EntryRow {
  hash: string
  canon: string
}

/** Reads the logbook. */
@Injectable()
export class Entries {
  constructor(private readonly scope: KitchenScope) {}

  /** Entries after a number, in order. */
  after(kitchenId: Id, seq: number, most: number): Promise<SealedEntry[]> {
    return this.scope.inKitchen(kitchenId, (em) => readAfter(em, kitchenId, seq, most))
  }

  /** The hash of an entry; null where there is none of that number. */
  hashOf(kitchenId: Id, seq: number): Promise<string | null> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const [row] = await query<{ hash: string }>(em, {
        sql: 'select hash from entry where kitchen_id = ? and seq = ?',
        params: [kitchenId, seq],
      })
      return row?.hash ?? null
    })
  }

  /** All entries that touched a batch, in order. */
  ofBatch(kitchenId: Id, batchId: Id): Promise<SealedEntry[]> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const rows = await em.execute<EntryRow[]>(
        `select hash, canon from entry where kitchen_id = ? and (about_id = ? or moved_to = ? or of_batch = ?) order by seq`,
        [kitchenId, batchId, batchId, batchId],
      )
      return rows.map(entryOf)
    })
  }
}

export async function readAfter(
  em: SqlEntityManager,
  kitchenId: Id,
  seq: number,
  most: number,
): Promise<SealedEntry[]> {
  const rows = await query<EntryRow>(em, {
    sql: `select hash, canon from entry where kitchen_id = ? and seq > ? order by seq limit ?`,
    params: [kitchenId, seq, most],
  })
  return rows.map(entryOf)
}

export function entryOf({ hash, canon }: EntryRow): SealedEntry {
  const { claim, seal } = JSON.parse(canon) as { claim: AnyClaim; seal: Omit<Seal, 'hash'> }
  return { claim, seal: { ...seal, hash } }
}
