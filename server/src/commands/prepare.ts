import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { clock, clockFrom } from '../clock/clock'
import { configFrom } from '../config'
import { grantTo } from '../database/grants'
import { firstLead, seedKitchen } from '../kitchens/newKitchen'
import { ormConfig } from '../ormConfig'
import { KitchenScope } from '../database/kitchenScope'
import { sealPeople } from '../kitchens/sealPeople'
import { Kitchen } from '../people/kitchen.entity'

/** Migrates and grants; with --empty an empty database gets a kitchen without batches. */
async function prepare(): Promise<void> {
  clockFrom(process.env)
  const { databaseUrl, ownerUrl } = configFrom(process.env)
  const appRole = decodeURIComponent(new URL(databaseUrl).username)
  const owner = await MikroORM.init(ormConfig(ownerUrl))
  await owner.getMigrator().up()
  if (ownerUrl !== databaseUrl) await grantTo(appRole, owner)
  if (process.argv.includes('--empty')) await firstKitchen(owner)
  await sealPeople(new KitchenScope(owner.em.fork()))
  await owner.close()
  if (ownerUrl === databaseUrl) {
    console.log('One database role serves and owns: only the triggers keep the logbook from being changed.')
  }
}

async function firstKitchen(orm: MikroORM): Promise<void> {
  const [known] = await orm.em.fork().find(Kitchen, {})
  if (known) {
    console.log(`--empty begins a new database. This one has a kitchen, ${known.name}: it stays as it is.`)
    return
  }
  const zone = process.env.LT_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone
  const { name, people } = await seedKitchen(orm, {
    name: 'This kitchen',
    zone,
    people: firstLead(),
    now: clock.now(),
    bare: true,
  })
  console.log(`${name} is new. Keep this, it is told only once:`)
  for (const person of people) console.log(`  ${person.name}, PIN ${person.pin}`)
}

void prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
