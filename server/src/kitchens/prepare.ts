import { MikroORM } from '@mikro-orm/postgresql'
import { clockFrom } from '../clock/clock'
import { configFrom } from '../config'
import { grantTo } from '../database/grants'
import { KitchenScope } from '../database/kitchenScope'
import { prepareJobs } from '../jobs/prepareJobs'
import { ormConfig } from '../ormConfig'
import { Kitchen } from '../people/kitchen.entity'
import { sealPeople } from './sealPeople'
import { newSetUpCode, setUpHash } from './setUpCode'

/**
 * Migrates and grants, as the owner of the database.
 * @param options.empty a database without a kitchen gets a code with which one is set up in the browser; the console tells it
 * @returns its own connection, to be closed by whoever asked
 */
export async function prepare(env: NodeJS.ProcessEnv, { empty }: { empty: boolean }): Promise<MikroORM> {
  clockFrom(env)
  const { databaseUrl, ownerUrl } = configFrom(env)
  const appRole = decodeURIComponent(new URL(databaseUrl).username)
  const owner = await MikroORM.init(ormConfig(ownerUrl))
  await owner.getMigrator().up()
  if (ownerUrl !== databaseUrl) await grantTo(appRole, owner)
  await prepareJobs(ownerUrl, appRole, owner)
  if (empty) await awaitSetUp(owner)
  await sealPeople(new KitchenScope(owner.em.fork()))
  if (ownerUrl === databaseUrl) {
    console.log('One database role serves and owns: only the triggers keep the logbook from being changed.')
  }
  return owner
}

async function awaitSetUp(orm: MikroORM): Promise<void> {
  const [known] = await orm.em.fork().find(Kitchen, {})
  if (known) {
    console.log(`--empty begins a new database. This one has a kitchen, ${known.name}: it stays as it is.`)
    return
  }
  const code = newSetUpCode()
  await orm.em.execute('delete from set_up')
  await orm.em.execute('insert into set_up (code_hash) values (?)', [setUpHash(code)])
  console.log(`No kitchen is set up yet. Open the address below and type this set-up code: ${code}`)
}
