import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { clockFrom } from '../clock/clock'
import { configFrom } from '../config'
import { grantTo } from '../database/grants'
import { newSetUpCode, setUpHash } from '../kitchens/setUpCode'
import { ormConfig } from '../ormConfig'
import { KitchenScope } from '../database/kitchenScope'
import { sealPeople } from '../kitchens/sealPeople'
import { Kitchen } from '../people/kitchen.entity'

/** Migrates and grants; with --empty an empty database gets a code with which its kitchen is set up in the browser. */
async function prepare(): Promise<void> {
  clockFrom(process.env)
  const { databaseUrl, ownerUrl } = configFrom(process.env)
  const appRole = decodeURIComponent(new URL(databaseUrl).username)
  const owner = await MikroORM.init(ormConfig(ownerUrl))
  await owner.getMigrator().up()
  if (ownerUrl !== databaseUrl) await grantTo(appRole, owner)
  if (process.argv.includes('--empty')) await awaitSetUp(owner)
  await sealPeople(new KitchenScope(owner.em.fork()))
  await owner.close()
  if (ownerUrl === databaseUrl) {
    console.log('One database role serves and owns: only the triggers keep the logbook from being changed.')
  }
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

void prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
