import { append, type SeedPerson, seedKitchen, type Seeded, KitchenScope, claimMaker } from '@logged-thermal/server'
import type { MikroORM } from '@mikro-orm/postgresql'
import { v7 as uuid } from 'uuid'
import {
  addDays,
  DAY,
  dayOf,
  dayOfYear,
  eggGrams,
  heatPlan,
  heldTo,
  leftOverOf,
  nextCode,
  NOTHING_YET,
  startOfDay,
  toSettle,
  type AnyClaim,
  type Bodies,
  type Day,
  type EggPart,
  type EggsTaken,
  type Fact,
  type Id,
  type Instant,
  type LimitSet,
  type Method,
  type Place,
  type Placement,
  type Pouring,
  type Terms,
  type Week,
} from '@logged-thermal/core'
import { ago, demoBatches, type DemoBatch } from './demoBatches'
import { demoLimits } from './demoLimits'
import { listClaims } from './demoLists'
import { planClaims } from './demoPlans'
import { DEMO_CHECKS, storeClaims } from './demoStore'
import { oldLogClaims } from './demoOldLog'
import { traceClaims } from './demoTraceTry'
import type { Starter } from '@logged-thermal/repertoire'

/** A kitchen of our own invention. */
export const DEMO_KITCHEN = 'Fennimore Row pastry'
export const DEMO_PEOPLE: SeedPerson[] = [
  { key: 'ilse', name: 'Ilse Varrow', role: 'lead', job: 'food-safety lead', pin: '407153' },
  { key: 'mina', name: 'Mina Osk', role: 'cook', job: 'cook, sauce bench', pin: '1182' },
  { key: 'noor', name: 'Noor Hallet', role: 'chef', job: 'pastry chef', pin: '6025' },
  { key: 'teo', name: 'Teo Brandt', role: 'cook', job: 'cook, induction 2', pin: '3394' },
]

/** The demo kitchen, with a batch at every stage of its life relative to `now`. */
export async function seedDemo(orm: MikroORM, zone: string, now: Instant): Promise<Seeded> {
  const seeded = await emptyDemo(orm, zone, now)
  const lead = seeded.people.find(({ key }) => key === 'ilse')!.id
  await append(new KitchenScope(orm.em.fork()), seeded.kitchenId, lead, demoClaims(seeded, zone, now))
  return seeded
}

/** The demo kitchen before anything was made in it: what `demoClaims` are told of. */
export function emptyDemo(orm: MikroORM, zone: string, now: Instant): Promise<Seeded> {
  // Six weeks of checks stand behind its instruments; its first eggs came nine days ago.
  return seedKitchen(orm, {
    name: DEMO_KITCHEN,
    zone,
    people: DEMO_PEOPLE,
    now: now - 44 * DAY,
    stocked: now - STOCKED,
    checks: DEMO_CHECKS,
  })
}

/** Its first eggs came so long ago, ms. */
const STOCKED = 9 * DAY

/** Since when the demo's second version of its limits is in force. */
const SECOND_VERSION = 3.5 * 24 * 60

/** Everything that was entered about the demo's batches until `now`, in the order it was entered. */
export function demoClaims(
  seeded: Pick<Seeded, 'kitchenId' | 'people' | 'starter'>,
  zone: string,
  now: Instant,
): AnyClaim[] {
  const codes: string[] = []
  const lead = seeded.people.find(({ key }) => key === 'ilse')!.id
  const since = ago(now, SECOND_VERSION)
  const limits = demoLimits(seeded.starter.limits, since, zone)
  const second = claimMaker(seeded.kitchenId)('limits-set', limits.id, since, lead, { set: limits })
  const batches = demoBatches().sort((a, b) => b.startedAgo - a.startedAgo)
  const made = batches.flatMap((batch) => batchClaims(seeded, limits, batch, zone, now, codes))
  const held = storeClaims(seeded, [seeded.starter.limits, limits], zone, now, codes)
  const claim = claimMaker(seeded.kitchenId)
  const lots = seeded.starter.lots.map(({ id, lot }) => claim('lot-received', id, now - STOCKED, lead, lot))
  const week = demoWeek(seeded)
  const hours = claim('week-set', seeded.kitchenId, now - STOCKED, lead, { week })
  // The chef looks after people and tablets as well: the lead is not always there when a tablet breaks.
  const noor = seeded.people.find(({ key }) => key === 'noor')!.id
  const beside = { person: noor, role: 'chef', administers: true } as const
  const looksAfter = claim('role-given', seeded.kitchenId, now - STOCKED, lead, beside)
  const plans = planClaims(seeded, [seeded.starter.limits, limits], zone)
  const lists = listClaims(seeded, now - STOCKED, now, zone)
  const traces = traceClaims(seeded, held, now)
  return [
    hours,
    looksAfter,
    second,
    ...lots,
    ...plans,
    ...lists,
    ...made,
    ...held,
    ...traces,
    ...oldLogClaims(seeded, now),
  ].sort((a, b) => a.madeAt - b.madeAt)
}

/** What was entered about a few of the demo's batches, in a kitchen that is there to be seen beside the first. */
export function fewClaims(
  seeded: Pick<Seeded, 'kitchenId' | 'people' | 'starter'>,
  methods: readonly string[],
  zone: string,
  now: Instant,
): AnyClaim[] {
  const codes: string[] = []
  const batches = demoBatches().filter(({ method }) => methods.includes(method))
  return batches
    .sort((a, b) => b.startedAgo - a.startedAgo)
    .flatMap((batch) => batchClaims(seeded, seeded.starter.limits, batch, zone, now, codes))
    .sort((a, b) => a.madeAt - b.madeAt)
}

/** Open every day; the lead until the afternoon, the pastry chef in the evening, and nobody in between. */
function demoWeek({ people }: Pick<Seeded, 'people'>): Week {
  const turn = (who: string, from: string, until: string) => ({
    person: people.find(({ key }) => key === who)!.id,
    from,
    until,
  })
  const signs = [turn('ilse', '06:00', '15:00'), turn('noor', '17:30', '21:30')]
  return Array.from({ length: 7 }, () => ({ opens: '06:00', closes: '21:30', signs }))
}

function batchClaims(
  {
    kitchenId,
    people,
    starter: { methods, probe, lots, units, vessels },
  }: Pick<Seeded, 'kitchenId' | 'people' | 'starter'>,
  limits: LimitSet,
  batch: DemoBatch,
  zone: string,
  now: Instant,
  codes: string[],
): AnyClaim[] {
  const claim = claimMaker(kitchenId)
  const by = people.find(({ key }) => key === batch.cook)!.id
  const method = methods.find(({ name }) => name === batch.method)!
  const id = uuid()
  const startedAt = startedOn(batch, now, zone)
  const shift = startedAt - ago(now, batch.startedAgo)
  const when = (minutes: number) => ago(now, minutes) + (minutes > 20 * 60 ? shift : 0)
  const code = nextCode(codes, dayOfYear(dayOf(startedAt, zone)))
  codes.push(code)
  const reading = ([minutes, celsius]: [number, number], of: 'mixture' | { part: string }) =>
    claim('reading-taken', id, when(minutes), by, {
      typed: { value: celsius, unit: 'C' },
      where: 'core',
      of,
      instrument: probe.id,
    })
  const off = batch.offHeatAgo
  const { combined, killed } = heatPlan(method)
  const { key: first } = method.steps[0]!
  const body = startBody(method, limits, code, dayOf(startedAt, zone))
  const eggs = eggClaims(body.terms.eggs.uses, lots).map((taken) =>
    claim('eggs-taken', id, when(batch.combinedAgo + 1), by, taken),
  )
  const done = (step: string, minutes: number) =>
    claim('step-marked', id, when(minutes), by, { step, edge: 'done', reason: null })
  const afterHeat = method.steps.filter(({ kind }) => kind === 'strain' || kind === 'add after heat')
  return [
    claim('batch-started', id, startedAt, by, body),
    ...batch.dairy.map((each) => reading(each, { part: 'dairy' })),
    ...(combined !== 'batch started' && combined.step !== first ? [done(first, batch.combinedAgo + 1.5)] : []),
    ...eggs,
    ...(eggs.length ? [claim('cleaned', id, when(batch.combinedAgo + 0.7), by, { step: first })] : []),
    ...leftOverClaims(id, code, eggs, body, when(batch.combinedAgo - 0.5), claim, by, lots, units),
    ...(combined === 'batch started'
      ? []
      : [claim('step-marked', id, when(batch.combinedAgo), by, { ...combined, reason: null })]),
    ...batch.mixture.flatMap((each) => {
      const stands = reading(each, 'mixture')
      if (batch.mistyped?.[0] !== each[0]) return [stands]
      const first = reading(batch.mistyped, 'mixture')
      const now = { at: first.at, reading: stands.body as Bodies['reading-taken'], batch: null }
      return [
        first,
        claim('corrected', id, when(each[0] - 1), by, { target: first.id, reason: 'mistyped', now, item: null }),
      ]
    }),
    ...(batch.late
      ? [{ ...reading([batch.late[0], batch.late[1]], 'mixture'), madeAt: when(batch.late[0] - batch.late[2]) }]
      : []),
    ...(off === null || !killed ? [] : [claim('step-marked', id, when(off), by, { ...killed, reason: null })]),
    ...(off === null
      ? []
      : [
          claim('cleaned', id, when(off - 0.5), by, { step: killed?.step ?? first }),
          ...afterHeat.map(({ key }, i) => done(key, off - 1 - i)),
          claim('covered', id, when(Math.min(off - 4, ...batch.places.map(([minutes]) => minutes - 0.5))), by, {
            cover: batch.cover,
          }),
          ...pouring(batch, vessels).map((body) => claim('poured', id, when(off - 0.2), by, body)),
          ...batch.places.map(([minutes, place]) =>
            claim('placed', id, when(minutes), by, { place, ...unitFor(place, units) }),
          ),
        ]),
  ]
}

function pouring({ poured }: DemoBatch, vessels: Starter['vessels']): Pouring[] {
  const into = vessels.find(({ vessel }) => vessel.name === poured?.[0])
  if (!into || !poured) return []
  const { name, inside, wall } = into.vessel
  return [{ vessel: { id: into.id, name, inside, wall }, pans: 1, depth: poured[1] }]
}

/** The unit of that kind, and what its air was. */
function unitFor(place: Place, units: Starter['units']): Pick<Placement, 'unit' | 'air'> {
  const unit = units.find((each) => each.unit.kind === place)
  return { unit: unit?.id ?? null, air: unit ? { value: 3.1, unit: 'C' } : null }
}

/** Shell eggs, separated by hand where a method takes a part: a bad one in every thirty. */
function eggClaims(uses: Terms['eggs']['uses'], lots: Starter['lots']): EggsTaken[] {
  const { id, lot } = lots.find(({ lot: { form } }) => form === 'shell')!
  const size = lot.size ?? 'US L'
  const steps = [...new Set(uses.map(({ step }) => step))]
  return steps.flatMap((step) => {
    const own = uses.filter((use) => use.step === step)
    const parts = own.filter(({ part }) => part !== 'whole')
    const cracked = (grams: number, part: EggPart) => Math.ceil(grams / eggGrams(part, size))
    const taken = (as: EggsTaken['as'], count: number): EggsTaken => ({
      step,
      lot: id,
      form: 'shell',
      as,
      cracked: count,
      rejected: Math.floor(count / 30),
      grams: {},
      size,
      item: lot.held?.item ?? null,
    })
    return [
      ...own.filter(({ part }) => part === 'whole').map(({ grams }) => taken('whole', cracked(grams, 'whole'))),
      ...(parts.length ? [taken('separated', Math.max(...parts.map(({ grams, part }) => cracked(grams, part))))] : []),
    ]
  })
}

/** What the separated eggs left over is kept. */
function leftOverClaims(
  id: Id,
  code: string,
  eggs: readonly AnyClaim[],
  { terms }: Bodies['batch-started'],
  at: Instant,
  claim: ReturnType<typeof claimMaker>,
  by: Id,
  lots: Starter['lots'],
  units: Starter['units'],
): AnyClaim[] {
  const known = lots.map(({ id: lot, lot: { code: name, useBy } }) => ({ id: lot, code: name, useBy }))
  const spot = { unit: units.find(({ unit }) => unit.kind === 'fan refrigerator')!.id, shelf: 4 }
  const facts = eggs.map((made) => factOfClaim(made))
  const batch = { id, code, terms, facts: { ...NOTHING_YET.facts, 'eggs-taken': facts } }
  return toSettle(batch).flatMap(({ part, left }) => {
    const kept = leftOverOf(batch, part, left, 'kept', known, spot)
    return kept ? [claim('left-over', uuid({ msecs: at }), at, by, kept)] : []
  })
}

function factOfClaim(claim: AnyClaim): Fact<EggsTaken> {
  const { id: entry, at, madeAt, by } = claim
  const value = claim.body as EggsTaken
  const told = { entry, at, madeAt, recordedAt: null, knownAt: madeAt, by, postedBy: null }
  return { ...told, value, amends: [], waiting: [], void: false, late: false, accepted: null, refused: null }
}

// A batch of an earlier day began on that day, also when the demo starts just after midnight: "last day today" stays true.
function startedOn({ startedAgo }: DemoBatch, now: Instant, zone: string): Instant {
  const at = ago(now, startedAgo)
  if (startedAgo < 20 * 60) return at
  const days = Math.floor(startedAgo / (24 * 60))
  return Math.max(at, startOfDay(addDays(dayOf(now, zone), -days), zone))
}

function startBody(method: Method, limits: LimitSet, code: string, day: Day): Bodies['batch-started'] {
  return {
    code,
    ...heldTo(method, 1, limits, false, day),
    limits: { id: limits.id, version: limits.version },
    vessel: method.vessel,
    factor: 1,
  }
}
