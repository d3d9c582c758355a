import {
  Accounts,
  append,
  claimMaker,
  KitchenScope,
  seedKitchen,
  type Seeded,
  type SeedPerson,
} from '@logged-thermal/server'
import { HOUR, type Id, type Instant } from '@logged-thermal/core'
import type { MikroORM } from '@mikro-orm/postgresql'
import { fewClaims } from './seed'

/** Another kitchen of our own invention; whoever leads both audits it. */
const SECOND_KITCHEN = 'Tollgate Lane pastry'
const PEOPLE: SeedPerson[] = [
  { key: 'ilse', name: 'Runa Tveit', role: 'lead', job: 'food-safety lead', pin: '518206' },
  { key: 'mina', name: 'Per Lund', role: 'cook', job: 'cook', pin: '2741' },
  { key: 'teo', name: 'Sia Moll', role: 'cook', job: 'cook', pin: '9603' },
  { key: 'group', name: 'I. Varrow', role: 'inspector', job: 'group lead', pin: '8841' },
]
/** It was set up so long ago, ms: its eggs are fresh. */
const FOUNDED = 8 * HOUR
const RUNS = ['Sea-buckthorn curd', 'Rye-malt custard', 'Walnut-leaf nog']

/** How the demo's lead signs in, to see both kitchens beside each other. */
export const DEMO_ACCOUNT = { called: 'ilse.varrow', password: 'copper pan by the door' }

/** A second kitchen beside the demo's, and one sign-in for who works in both. */
export async function seedSecondKitchen(orm: MikroORM, first: Seeded, zone: string, now: Instant): Promise<void> {
  const second = await seedKitchen(orm, { name: SECOND_KITCHEN, zone, people: PEOPLE, now: now - FOUNDED })
  const scope = new KitchenScope(orm.em.fork())
  await append(scope, second.kitchenId, personOf(second, 'ilse'), fewClaims(second, RUNS, zone, now))
  const accounts = new Accounts(scope)
  for (const [kitchen, person] of [
    [first, personOf(first, 'ilse')],
    [second, personOf(second, 'group')],
  ] as const) {
    const { kitchenId } = kitchen
    const lead = personOf(kitchen, 'ilse')
    await accounts.give(kitchenId, person, DEMO_ACCOUNT.called, DEMO_ACCOUNT.password, null)
    await append(scope, kitchenId, lead, [claimMaker(kitchenId)('password-given', kitchenId, now, lead, { person })])
  }
}

function personOf({ people }: Seeded, key: string): Id {
  return people.find((person) => person.key === key)!.id
}
