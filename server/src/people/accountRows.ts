import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { FORGOTTEN_AFTER, lockOf, TRIES } from './guesses'

/** A sign-in as it is kept. */
export interface AccountRow {
  id: Id
  name: string
  password_hash: string
  wrong: number
  wrong_at: string | null
  locked_until: string | null
  code_secret: string | null
  code_since: string | null
  code_step: string
  recovery: string[]
}

/** The account of a name with this try counted; `locked`: until then, and it was not counted. */
export async function countTry(
  em: EntityManager,
  called: string,
): Promise<(AccountRow & { locked: number | null }) | null> {
  const row = await byName(em, called)
  if (!row) return null
  const now = clock.now()
  const locked = row.locked_until === null ? 0 : Date.parse(row.locked_until)
  if (locked > now) return { ...row, locked }
  const forgotten = row.wrong_at === null || now - Date.parse(row.wrong_at) > FORGOTTEN_AFTER
  const wrong = forgotten ? 1 : row.wrong + 1
  await query(em, {
    sql: 'update account set wrong = ?, wrong_at = ?, locked_until = ? where id = ?',
    params: [wrong, new Date(now), wrong >= TRIES ? new Date(now + lockOf(wrong)) : null, row.id],
  })
  return { ...row, wrong, locked: null }
}

export async function byName(em: EntityManager, called: string, locked = true): Promise<AccountRow | undefined> {
  const [row] = await query<AccountRow>(em, {
    sql: `select * from account where lower(name) = lower(?)${locked ? ' for update' : ''}`,
    params: [called.trim()],
  })
  return row
}

export async function linked(em: EntityManager, kitchen: Id, person: Id): Promise<Id | null> {
  const [row] = await query<{ id: Id }>(em, {
    sql: 'select account_id as id from account_person where kitchen_id = ? and person_id = ?',
    params: [kitchen, person],
  })
  return row?.id ?? null
}

/** One person of a kitchen for an account: somebody with two names there would be two. */
export async function link(em: EntityManager, account: Id, kitchen: Id, person: Id): Promise<void> {
  const [made] = await query<{ account_id: Id }>(em, {
    sql: `insert into account_person (account_id, kitchen_id, person_id) values (?, ?, ?)
      on conflict do nothing returning account_id`,
    params: [account, kitchen, person],
  })
  if (!made)
    throw new Problem(
      409,
      'already there',
      'That name is somebody else’s in this kitchen already. Take another.',
      'called',
    )
}

export function withoutCodes(em: EntityManager, id: Id): Promise<unknown> {
  return query(em, {
    sql: `update account set code_secret = null, code_since = null, code_step = 0, recovery = '{}' where id = ?`,
    params: [id],
  })
}

export function endSessions(em: EntityManager, id: Id): Promise<unknown> {
  return query(em, {
    sql: 'update account_session set ended_at = ? where account_id = ? and ended_at is null',
    params: [new Date(clock.now()), id],
  })
}
