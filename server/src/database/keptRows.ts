import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id } from '@logged-thermal/core'
import { query } from './query'

/** Kitchens whose rows are kept at a time; the one that was asked for longest ago goes first. */
const KITCHENS = 20

/**
 * Rows of a projection as they were read last. A row's `seq` is the last entry that changed it, and entries are committed
 * in the order of theirs: only rows with a later one than any that was seen are read again. Nobody may change what is
 * handed out.
 */
export class KeptRows<T extends object> {
  private readonly kitchens = new Map<Id, Kept<T>>()

  /**
   * @param table of folded states
   * @param columns to read of it
   * @param held which of its rows are wanted: an expression that is true for them
   * @param order in which they are handed out
   */
  constructor(
    private readonly table: string,
    private readonly columns: string,
    private readonly held: string,
    private readonly order: (a: T, b: T) => number,
  ) {}

  async read(em: EntityManager, kitchenId: Id): Promise<readonly Readonly<T>[]> {
    const { table, columns, held, order } = this
    const known = this.kitchens.get(kitchenId)
    const rows = await query<T & { id: Id; seq: string; held: boolean }>(em, {
      sql: `select id, seq, ${held} as held, ${columns} from ${table} where kitchen_id = ? and ${known ? 'seq > ?' : held}`,
      params: known ? [kitchenId, known.seq] : [kitchenId],
    })
    if (known && rows.length === 0) return known.rows
    const byId = new Map(known?.byId)
    for (const row of rows) {
      if (row.held) byId.set(row.id, row)
      else byId.delete(row.id)
    }
    const seq = Math.max(known?.seq ?? 0, ...rows.map((row) => Number(row.seq)))
    return this.keep(kitchenId, { seq, byId, rows: [...byId.values()].sort(order) })
  }

  private keep(kitchenId: Id, kept: Kept<T>): readonly T[] {
    this.kitchens.delete(kitchenId)
    this.kitchens.set(kitchenId, kept)
    const [oldest] = this.kitchens.keys()
    if (this.kitchens.size > KITCHENS) this.kitchens.delete(oldest!)
    return kept.rows
  }
}

interface Kept<T> {
  /** Of the latest row that was seen. */
  seq: number
  byId: Map<Id, T>
  rows: readonly T[]
}
