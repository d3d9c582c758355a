import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id, ItemCard } from '@logged-thermal/core'
import { query } from '../database/query'

/** What a failed check throws doubt on, as states in JSON. */
export interface Doubted {
  batches: string
  batchIds: Id[]
  items: string
  lots: string
  units: string
  /** The other instruments that it changed: those that were checked against it. */
  instruments: Id[]
}

const NOTHING: Doubted = { batches: '[]', batchIds: [], items: '[]', lots: '[]', units: '[]', instruments: [] }

@Injectable()
export class DoubtedRepository {
  /** What the entry of a failed check changes beside its instrument; nothing for no check. */
  async by(em: EntityManager, kitchenId: Id, check: Id | null): Promise<Doubted> {
    if (check === null) return NOTHING
    const of = async (table: 'batch' | 'item' | 'lot' | 'unit' | 'instrument') =>
      query<{ id: Id; state: string }>(em, {
        sql: `select t.id, t.state::text as state from entry e
            join entry_subject s on s.kitchen_id = e.kitchen_id and s.seq = e.seq
            join ${table} t on t.kitchen_id = s.kitchen_id and t.id = s.subject_id
          where e.kitchen_id = ? and e.id = ? order by t.id`,
        params: [kitchenId, check],
      })
    const [batches, items, lots, units] = [await of('batch'), await of('item'), await of('lot'), await of('unit')]
    const instruments = await of('instrument')
    const listed = (rows: { state: string }[]) => `[${rows.map(({ state }) => state).join()}]`
    return {
      batches: listed(batches),
      batchIds: batches.map(({ id }) => id),
      items: listed(items),
      lots: listed(lots),
      units: listed(units),
      instruments: instruments.map(({ id }) => id),
    }
  }

  /** What was put away of each batch: what is left of it and where, and what is gone. */
  async leftOf(em: EntityManager, kitchenId: Id, batches: readonly Id[]): Promise<(batch: Id) => ItemCard[]> {
    const rows = await query<{ batch: Id; card: ItemCard }>(em, {
      sql: `select e.parent_id as batch, i.card from edge e
          join item i on i.kitchen_id = e.kitchen_id and i.id = e.child_id
        where e.kitchen_id = ? and e.parent_type = 'batch' and e.parent_id = any(?::uuid[]) order by i.id`,
      params: [kitchenId, `{${batches.join()}}`],
    })
    return (batch) => rows.filter((row) => row.batch === batch).map(({ card }) => card)
  }
}
