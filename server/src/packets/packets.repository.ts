import { Injectable } from '@nestjs/common'
import type { Id } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import type { PacketAnswer } from '../http/answers'

/** A packet that was asked for: waits, is being made, is ready, and is gone after a week. */
export type Packet = Omit<PacketAnswer, 'keptUntil'>

/** Packets listed at most, the latest first. */
const MOST = 50

const COLUMNS = `id, asked_by as "askedBy", asked_at::float8 as "askedAt", from_day::text as "fromDay", to_day::text as "toDay",
  scale, language, state, done, of, bytes::float8 as bytes, said`

@Injectable()
export class PacketsRepository {
  constructor(private readonly scope: KitchenScope) {}

  list(kitchen: Id): Promise<Packet[]> {
    return this.scope.inKitchen(kitchen, (em) =>
      query<Packet>(em, {
        sql: `select ${COLUMNS} from packet where kitchen_id = ? order by asked_at desc limit ${MOST}`,
        params: [kitchen],
      }),
    )
  }

  async one(kitchen: Id, id: Id): Promise<Packet | null> {
    const [packet] = await this.scope.inKitchen(kitchen, (em) =>
      query<Packet>(em, {
        sql: `select ${COLUMNS} from packet where kitchen_id = ? and id = ?`,
        params: [kitchen, id],
      }),
    )
    return packet ?? null
  }

  async add(kitchen: Id, { id, askedBy, askedAt, fromDay, toDay, scale, language }: Asked): Promise<void> {
    await this.scope.inKitchen(kitchen, (em) =>
      query(em, {
        sql: `insert into packet (kitchen_id, id, asked_by, asked_at, from_day, to_day, scale, language, state)
          values (?, ?, ?, ?, ?, ?, ?, ?, 'waits')`,
        params: [kitchen, id, askedBy, askedAt, fromDay, toDay, scale, language],
      }),
    )
  }

  /** Changes what is given, unless it was cancelled meanwhile. @returns whether it was not */
  async change(
    kitchen: Id,
    id: Id,
    change: Partial<Pick<Packet, 'state' | 'done' | 'of' | 'bytes' | 'said'>>,
  ): Promise<boolean> {
    const names = Object.keys(change)
    const rows = await this.scope.inKitchen(kitchen, (em) =>
      query(em, {
        sql: `update packet set ${names.map((name) => `${name} = ?`).join(', ')}
          where kitchen_id = ? and id = ? and state <> 'cancelled' returning id`,
        params: [...Object.values(change), kitchen, id],
      }),
    )
    return rows.length > 0
  }
}

export type Asked = Pick<Packet, 'id' | 'askedBy' | 'askedAt' | 'fromDay' | 'toDay' | 'scale' | 'language'>
