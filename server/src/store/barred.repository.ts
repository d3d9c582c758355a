import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id, LineageBar } from '@logged-thermal/core'
import { query } from '../database/query'
import { StatesRepository } from '../ledger/states.repository'

/** Kitchens whose answer is kept at a time; the one that was asked for longest ago goes first. */
const KITCHENS = 20
const GENERATIONS = 12

/** What bars items through their lineage. */
@Injectable()
export class BarredRepository {
  /** Per kitchen, by the number of its last entry: nothing but an entry changes what is barred. */
  private readonly kept = new Map<Id, { seq: number; bars: ReadonlyMap<Id, LineageBar> }>()

  constructor(private readonly states: StatesRepository) {}

  /** Items that are held because of what they were made of, however far back, and by what. Nobody may change it. */
  async items(em: EntityManager, kitchenId: Id): Promise<ReadonlyMap<Id, LineageBar>> {
    const seq = await this.states.lastSeq(em, kitchenId)
    const known = this.kept.get(kitchenId)
    if (known?.seq === seq) return known.bars
    const bars = await walked(em, kitchenId)
    this.kept.delete(kitchenId)
    this.kept.set(kitchenId, { seq, bars })
    const [oldest] = this.kept.keys()
    if (this.kept.size > KITCHENS) this.kept.delete(oldest!)
    return bars
  }
}

/** Down from all that bars. What was left over of a batch that was thrown away never was in it. */
async function walked(em: EntityManager, kitchenId: Id): Promise<ReadonlyMap<Id, LineageBar>> {
  const rows = await query<{ item: Id; type: LineageBar['type']; id: Id; code: string; why: LineageBar['why'] }>(em, {
    sql: `with recursive bar (type, id, code, why) as (
        select 'batch', id, code, barred from batch where kitchen_id = ? and barred is not null
        union all select 'item', id, code, barred from item where kitchen_id = ? and barred is not null
        union all select 'lot', id, code, barred from lot where kitchen_id = ? and barred is not null
      ), walk (of_type, of_id, code, why, id, generation) as (
        select bar.type, bar.id, bar.code, bar.why, e.child_id, 1
        from bar join edge e on e.kitchen_id = ? and e.parent_id = bar.id
        where bar.type <> 'batch' or bar.why <> 'discarded' or not exists (
          select from item i where i.kitchen_id = e.kitchen_id and i.id = e.child_id and i.card ->> 'what' = 'by-product')
        union
        select w.of_type, w.of_id, w.code, w.why, e.child_id, w.generation + 1
        from walk w join edge e on e.kitchen_id = ? and e.parent_id = w.id where w.generation < ?
      )
      select distinct on (i.id) i.id as item, w.of_type as type, w.of_id as id, w.code, w.why
      from walk w join item i on i.kitchen_id = ? and i.id = w.id and i.live
      order by i.id, w.generation`,
    params: [kitchenId, kitchenId, kitchenId, kitchenId, kitchenId, GENERATIONS, kitchenId],
  })
  return new Map(rows.map(({ item, ...bar }) => [item, bar]))
}
