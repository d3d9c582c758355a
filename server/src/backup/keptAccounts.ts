import type { EntityManager } from '@mikro-orm/postgresql'
import type { Id } from '@logged-thermal/core'
import { query } from '../database/query'

/** A sign-in as a backup has it: nobody has to be given another password after a restore. */
export interface KeptAccount {
  id: Id
  name: string
  passwordHash: string
  codeSecret: string | null
  codeSince: string | null
  codeStep: string
  recovery: string[]
  people: { kitchen: Id; person: Id }[]
}

/** Sign-ins of those who work in one of these kitchens, with what they are there. */
export async function accountsOf(em: EntityManager, kitchens: readonly Id[]): Promise<KeptAccount[]> {
  return query<KeptAccount>(em, {
    sql: `select a.id, a.name, a.password_hash as "passwordHash", a.code_secret as "codeSecret",
        a.code_since as "codeSince", a.code_step::text as "codeStep", a.recovery,
        json_agg(json_build_object('kitchen', p.kitchen_id, 'person', p.person_id) order by p.kitchen_id) as people
      from account a join account_person p on p.account_id = a.id
      where p.kitchen_id = any(?::uuid[]) group by a.id order by a.id`,
    params: [`{${kitchens.join()}}`],
  })
}

export async function takeAccounts(em: EntityManager, accounts: readonly KeptAccount[]): Promise<void> {
  for (const { id, name, passwordHash, codeSecret, codeSince, codeStep, recovery, people } of accounts) {
    await query(em, {
      sql: `insert into account (id, name, password_hash, code_secret, code_since, code_step, recovery)
        values (?, ?, ?, ?, ?, ?, ?)`,
      params: [id, name, passwordHash, codeSecret, codeSince, codeStep, `{${recovery.join()}}`],
    })
    for (const { kitchen, person } of people)
      await query(em, {
        sql: 'insert into account_person (account_id, kitchen_id, person_id) values (?, ?, ?)',
        params: [id, kitchen, person],
      })
  }
}
