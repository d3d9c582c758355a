import { createHash, randomBytes } from 'node:crypto'
import { verify } from '@node-rs/argon2'
import { Injectable } from '@nestjs/common'
import type { EntityManager } from '@mikro-orm/postgresql'
import { HOUR, type Id, type Role } from '@logged-thermal/core'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { byName, countTry, endSessions, link, linked, withoutCodes, type AccountRow } from './accountRows'
import { lockOf, TRIES, waitWords } from './guesses'
import { recoveryHash, stepOfCode } from './oneTimeCodes'
import { normalPassword } from './password'
import { STRANGERS } from './pins.service'
import { hashSecret } from './secretHash'

/** A password opens the door for so long, ms. */
const LASTS = 12 * HOUR

/** Somebody who signed in with a password, and who they are in which kitchen. */
export interface Account {
  id: Id
  name: string
  /** One-time codes are asked for beside the password. */
  codes: boolean
  kitchens: { id: Id; name: string; person: Id; role: Role }[]
}

/** Who signs in with a password. What an account may see or do in a kitchen is what its person may there, and nothing more. */
@Injectable()
export class Accounts {
  constructor(private readonly scope: KitchenScope) {}

  /**
   * Gives a person of a kitchen a password under a name to sign in with: theirs anew, or one that they have from another
   * kitchen, whose password it then has to be. Whoever is signed in with it is signed out. Throws a Problem about `called`
   * where somebody else has that name.
   * @param current the password as it is. What opens other kitchens too changes with it alone: a PIN of this one is not enough
   */
  async give(kitchen: Id, person: Id, called: string, password: string, current: string | null): Promise<void> {
    const [own, other] = await this.run(async (em) => [
      await linked(em, kitchen, person),
      (await byName(em, called, false)) ?? null,
    ])
    if (other && other.id !== own) {
      if (own)
        throw new Problem(409, 'already there', 'Somebody signs in with that name already. Take another.', 'called')
      const known = await this.requirePassword(called, password, null, 'password alone').catch(() => {
        const sentence = 'Somebody signs in with that name already. If it is you, type the password that you have.'
        throw new Problem(409, 'already there', sentence, 'called')
      })
      return this.run((em) => link(em, known.id, kitchen, person))
    }
    if (own) await this.requireCurrent(own, current)
    const hash = await hashSecret(normalPassword(password))
    const id = own ?? uuid()
    await this.run(async (em) => {
      if (own)
        await query(em, {
          sql: 'update account set name = ?, password_hash = ?, wrong = 0, locked_until = null where id = ?',
          params: [called, hash, id],
        })
      else {
        await query(em, {
          sql: 'insert into account (id, name, password_hash) values (?, ?, ?)',
          params: [id, called, hash],
        })
        await link(em, id, kitchen, person)
      }
      await endSessions(em, id)
    })
    await this.endShifts(id)
  }

  /**
   * Signs in. Returns the token for the cookie; only its hash is kept, and the session of the cookie that came ends. Throws
   * a Problem where the name or the password is wrong, a code is missing or wrong, or the name is locked.
   */
  async signIn(called: string, password: string, code: string | null, cookie: string | null): Promise<string> {
    const account = await this.requirePassword(called, password, code)
    const token = randomBytes(32).toString('base64url')
    await this.run(async (em) => {
      if (cookie) await this.end(em, cookie)
      await query(em, {
        sql: 'insert into account_session (token_hash, account_id, opened_at) values (?, ?, ?)',
        params: [hashOf(token), account.id, new Date(clock.now())],
      })
    })
    return token
  }

  /** Who is signed in with a cookie, in those kitchens where they work; null: nobody. */
  async find(cookie: string): Promise<Account | null> {
    const row = await this.run(async (em) => {
      const [found] = await query<Pick<AccountRow, 'id' | 'name' | 'code_since'>>(em, {
        sql: `select a.id, a.name, a.code_since from account_session s join account a on a.id = s.account_id
          where s.token_hash = ? and s.ended_at is null and s.opened_at > ?`,
        params: [hashOf(cookie), new Date(clock.now() - LASTS)],
      })
      return found
    })
    if (!row) return null
    const kitchens = await this.kitchensOf(row.id)
    return { id: row.id, name: row.name, codes: row.code_since !== null, kitchens }
  }

  async signOut(cookie: string): Promise<void> {
    await this.run((em) => this.end(em, cookie))
  }

  /** A secret waits for its first code: one-time codes are not on before it came. */
  async prepareCodes({ id, name }: Account, password: string, secret: string): Promise<void> {
    await this.requirePassword(name, password, null, 'password alone')
    await this.run((em) =>
      query(em, {
        sql: 'update account set code_secret = ?, code_since = null, code_step = 0 where id = ?',
        params: [secret, id],
      }),
    )
  }

  /** The first code of the secret that waits: from now on one is asked for. Throws a Problem about `code`. */
  async turnCodesOn({ name }: Account, code: string, recovery: readonly string[]): Promise<void> {
    await this.run(async (em) => {
      const row = await byName(em, name)
      const step = row?.code_secret ? stepOfCode(row.code_secret, code, clock.now()) : null
      if (step === null)
        throw new Problem(
          403,
          'wrong code',
          'That is not the code that the app shows now. Wait for the next one.',
          'code',
        )
      await query(em, {
        sql: 'update account set code_since = ?, code_step = ?, recovery = ? where id = ?',
        params: [new Date(clock.now()), step, `{${recovery.map(recoveryHash).join()}}`, row!.id],
      })
    })
  }

  async turnCodesOff({ id, name }: Account, password: string): Promise<void> {
    await this.requirePassword(name, password, null, 'password alone')
    await this.run((em) => withoutCodes(em, id))
  }

  /** For whoever looks after the machine: another password, no codes asked for, nobody signed in. False: no such name. */
  async reset(called: string, password: string): Promise<boolean> {
    const hash = await hashSecret(normalPassword(password))
    const id = await this.run(async (em) => {
      const row = await byName(em, called)
      if (!row) return null
      await query(em, {
        sql: 'update account set password_hash = ?, wrong = 0, locked_until = null where id = ?',
        params: [hash, row.id],
      })
      await withoutCodes(em, row.id)
      await endSessions(em, row.id)
      return row.id
    })
    if (id !== null) await this.endShifts(id)
    return id !== null
  }

  private async requireCurrent(account: Id, current: string | null): Promise<void> {
    const [row] = await this.run((em) =>
      query<{ name: string; kitchens: string }>(em, {
        sql: `select name, (select count(*) from account_person where account_id = a.id) as kitchens
          from account a where id = ?`,
        params: [account],
      }),
    )
    if (!row || Number(row.kitchens) < 2) return
    if (current === null)
      throw new Problem(
        409,
        'current needed',
        'This password opens another kitchen too. Type it as it is now; forgotten, it is given on the server.',
        'current',
      )
    await this.requirePassword(row.name, current, null, 'password alone').catch((error: unknown) => {
      if (error instanceof Problem) throw new Problem(error.status, error.code, error.sentence, 'current')
      throw error
    })
  }

  /** Each try is counted before it is checked, and counts no more once password and code are right. */
  private async requirePassword(
    called: string,
    password: string,
    code: string | null = null,
    asked: 'password alone' | 'code too' = 'code too',
  ): Promise<AccountRow> {
    const account = await this.run((em) => countTry(em, called))
    if (account?.locked) {
      const wait = waitWords(account.locked - clock.now())
      throw new Problem(429, 'locked', `Too many wrong tries. Try again in ${wait}.`, 'password')
    }
    // Whether there is such a name is told by no answer, and not by how long it takes.
    const right = await verify(account?.password_hash ?? (await NOBODY), normalPassword(password))
    if (!account || !right) {
      if (account && account.wrong >= TRIES) await this.tellLeads(account)
      throw new Problem(403, 'wrong password', 'Wrong name or password.', 'password')
    }
    if (asked === 'code too' && account.code_since !== null) await this.requireCode(account, code)
    await this.run((em) =>
      query(em, { sql: 'update account set wrong = 0, locked_until = null where id = ?', params: [account.id] }),
    )
    return account
  }

  /** A code of the app, or one for whoever lost it; each is good once. */
  private async requireCode(account: AccountRow, code: string | null): Promise<void> {
    if (code === null) {
      await this.run((em) =>
        query(em, {
          sql: 'update account set wrong = greatest(0, wrong - 1), locked_until = null where id = ?',
          params: [account.id],
        }),
      )
      throw new Problem(401, 'code needed', 'Type the code that your app shows, or one of your recovery codes.', 'code')
    }
    const taken = await this.run(async (em) => {
      const step = stepOfCode(account.code_secret ?? '', code, clock.now())
      const [used] =
        step === null
          ? await query<{ id: Id }>(em, {
              sql: 'update account set recovery = array_remove(recovery, ?) where id = ? and ? = any(recovery) returning id',
              params: [recoveryHash(code), account.id, recoveryHash(code)],
            })
          : await query<{ id: Id }>(em, {
              sql: 'update account set code_step = ? where id = ? and code_step < ? returning id',
              params: [step, account.id, step],
            })
      return used !== undefined
    })
    if (taken) return
    if (account.wrong >= TRIES) await this.tellLeads(account)
    throw new Problem(403, 'wrong code', 'Wrong code. Each is good once: wait for the next one.', 'code')
  }

  /** Where the account works, its lead sees that it was locked. */
  private async tellLeads({ id, wrong }: AccountRow): Promise<void> {
    const now = clock.now()
    for (const { id: kitchen, person } of await this.kitchensOf(id))
      await this.scope.inKitchen(kitchen, (em) =>
        query(em, {
          sql: 'insert into lock_out (kitchen_id, at, person_id, place, wrong, until) values (?, ?, ?, ?, ?, ?)',
          params: [kitchen, new Date(now), person, STRANGERS, wrong, new Date(now + lockOf(wrong))],
        }),
      )
  }

  /** Whoever has the password no more has no shift by it either: those of the account's people, but on tablets of the kitchen. */
  private async endShifts(account: Id): Promise<void> {
    for (const { id: kitchen, person } of await this.kitchensOf(account))
      await this.scope.inKitchen(kitchen, (em) =>
        query(em, {
          sql: `update shift set ended_at = ?
            where kitchen_id = ? and person_id = ? and tablet_id is null and ended_at is null`,
          params: [new Date(clock.now()), kitchen, person],
        }),
      )
  }

  /** One kitchen after the other: the database shows a kitchen's people to nobody who does not say which it is. */
  private async kitchensOf(account: Id): Promise<Account['kitchens']> {
    const links = await this.run((em) =>
      query<{ kitchen: Id; person: Id }>(em, {
        sql: 'select kitchen_id as kitchen, person_id as person from account_person where account_id = ?',
        params: [account],
      }),
    )
    const found = await Promise.all(
      links.map(({ kitchen, person }) =>
        this.scope.inKitchen(kitchen, async (em) => {
          const [row] = await query<{ name: string; role: Role | null }>(em, {
            sql: 'select name, role_here(id, ?) as role from kitchen where id = ?',
            params: [person, kitchen],
          })
          return row?.role ? [{ id: kitchen, name: row.name, person, role: row.role }] : []
        }),
      ),
    )
    return found.flat().sort((a, b) => a.name.localeCompare(b.name))
  }

  private run<T>(work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.scope.inNone(work)
  }

  private end(em: EntityManager, cookie: string): Promise<unknown> {
    return query(em, {
      sql: 'update account_session set ended_at = ? where token_hash = ? and ended_at is null',
      params: [new Date(clock.now()), hashOf(cookie)],
    })
  }
}

/** No password of anybody. */
const NOBODY = hashSecret(randomBytes(16).toString('hex'))

function hashOf(token: string): string {
  return createHash('sha256').update(token).digest('hex')
}
