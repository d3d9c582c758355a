import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { isFault } from '@logged-thermal/core'
import { configFrom } from '../config'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../database/ormConfig'
import { rebuild } from '../ledger/rebuild'
import { verify } from '../ledger/verify'
import { Kitchen } from '../people/kitchen.entity'

/** `verify` walks every kitchen's chain; `rebuild` folds every projection anew from it. */
async function run(command: string | undefined): Promise<void> {
  if (command !== 'verify' && command !== 'rebuild')
    throw new Error('Say which: npm run ledger -- verify, or npm run ledger -- rebuild')
  const orm = await MikroORM.init(ormConfig(configFrom(process.env).databaseUrl))
  try {
    const scope = new KitchenScope(orm.em.fork())
    for (const { id, name } of await orm.em.fork().find(Kitchen, {})) {
      console.log(
        `${name}: ${command === 'verify' ? await verified(scope, id) : `${await rebuild(scope, id)} entries folded anew.`}`,
      )
    }
  } finally {
    await orm.close()
  }
}

async function verified(scope: KitchenScope, kitchenId: string): Promise<string> {
  const result = await verify(scope, kitchenId)
  if (!isFault(result)) return `${result.seq} entries, none altered, none missing. Head ${result.hash}`
  process.exitCode = 1
  return `entry ${result.seq}: ${result.fault}.`
}

void run(process.argv[2]).catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
