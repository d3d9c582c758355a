import 'reflect-metadata'
import { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import { addDays, dayOf, packageOf, type AnyClaim, type Id, type Instant, type LotReceived } from '@logged-thermal/core'
import { demoClaims, emptyDemo } from '@logged-thermal/demo'
import { append, claimMaker, configFrom, KitchenScope, ormConfig, type Seeded } from '@logged-thermal/server'

const ITEMS = 500
/**
 * A kitchen as busy as they come, in an empty database of the role that owns it. Returns it with the ids of its packages.
 * @param copies the demo's batches so often over: with two of them some twenty-five run
 */
export async function busyKitchen(orm: MikroORM, copies = 2): Promise<Seeded & { packages: Id[] }> {
  const now = Date.now()
  const zone = 'UTC'
  const seeded = await emptyDemo(orm, zone, now)
  const [first, ...others] = Array.from({ length: copies }, () => demoClaims(seeded, zone, now))
  const batches = others.flatMap((claims, i) => recoded(inPlaceOf(first!, claims), String.fromCharCode(66 + i)))
  const lead = seeded.people.find(({ key }) => key === 'ilse')!.id
  const milk = packages(seeded, lead, now)
  const claims = [...first!, ...batches, ...milk].sort((a, b) => a.madeAt - b.madeAt)
  await append(new KitchenScope(orm.em.fork()), seeded.kitchenId, lead, claims)
  const items = milk.flatMap((claim) =>
    claim.kind === 'lot-received' && claim.body.held ? [claim.body.held.item] : [],
  )
  return { ...seeded, packages: items }
}

async function fillBusy(): Promise<void> {
  const orm = await MikroORM.init(ormConfig(configFrom(process.env).ownerUrl))
  try {
    await busyKitchen(orm, Number(process.argv[2] ?? 2))
  } finally {
    await orm.close()
  }
}

/** What runs at the stove; what became items of it stays behind. */
function isOfBatch({ about, kind }: AnyClaim): boolean {
  return about.type === 'batch' && kind !== 'part-used' && kind !== 'portioned'
}

/** Another telling's batches, with the instruments, tools and lots of the first: both tell of them in the same order. */
function inPlaceOf(first: readonly AnyClaim[], other: readonly AnyClaim[]): AnyClaim[] {
  const [ours, theirs] = [first, other].map((claims) =>
    [...JSON.stringify(claims.filter((claim) => !isOfBatch(claim))).matchAll(UUID)].map(([id]) => id),
  )
  const same = new Map(theirs!.map((id, i) => [id, ours![i]!]))
  const batches = other.filter(isOfBatch)
  for (const { id, about } of batches) [id, about.id].forEach((own) => same.delete(own))
  return JSON.parse(JSON.stringify(batches).replaceAll(UUID, (id) => same.get(id) ?? id)) as AnyClaim[]
}

const UUID = /[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}/g

/** The same batches under codes of their own. */
function recoded(claims: readonly AnyClaim[], letter: string): AnyClaim[] {
  return claims.map((claim) =>
    claim.kind === 'batch-started' ? { ...claim, body: { ...claim.body, code: `${claim.body.code}${letter}` } } : claim,
  )
}

/** Milk, as it came, carton by carton. */
function packages({ kitchenId, starter }: Seeded, by: string, now: Instant): AnyClaim[] {
  const claim = claimMaker(kitchenId)
  const cold = starter.units.find(({ unit }) => unit.kind === 'refrigerator' || unit.kind === 'fan refrigerator')!
  return Array.from({ length: ITEMS }, (_, i) => {
    const at = now - 600_000 + i
    const lot: Omit<LotReceived, 'held'> = {
      code: `M-${i}`,
      ingredient: 'milk',
      name: 'Whole milk',
      form: null,
      size: null,
      supplier: 'Hollin Gate dairy',
      useBy: addDays(dayOf(now, 'UTC'), 1 + (i % 9)),
      pasteurized: null,
      scheme: null,
      treatment: null,
      received: { typed: { value: 3.4, unit: 'C' }, instrument: starter.probe.id },
      condition: null,
      verdict: 'accept',
      why: null,
    }
    const held = {
      item: uuid(),
      code: `M-${i}`,
      measure: { value: 1000, unit: 'g' as const },
      cost: 120,
      unit: cold.id,
      shelf: 1 + (i % cold.unit.shelves),
      ...packageOf(lot, starter.limits, dayOf(at, 'UTC'), at),
    }
    return claim('lot-received', uuid(), at, by, { ...lot, held })
  })
}

if (require.main === module)
  void fillBusy().catch((error: unknown) => {
    console.error(error)
    process.exitCode = 1
  })
