import { createHash, randomBytes } from 'node:crypto'
import { Injectable } from '@nestjs/common'
import { isId, type Id } from '@logged-thermal/core'
import { Subject } from 'rxjs'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import type { LockOut, Tablet } from '../http/answers'
import { Problem } from '../http/problem'
import { Contacts } from './contacts.service'

/** Lock-outs of so many days are shown to the lead. */
const SHOWN_DAYS = 30

/** A shared tablet that the lead has enrolled. */
export interface OwnTablet {
  kitchenId: Id
  id: Id
}

/** Tablets that belong to a kitchen: enrolled, seen, forgotten. */
@Injectable()
export class Tablets {
  /** Tablets as they are forgotten, by id. */
  readonly forgotten = new Subject<Id>()

  constructor(
    private readonly scope: KitchenScope,
    private readonly contacts: Contacts,
  ) {}

  /** The tablet of a cookie; null for a stranger's, or one that was forgotten. */
  async find(cookie: string | null): Promise<OwnTablet | null> {
    const [kitchenId = '', secret = ''] = cookie?.split('.') ?? []
    if (!isId(kitchenId)) return null
    const tablet = await this.scope.inKitchen(kitchenId, async (em) => {
      const [row] = await query<{ id: Id }>(em, {
        sql: 'select id from tablet where kitchen_id = ? and secret_hash = ? and forgotten_at is null',
        params: [kitchenId, hashOf(secret)],
      })
      if (!row) return null
      return { kitchenId, id: row.id }
    })
    if (tablet) await this.contacts.heard(tablet)
    return tablet
  }

  /** Returns the cookie by which it is known from now on; only its hash is kept. */
  async enrol(kitchenId: Id, name: string, by: Id): Promise<string> {
    const secret = randomBytes(32).toString('base64url')
    const now = new Date(clock.now())
    await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: `insert into tablet (kitchen_id, id, name, secret_hash, enrolled_at, enrolled_by, seen_at)
          values (?, ?, ?, ?, ?, ?, ?)`,
        params: [kitchenId, uuid(), name, hashOf(secret), now, by, now],
      }),
    )
    return `${kitchenId}.${secret}`
  }

  /** It is a stranger's at once: its shifts end with it. */
  async forget(kitchenId: Id, id: Id): Promise<void> {
    const rows = await this.scope.inKitchen(kitchenId, (em) =>
      query(em, {
        sql: 'update tablet set forgotten_at = ? where kitchen_id = ? and id = ? and forgotten_at is null returning id',
        params: [new Date(clock.now()), kitchenId, id],
      }),
    )
    if (rows.length === 0) throw new Problem(404, 'not there', 'This kitchen has no such tablet.', 'id')
    this.forgotten.next(id)
  }

  /** Those that are known, the last seen first; and who was locked out lately. */
  list(kitchenId: Id, own: OwnTablet | null): Promise<{ tablets: Tablet[]; lockOuts: LockOut[] }> {
    return this.scope.inKitchen(kitchenId, async (em) => {
      const tablets = await query<{ id: Id; name: string; enrolled_at: string; seen_at: string | null }>(em, {
        sql: `select id, name, enrolled_at, seen_at from tablet
          where kitchen_id = ? and forgotten_at is null order by seen_at desc nulls last, id`,
        params: [kitchenId],
      })
      const lockOuts = await query<{ at: string; person: string; tablet: string | null; wrong: number; until: string }>(
        em,
        {
          sql: `select l.at, p.name as person, t.name as tablet, l.wrong, l.until
          from lock_out l join person p on p.kitchen_id = l.kitchen_id and p.id = l.person_id
          left join tablet t on t.kitchen_id = l.kitchen_id and t.id::text = l.place
          where l.kitchen_id = ? and l.at > ? order by l.at desc limit 100`,
          params: [kitchenId, new Date(clock.now() - SHOWN_DAYS * 86_400_000)],
        },
      )
      return {
        tablets: tablets.map(({ id, name, enrolled_at, seen_at }) => ({
          id,
          name,
          enrolledAt: Date.parse(enrolled_at),
          seenAt: seen_at === null ? null : Date.parse(seen_at),
          here: id === own?.id,
        })),
        lockOuts: lockOuts.map(({ at, until, ...said }) => ({ ...said, at: Date.parse(at), until: Date.parse(until) })),
      }
    })
  }
}

function hashOf(secret: string): string {
  return createHash('sha256').update(secret).digest('hex')
}
