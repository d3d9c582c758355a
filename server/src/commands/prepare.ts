import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { configFrom } from '../config'
import { grantTo } from '../database/grants'
import { ormConfig } from '../ormConfig'
import { DEMO_KITCHEN, DEMO_PEOPLE, firstLead, seedDemo, seedKitchen } from '../demo/seed'
import { foldAnew } from '../ledger/foldAnew'
import { Kitchen } from '../people/kitchen.entity'
import { clock, clockFrom } from '../clock/clock'

/** Migrates, grants, and fills an empty database: with the demo, or with --empty a kitchen without batches. */
async function prepare(): Promise<void> {
  clockFrom(process.env)
  const { databaseUrl, ownerUrl } = configFrom(process.env)
  const appRole = decodeURIComponent(new URL(databaseUrl).username)
  const owner = await MikroORM.init(ormConfig(ownerUrl))
  await owner.getMigrator().up()
  if (ownerUrl !== databaseUrl) await grantTo(appRole, owner)
  await owner.close()
  if (ownerUrl === databaseUrl) {
    console.log('One database role serves and owns: only the triggers keep the logbook from being changed.')
  }

  const orm = await MikroORM.init(ormConfig(databaseUrl))
  try {
    const folded = await foldAnew(orm.em.fork())
    if (folded > 0) console.log(`Folded the logbook anew for ${folded === 1 ? 'one kitchen' : `${folded} kitchens`}.`)
    await fill(orm)
  } finally {
    await orm.close()
  }
}

async function fill(orm: MikroORM): Promise<void> {
  const zone = process.env.LT_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone
  const known = await orm.em.fork().find(Kitchen, {})
  if (known.length === 0 && process.argv.includes('--empty')) {
    const { name, people } = await seedKitchen(orm, {
      name: 'This kitchen',
      zone,
      people: firstLead(),
      now: clock.now(),
    })
    console.log(`${name} is new. Keep this, it is told only once:`)
    for (const person of people) console.log(`  ${person.name}, PIN ${person.pin}`)
    return
  }
  const demo =
    known.length === 0
      ? (await seedDemo(orm, zone, clock.now())).name
      : known.find(({ name }) => name === DEMO_KITCHEN)?.name
  if (!demo) return
  console.log(`Demo kitchen: ${demo}`)
  for (const { name, job, pin } of DEMO_PEOPLE) console.log(`  ${name.padEnd(12)} ${job.padEnd(18)} PIN ${pin}`)
}

void prepare().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
