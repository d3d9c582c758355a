import {
  type AnyClaim,
  type CheckTerms,
  type Id,
  GENESIS,
  type Instant,
  type Role,
  TOLERANCE,
} from '@logged-thermal/core'
import { refusalSentence } from '@logged-thermal/wording'
import { KitchenScope } from '../database/kitchenScope'
import { appendGroup, readPost } from '../ledger/appendGroup'
import { Refold } from '../ledger/refold'
import { type Starter, starter } from '@logged-thermal/repertoire'
import type { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { hashSecret } from '../people/secretHash'
import { claimMaker } from '../ledger/claims'

export interface SeedPerson {
  key: string
  name: string
  role: Role
  job: string
  pin: string
}

/**
 * A kitchen with people, limits, methods and instruments, and nothing on the stove.
 * @param stocked when its lots come in; later than `now`, they are not received yet
 * @param checks how its instruments are to be checked; left out: as before checks were asked for
 * @param orm of the role that owns: who serves may not make kitchens or people
 */
export async function seedKitchen(
  orm: MikroORM,
  {
    name,
    zone,
    people,
    now,
    stocked = now,
    checks = 'not asked',
  }: { name: string; zone: string; people: SeedPerson[]; now: Instant; stocked?: Instant; checks?: CheckTerms },
): Promise<Seeded> {
  const em = orm.em.fork()
  const scope = new KitchenScope(em)
  const begin = starter(now, zone, stocked)
  const kitchenId = uuid()
  await em.insert(Kitchen, {
    id: kitchenId,
    name,
    zone,
    unit: 'C',
    limitsId: begin.limits.id,
  })
  const hired = people.map((person) => ({ ...person, id: uuid() }))
  const hashes = await Promise.all(hired.map(({ pin }) => hashSecret(pin)))
  await scope.inKitchen(kitchenId, async (inside) => {
    const { seq, hash } = GENESIS
    await inside.execute('insert into chain_head (kitchen_id, seq, hash) values (?, ?, ?)', [kitchenId, seq, hash])
    const rows = hired.map(({ id, name: called, role, job }, i) => ({
      kitchenId,
      id,
      name: called,
      role,
      job,
      pinHash: hashes[i]!,
      pinDigits: hired[i]!.pin.length,
    }))
    await inside.insertMany(Person, rows)
  })
  const lead = hired.find(({ role }) => role === 'lead')!.id
  const claim = claimMaker(kitchenId)
  const found = claim('people-found', kitchenId, now, kitchenId, {
    people: hired.map(({ id, role }) => ({ id, role })),
  })
  await append(scope, kitchenId, kitchenId, [found])
  await append(scope, kitchenId, lead, [
    claim('limits-set', begin.limits.id, now, lead, { set: begin.limits }),
    ...begin.methods.map((method) => claim('method-saved', method.id, now, lead, { method })),
  ])
  await append(
    scope,
    kitchenId,
    lead,
    ownClaims(stocked > now ? { ...begin, lots: [] } : begin, checks, claim, now, lead),
  )
  return { kitchenId, name, people: hired, starter: begin }
}

/** What a kitchen owns, and its methods put in force. */
function ownClaims(
  begin: Starter,
  checks: CheckTerms,
  claim: ReturnType<typeof claimMaker>,
  now: Instant,
  lead: Id,
): AnyClaim[] {
  return [
    ...[begin.probe, begin.infrared].map(({ id, code, kind, place }) => {
      const facts = { code, kind, place, tolerance: TOLERANCE.temperature, checks }
      return claim('instrument-registered', id, now, lead, facts)
    }),
    ...begin.vessels.map(({ id, vessel }) => claim('vessel-registered', id, now, lead, vessel)),
    ...begin.units.map(({ id, unit }) => claim('unit-registered', id, now, lead, unit)),
    ...begin.lots.map(({ id, lot }) => claim('lot-received', id, now, lead, lot)),
    ...begin.methods.map(({ id, version, components }) =>
      claim('method-approved', id, now, lead, {
        version,
        limits: begin.limits.id,
        components: components.map(({ method }) => method),
      }),
    ),
  ]
}

export interface Seeded {
  kitchenId: Id
  name: string
  people: { id: Id; key: string; name: string; job: string; pin: string }[]
  starter: Starter
}

/** The same way in that people use; seeding alone says when it was recorded. */
export async function append(scope: KitchenScope, kitchenId: Id, lead: Id, claims: AnyClaim[]): Promise<void> {
  const post = {
    kitchenId,
    postedBy: lead,
    signedBy: lead,
    clockAheadMs: 0,
    claims,
    recordedAt: ({ madeAt }: AnyClaim) => madeAt,
  }
  await new Refold(scope).subjects(kitchenId)
  const [outcomes] = await scope.inKitchen(kitchenId, (inside) => appendGroup(inside, [readPost(post)]))
  const refused = outcomes!.find(({ outcome }) => outcome === 'refused')
  if (refused?.outcome === 'refused')
    throw new Error(
      `the new kitchen was refused: ${refusalSentence(refused.refusal, { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null })}`,
    )
}
