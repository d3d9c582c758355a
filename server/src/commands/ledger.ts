import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { isFault } from '@logged-thermal/core'
import { configFrom } from '../config'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../ormConfig'
import { rebuild } from '../ledger/rebuild'
import { verify } from '../ledger/verify'
import { worseBatches } from '../ledger/worseBatches'
import { Kitchen } from '../people/kitchen.entity'

/** What is done with each kitchen's logbook, and what is said of it. */
const COMMANDS: Record<string, (scope: KitchenScope, kitchenId: string) => Promise<string>> = {
  verify: verified,
  rebuild: async (scope, id) => `${await rebuild(scope, id)} entries folded anew.`,
  worse: listedWorse,
}

/**
 * `verify` walks every kitchen's chain; `rebuild` folds every projection anew from it; `worse` lists the batches that are
 * over and that today's rules judge worse than their own record.
 */
async function run(command = ''): Promise<void> {
  const act = COMMANDS[command]
  if (!act) throw new Error('Say which: npm run ledger -- verify, rebuild or worse')
  const orm = await MikroORM.init(ormConfig(configFrom(process.env).databaseUrl))
  try {
    const scope = new KitchenScope(orm.em.fork())
    for (const { id, name } of await orm.em.fork().find(Kitchen, {})) {
      console.log(`${name}: ${await act(scope, id)}`)
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

async function listedWorse(scope: KitchenScope, kitchenId: string): Promise<string> {
  const found = await worseBatches(scope, kitchenId)
  const lines = found.map(({ code, method, day, checks }) => `  ${code} ${method}, ${day}: ${checks.join(', ')}`)
  return lines.length === 0
    ? 'no batch that is over is judged worse than its record.'
    : [`${lines.length} batches that are over are judged worse than their record:`, ...lines].join('\n')
}

void run(process.argv[2]).catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
