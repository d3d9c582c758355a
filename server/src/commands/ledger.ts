import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { configFrom } from '../config'
import { KitchenScope } from '../database/kitchenScope'
import { ormConfig } from '../ormConfig'
import { rebuild } from '../ledger/rebuild'
import { hasSeals, sealsIn } from '../sealing/sealing.module'
import { faultSentence } from '../verify/fault'
import { verify } from '../verify/verify'
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

/** As many faults are told one by one. */
const MOST_TOLD = 50

async function verified(scope: KitchenScope, kitchenId: string): Promise<string> {
  const { databaseUrl, ownerUrl, dataFolder } = configFrom(process.env)
  const role = ownerUrl === databaseUrl ? null : decodeURIComponent(new URL(databaseUrl).username)
  const seals = dataFolder !== null && hasSeals(dataFolder) ? sealsIn(dataFolder) : null
  const { entries, hash, older, signed, faults } = await verify(scope, kitchenId, { seals, role })
  const notes = [
    seals ? `${signed} signed heads agree.` : 'No heads were signed: nothing outside the database vouches for it.',
    ...(older > 0 ? [`${older} entries were admitted under older rules, and not gone through again.`] : []),
  ]
  if (faults.length === 0) return [`${entries} entries, none altered, none missing. Head ${hash}.`, ...notes].join(' ')
  process.exitCode = 1
  const told = faults.slice(0, MOST_TOLD).map((fault) => `  ${faultSentence(fault)}`)
  const more = faults.length > MOST_TOLD ? [`  and ${faults.length - MOST_TOLD} more.`] : []
  return [`${entries} entries, ${faults.length} faults. ${notes.join(' ')}`, ...told, ...more].join('\n')
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
