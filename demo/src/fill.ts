import 'reflect-metadata'
import { clock, Kitchen, prepare } from '@logged-thermal/server'
import { DEMO_ACCOUNT, seedSecondKitchen } from './secondKitchen'
import { DEMO_KITCHEN, DEMO_PEOPLE, seedDemo } from './seed'

/** Prepares a database, fills an empty one with the demo, and says who is there. One with a kitchen of its own stays as it is. */
async function fill(): Promise<void> {
  const orm = await prepare(process.env, { empty: false })
  try {
    const zone = process.env.LT_ZONE ?? Intl.DateTimeFormat().resolvedOptions().timeZone
    const known = await orm.em.fork().find(Kitchen, {})
    if (known.length === 0) {
      const now = clock.now()
      await seedSecondKitchen(orm, await seedDemo(orm, zone, now), zone, now)
    }
    if (known.length > 0 && !known.some(({ name }) => name === DEMO_KITCHEN)) return
    console.log(`Demo kitchen: ${DEMO_KITCHEN}`)
    for (const { name, job, pin } of DEMO_PEOPLE) console.log(`  ${name.padEnd(12)} ${job.padEnd(18)} PIN ${pin}`)
    const { called, password } = DEMO_ACCOUNT
    console.log(`  Both kitchens of the demo beside each other, under /sign-in: ${called}, ${password}`)
  } finally {
    await orm.close()
  }
}

void fill().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
