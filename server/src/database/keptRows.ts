import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id } from '@logged-thermal/core'
import { query } from './query'

/** Kitchens whose rows are kept at a time; the one that was asked for longest ago goes first. */
const KITCHENS = 20

/**
 * Rows of a projection as they were read last. What is in a row follows from the entries up to its `seq`, so that a row is
 * read again only once that has changed. Nobody may change what is handed out.
 */
export class KeptRows<T extends object> {
  private readonly kitchens = new Map<Id, Map<Id, T & Row>>()

  /**
   * @param table of folded states
   * @param columns to read of it
   * @param which condition and order
   */
  constructor(
    private readonly table: string,
    private readonly columns: string,
    private readonly which: string,
  ) {}

  async read(em: EntityManager, kitchenId: Id): Promise<readonly Readonly<T>[]> {
    const { table, columns, which } = this
    const rows = await query<Row>(em, {
      sql: `select id, seq from ${table} where kitchen_id = ? ${which}`,
      params: [kitchenId],
    })
    const known = this.kitchens.get(kitchenId)
    const changed = rows.filter(({ id, seq }) => known?.get(id)?.seq !== seq).map(({ id }) => id)
    const fresh = changed.length
      ? await query<T & Row>(em, {
          sql: `select id, seq, ${columns} from ${table} where kitchen_id = ? and id = any(?::uuid[])`,
          params: [kitchenId, `{${changed.join(',')}}`],
        })
      : []
    const read = new Map(fresh.map((row) => [row.id, row]))
    const kept = new Map(rows.map(({ id }) => [id, read.get(id) ?? known!.get(id)!]))
    this.keep(kitchenId, kept)
    return [...kept.values()]
  }

  private keep(kitchenId: Id, rows: Map<Id, T & Row>): void {
    this.kitchens.delete(kitchenId)
    this.kitchens.set(kitchenId, rows)
    const [oldest] = this.kitchens.keys()
    if (this.kitchens.size > KITCHENS) this.kitchens.delete(oldest!)
  }
}

interface Row {
  id: Id
  seq: string
}
