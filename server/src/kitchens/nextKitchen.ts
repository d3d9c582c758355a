import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { DAY, type Instant } from '@logged-thermal/core'
import { newSetUpCode, setUpHash } from './setUpCode'

/**
 * A code with which another kitchen is set up in the browser, good once and for a day. Codes that were given before and
 * never used are good no more.
 * @param owner of the role that owns: who serves may give none
 */
export async function nextKitchenCode(owner: SqlEntityManager, now: Instant): Promise<string> {
  const code = newSetUpCode()
  await owner.execute('delete from set_up where another')
  await owner.execute('insert into set_up (code_hash, another, good_until) values (?, true, ?)', [
    setUpHash(code),
    new Date(now + DAY),
  ])
  return code
}
