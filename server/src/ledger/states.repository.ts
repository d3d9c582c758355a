import { Injectable } from '@nestjs/common'
import type { SqlEntityManager } from '@mikro-orm/postgresql'
import type { Id, States, SubjectType } from '@logged-thermal/core'
import { query } from '../database/query'
import { TABLES } from './statements'

/** Lots that may still be taken: the latest, and all that something held was made of. */
const LATEST_LOTS = 200

/** What was folded of a kitchen's entries, as it is kept. Every method runs in the transaction of its `em`. */
@Injectable()
export class StatesRepository {
  /** The number of the kitchen's last entry; 0 before the first. */
  async lastSeq(em: SqlEntityManager, kitchenId: Id): Promise<number> {
    const [head] = await query<{ seq: string }>(em, {
      sql: 'select seq from chain_head where kitchen_id = ?',
      params: [kitchenId],
    })
    return Number(head?.seq ?? 0)
  }

  /** The state of a subject; null where there is none of that id. */
  async one<T extends SubjectType>(em: SqlEntityManager, kitchenId: Id, type: T, id: Id): Promise<States[T] | null> {
    const [state] = await this.some(em, kitchenId, type, [id])
    return state ?? null
  }

  /** The states of those of the subjects that there are, by id. */
  some<T extends SubjectType>(em: SqlEntityManager, kitchenId: Id, type: T, ids: readonly Id[]): Promise<States[T][]> {
    return read(em, `from ${TABLES[type]} where kitchen_id = ? and id = any(?::uuid[]) order by id`, [
      kitchenId,
      `{${ids.join(',')}}`,
    ])
  }

  /** Every subject of a type, by id. */
  all<T extends SubjectType>(em: SqlEntityManager, kitchenId: Id, type: T): Promise<States[T][]> {
    return read(em, `from ${TABLES[type]} where kitchen_id = ? order by id`, [kitchenId])
  }

  /** The same, a list as JSON: what is only handed on need not be read. */
  allAsJson(em: SqlEntityManager, kitchenId: Id, type: SubjectType): Promise<string> {
    return readAsJson(em, `from ${TABLES[type]} where kitchen_id = ? order by id`, [kitchenId])
  }

  /** InstrumentStates as JSON. What was read with each is the server's to look up: it is left out. */
  async instruments(em: SqlEntityManager, kitchenId: Id): Promise<string> {
    const rows = await query<{ state: string }>(em, {
      sql: `select jsonb_set(state, '{uses}', '[]')::text as state from instrument where kitchen_id = ? order by id`,
      params: [kitchenId],
    })
    return `[${rows.map(({ state }) => state).join()}]`
  }

  /** Batches that stand on the Line: each a BatchState as JSON. */
  openBatches(em: SqlEntityManager, kitchenId: Id): Promise<string[]> {
    return readTexts(em, 'from batch where kitchen_id = ? and not closed and not put_away order by id', [kitchenId])
  }

  /** The last batches that were begun, the latest first; of one method, where it is named. BatchStates as JSON. */
  lastBatches(em: SqlEntityManager, kitchenId: Id, most: number, method?: Id): Promise<string> {
    const ofMethod = method === undefined ? '' : `and state #>> '{method,id}' = ?`
    return readAsJson(em, `from batch where kitchen_id = ? ${ofMethod} order by seq desc limit ?`, [
      kitchenId,
      ...(method === undefined ? [] : [method]),
      most,
    ])
  }

  /** What is held: what was used up or went into the bin is history. ItemStates as JSON. */
  heldItems(em: SqlEntityManager, kitchenId: Id): Promise<string> {
    return readAsJson(em, 'from item where kitchen_id = ? and live order by id', [kitchenId])
  }

  /** LotStates as JSON. */
  lotsInUse(em: SqlEntityManager, kitchenId: Id): Promise<string> {
    return readAsJson(
      em,
      `from lot l where kitchen_id = ? and (seq >= coalesce(
           (select seq from lot where kitchen_id = ? order by seq desc offset ? limit 1), 0)
         or exists (select from edge e join item i on i.kitchen_id = e.kitchen_id and i.id = e.child_id
           where e.kitchen_id = l.kitchen_id and e.parent_id = l.id and i.live))
       order by id`,
      [kitchenId, kitchenId, LATEST_LOTS],
    )
  }
}

async function read<S>(em: SqlEntityManager, from: string, params: unknown[]): Promise<S[]> {
  const rows = await query<{ state: S }>(em, { sql: `select state ${from}`, params })
  return rows.map(({ state }) => state)
}

async function readAsJson(em: SqlEntityManager, from: string, params: unknown[]): Promise<string> {
  return `[${(await readTexts(em, from, params)).join()}]`
}

async function readTexts(em: SqlEntityManager, from: string, params: unknown[]): Promise<string[]> {
  const rows = await query<{ state: string }>(em, { sql: `select state::text as state ${from}`, params })
  return rows.map(({ state }) => state)
}
