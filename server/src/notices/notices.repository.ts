import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { DAY, type Id, type Instant, type NoticeWish } from '@logged-thermal/core'
import { query } from '../database/query'

export interface Wish extends NoticeWish {
  to: string
  /** When it was switched on. */
  since: Instant
}

interface Row {
  mail_to: string
  urgent: boolean
  digest: boolean
  quiet_from: string | null
  quiet_until: string | null
  since: string
}

/** What went out is remembered for so long, ms: no matter is told again within it. */
const REMEMBERED = 400 * DAY

@Injectable()
export class NoticesRepository {
  async wish(em: EntityManager, kitchenId: Id): Promise<Wish | null> {
    const [row] = await query<Row>(em, {
      sql: 'select mail_to, urgent, digest, quiet_from, quiet_until, since from notice_wish where kitchen_id = ?',
      params: [kitchenId],
    })
    if (!row) return null
    const { mail_to: to, urgent, digest, quiet_from: from, quiet_until: until, since } = row
    return { to, urgent, digest, quiet: from && until ? { from, until } : null, since: Number(since) }
  }

  /** null: nobody is told any more. */
  async setWish(em: EntityManager, kitchenId: Id, wish: Wish | null): Promise<void> {
    await query(em, { sql: 'delete from notice_wish where kitchen_id = ?', params: [kitchenId] })
    if (!wish) return
    const { to, urgent, digest, quiet, since } = wish
    await query(em, {
      sql: `insert into notice_wish (kitchen_id, mail_to, urgent, digest, quiet_from, quiet_until, since)
        values (?, ?, ?, ?, ?, ?, ?)`,
      params: [kitchenId, to, urgent, digest, quiet?.from ?? null, quiet?.until ?? null, since],
    })
  }

  /** What went out, by name, the latest first. */
  async sent(em: EntityManager, kitchenId: Id): Promise<{ name: string; at: Instant }[]> {
    const rows = await query<{ name: string; at: string }>(em, {
      sql: 'select name, at from notice_sent where kitchen_id = ? order by at desc, name',
      params: [kitchenId],
    })
    return rows.map(({ name, at }) => ({ name, at: Number(at) }))
  }

  async remember(em: EntityManager, kitchenId: Id, name: string, at: Instant): Promise<void> {
    await query(em, {
      sql: 'insert into notice_sent (kitchen_id, name, at) values (?, ?, ?) on conflict (kitchen_id, name) do nothing',
      params: [kitchenId, name, at],
    })
    await query(em, {
      sql: 'delete from notice_sent where kitchen_id = ? and at < ?',
      params: [kitchenId, at - REMEMBERED],
    })
  }
}
