import { v7 as uuid } from 'uuid'
import {
  CORE_VERSION,
  dayOf,
  heldTo,
  standingsOf,
  type AnyClaim,
  type BatchState,
  type Bodies,
  type Finding,
  type Id,
  type Learned,
  type RegisteredVessel,
  type UnitState,
  type VesselState,
} from '@logged-thermal/core'
import { openKitchen, type TestKitchen } from '../test/kitchen'
import { clock } from '../clock/clock'

interface Result {
  outcome: string
  code?: string
  field?: string
  sentence?: string
}
interface Line {
  batches: BatchState[]
  vessels: VesselState[]
  units: UnitState[]
}

const MINUTE = 60_000
let kitchen: TestKitchen
beforeAll(async () => void (kitchen = await openKitchen()))
afterAll(() => kitchen.app.close())

const post = async (...claims: AnyClaim[]) => ((await kitchen.post(claims)).body as { results: Result[] }).results
const one = async (claim: AnyClaim) => (await post(claim))[0]!
const line = async () => (await kitchen.get('/api/line')).body as Line
const vessel = (name: string) => kitchen.starter.vessels.find((each) => each.vessel.name.startsWith(name))!
const pouring = (name: string, depth: number, pans = 1): Bodies['poured'] => {
  const { id, vessel: facts } = vessel(name)
  return { vessel: { id, name: facts.name, inside: facts.inside, wall: facts.wall }, pans, depth }
}

/** A custard that was off the heat some minutes ago. */
async function cooling(minutesAgo: number, code: string): Promise<Id> {
  const id = uuid()
  const { methods, limits } = kitchen.starter
  const method = methods.find(({ name }) => name === 'Bay-leaf pouring custard')!
  const at = clock.now() - minutesAgo * MINUTE
  const when = (minutes: number) => ({ at: at + minutes * MINUTE, madeAt: at + minutes * MINUTE })
  const read = (minutes: number, value: number) =>
    kitchen.claim(
      'reading-taken',
      id,
      { typed: { value, unit: 'C' }, where: 'core', of: 'mixture', instrument: kitchen.starter.probe.id },
      when(minutes),
    )
  const mark = (step: string, edge: 'combined' | 'done', minutes: number) =>
    kitchen.claim('step-marked', id, { step, edge, reason: 'in this order today' }, when(minutes))
  const results = await post(
    kitchen.claim(
      'batch-started',
      id,
      {
        code,
        ...heldTo(method, 1, limits, false, dayOf(at - 20 * MINUTE, 'UTC')),
        limits: { id: limits.id, version: 1 },
        vessel: method.vessel,
        factor: 1,
      },
      when(-20),
    ),
    mark('temper', 'combined', -10),
    read(-2, 82),
    mark('cook', 'done', 0),
  )
  expect(results.map(({ outcome }) => outcome)).toEqual(results.map(() => 'accepted'))
  return id
}

it('keeps vessels and units for everybody of the kitchen, and nobody else registers one', async () => {
  const facts: RegisteredVessel = {
    name: 'Ring mould',
    inside: { kind: 'round', diameter: 0.2, height: 0.05 },
    wall: 'steel',
    food: true,
    hotFill: true,
  }
  const id = uuid()
  const { id: by, pin } = kitchen.person('noor')
  const signed = async (claim: AnyClaim) =>
    ((await kitchen.post([claim], { signer: by, pin })).body as { results: Result[] }).results[0]!
  // Mina's shift may not say so for Noor: Noor signs.
  const named = kitchen.claim('vessel-registered', id, facts, { by })
  expect(await one(named)).toMatchObject({ code: 'sign yourself', sentence: expect.stringContaining('PIN') as string })
  expect(await signed(named)).toMatchObject({ outcome: 'accepted' })
  expect((await line()).vessels.find((each) => each.id === id)).toMatchObject(facts)
  expect(await one(kitchen.claim('vessel-registered', uuid(), facts))).toMatchObject({ code: 'may not' })
  const bad = { ...facts, inside: { kind: 'round', diameter: 20, height: 5 } } as RegisteredVessel
  expect(await signed(kitchen.claim('vessel-registered', uuid(), bad, { by }))).toMatchObject({
    code: 'bad field',
    field: 'body.inside.diameter',
  })
})

it('refuses hot product in a tub that is not rated for it, and more than it holds', async () => {
  const id = await cooling(5, '70-1')
  expect(await one(kitchen.claim('poured', id, pouring('Cold tub', 0.1)))).toMatchObject({
    code: 'unrated vessel',
    sentence: 'Cold tub, 24 cm is not rated for hot food: cool it first, or take a steel one.',
  })
  expect(await one(kitchen.claim('poured', id, pouring('Shallow tray', 0.09)))).toMatchObject({ code: 'over the rim' })
  expect(await one(kitchen.claim('poured', id, pouring('Round pan', 0.08)))).toMatchObject({ outcome: 'accepted' })
})

it('keeps what the air of a unit was as something went into it, and not of another kind of unit', async () => {
  const id = await cooling(5, '70-2')
  const [walkIn] = kitchen.starter.units
  const placing = { place: 'fan refrigerator' as const, unit: walkIn!.id, air: { value: 38, unit: 'F' as const } }
  expect(await one(kitchen.claim('placed', id, placing))).toMatchObject({ outcome: 'accepted' })
  const { units, batches } = await line()
  expect(units.find((unit) => unit.id === walkIn!.id)!.airs.at(-1)!.celsius).toBeCloseTo(3.33, 2)
  expect(batches.find((batch) => batch.id === id)!.facts.placed).toHaveLength(1)
  expect(await one(kitchen.claim('placed', id, { ...placing, place: 'blast chiller' }))).toMatchObject({
    code: 'other unit',
  })
})

it('learns from five finished coolings alike, and from none that missed', async () => {
  const finished = async (code: string, tau: number, slowest = 1) => {
    const id = await cooling(400, code)
    const at = (minutes: number) => clock.now() - (400 - minutes) * MINUTE
    const read = (minutes: number) =>
      kitchen.claim(
        'reading-taken',
        id,
        {
          typed: { value: 1 + 80 * Math.exp(-minutes / (tau * slowest)), unit: 'C' },
          where: 'core',
          of: 'mixture',
          instrument: kitchen.starter.probe.id,
        },
        { at: at(minutes), madeAt: at(minutes) },
      )
    const when = (minutes: number) => ({ at: at(minutes), madeAt: at(minutes) })
    await post(
      kitchen.claim('poured', id, pouring('Round pan', 0.08), when(1)),
      kitchen.claim('covered', id, { cover: 'open' }, when(1)),
      kitchen.claim('placed', id, { place: 'stirred ice bath', unit: null, air: null }, when(2)),
      ...[10, 14, 25, 45, 60, 120].map(read),
    )
  }
  for (const [i, tau] of [30, 32, 29, 31, 33].entries()) await finished(`71-${i}`, tau)
  // One that missed 21° teaches nothing.
  await finished('71-9', 30, 4)
  const { learned } = (await kitchen.get('/api/cooling/learned')).body as { learned: Record<string, Learned> }
  const [[key, found] = []] = Object.entries(learned)
  expect(Object.keys(learned)).toHaveLength(1)
  expect(key).toContain('stirred ice bath open')
  expect(found!.batches).toBe(5)
  expect(found!.tauMinutes).toBeGreaterThan(25)
  expect(found!.tauMinutes).toBeLessThan(37)
})

it('lets whoever the lead names decide meanwhile, with a PIN of their own, and nobody else', async () => {
  const id = await cooling(5, '72-1')
  const [lead, chef] = [kitchen.person('ilse'), kitchen.person('noor')]
  const findings = standingsOf(((await kitchen.get(`/api/batches/${id}`)).body as { findings: Finding[] }).findings)
  const body: Bodies['disposed'] = { decision: 'discard', reason: 'Spilled', findings, core: CORE_VERSION }
  const sign = async (claim: AnyClaim, { id: signer, pin }: { id: Id; pin: string }) =>
    ((await kitchen.post([claim], { signer, pin })).body as { results: Result[] }).results[0]!
  expect(await sign(kitchen.claim('disposed', id, body, { by: chef.id }), chef)).toMatchObject({ code: 'may not' })

  const until = clock.now() + 60 * MINUTE
  const delegation = { to: chef.id, from: clock.now(), until, earlier: 'stays' as const }
  const about = kitchen.kitchenId
  expect(await sign(kitchen.claim('delegated', about, delegation, { by: chef.id }), chef)).toMatchObject({
    code: 'may not',
  })
  expect(await one(kitchen.claim('delegated', about, delegation, { by: lead.id }))).toMatchObject({
    code: 'lead must sign',
  })
  expect(await sign(kitchen.claim('delegated', about, delegation, { by: lead.id }), lead)).toMatchObject({
    outcome: 'accepted',
  })
  expect(await one(kitchen.claim('disposed', id, body, { by: chef.id }))).toMatchObject({ code: 'lead must sign' })
  expect(await sign(kitchen.claim('disposed', id, body, { by: chef.id }), chef)).toMatchObject({ outcome: 'accepted' })
})

it('keeps who is asked from when until when, and refuses a night that ends before it begins', async () => {
  const from = clock.now()
  const asked = { asked: kitchen.person('teo').id, from, until: from + 8 * 60 * MINUTE }
  expect(await one(kitchen.claim('handed-over', kitchen.kitchenId, asked))).toMatchObject({ outcome: 'accepted' })
  expect(((await kitchen.get('/api/line')).body as { handover: unknown }).handover).toEqual(asked)
  const wrong = kitchen.claim('handed-over', kitchen.kitchenId, { ...asked, until: from - 1 })
  expect(await one(wrong)).toMatchObject({ code: 'bad field', field: 'body.until' })
})
