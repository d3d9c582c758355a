import { randomBytes } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id } from '@logged-thermal/core'
import { query } from '../database/query'

/** The secret address of each kitchen's calendar. */
@Injectable()
export class CalendarRepository {
  /** The secret in the address; null where nobody has asked for one. */
  async secret(em: EntityManager, kitchenId: Id): Promise<string | null> {
    const [row] = await query<{ secret: string }>(em, {
      sql: 'select secret from feed where kitchen_id = ?',
      params: [kitchenId],
    })
    return row?.secret ?? null
  }

  /** The same, made the first time it is asked for. */
  async secretOrNew(em: EntityManager, kitchenId: Id): Promise<string> {
    await query(em, {
      sql: 'insert into feed (kitchen_id, secret) values (?, ?) on conflict do nothing',
      params: [kitchenId, fresh()],
    })
    return (await this.secret(em, kitchenId))!
  }

  /** Another one: the old address answers no more. */
  async renew(em: EntityManager, kitchenId: Id): Promise<string> {
    const secret = fresh()
    await query(em, {
      sql: `insert into feed (kitchen_id, secret) values (?, ?)
        on conflict (kitchen_id) do update set secret = excluded.secret`,
      params: [kitchenId, secret],
    })
    return secret
  }
}

function fresh(): string {
  return randomBytes(24).toString('base64url')
}
