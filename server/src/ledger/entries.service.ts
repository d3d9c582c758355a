import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import type { AnyClaim, Id, Seal, SealedEntry } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'

interface Row {
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

  /** All entries that touched a batch, in order. */
  ofBatch(kitchenId: Id, batchId: Id): Promise<SealedEntry[]> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const rows = await em.execute<Row[]>(
        `select hash, canon from entry where kitchen_id = ? and (about_id = ? or moved_to = ? or of_batch = ?) order by seq`,
        [kitchenId, batchId, batchId, batchId],
      )
      return rows.map(entryOf)
    })
  }
}

/** All entries that changed a subject, in order; some that did not may be among them. */
export async function entriesOf(em: SqlEntityManager, kitchenId: Id, subject: Id): Promise<SealedEntry[]> {
  const rows = await query<Row>(em, {
    sql: `select hash, canon from entry where kitchen_id = ? and seq in (
        select seq from entry where kitchen_id = ? and about_id = ?
        union select seq from entry_subject where kitchen_id = ? and subject_id = ?) order by seq`,
    params: [kitchenId, kitchenId, subject, kitchenId, subject],
  })
  return rows.map(entryOf)
}

export async function readAfter(
  em: SqlEntityManager,
  kitchenId: Id,
  seq: number,
  most: number,
): Promise<SealedEntry[]> {
  const rows = await query<Row>(em, {
    sql: `select hash, canon from entry where kitchen_id = ? and seq > ? order by seq limit ?`,
    params: [kitchenId, seq, most],
  })
  return rows.map(entryOf)
}

function entryOf({ hash, canon }: Row): SealedEntry {
  const { claim, seal } = JSON.parse(canon) as { claim: AnyClaim; seal: Omit<Seal, 'hash'> }
  return { claim, seal: { ...seal, hash } }
}
