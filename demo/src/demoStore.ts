import { v7 as uuid } from 'uuid'
import {
  toolUseOf,
  addDays,
  askedSince,
  attention,
  dayOf,
  dayOfYear,
  finishedOf,
  heatPlan,
  heldTo,
  asOf,
  inheritedOf,
  itemStanding,
  limitsAt,
  nextCode,
  nextItemCode,
  nextSplitCode,
  partOf,
  CORE_VERSION,
  judgeBatch,
  NO_MEANS,
  portionOf,
  standingsOf,
  TOLERANCE,
  touches,
  type AnyClaim,
  type Bodies,
  type CheckTerms,
  type Id,
  type Instant,
  type Kind,
  type LimitSet,
  type Measure,
  type Method,
  type MoveHow,
} from '@logged-thermal/core'
import { Projections, claimMaker, type Seeded } from '@logged-thermal/server'
import { ago } from './demoBatches'
import { checkInIce, demoInstruments } from './demoInstruments'
import { BOILED, COOKED, SIMMERED } from './demoTraces'
import { unitLooks } from './demoLooks'
import { receivedLot } from '@logged-thermal/repertoire'

/** How the demo has its instruments checked. */
export const DEMO_CHECKS: CheckTerms = { everyDays: 7, overdue: 'counts' }

const HOURS = 60
const DAYS = 24 * HOURS

/** What is in the demo's cold units: each entry follows from those before it, as a kitchen would make them. */
export function storeClaims(
  { kitchenId, people, starter }: Pick<Seeded, 'kitchenId' | 'people' | 'starter'>,
  versions: LimitSet[],
  zone: string,
  now: Instant,
  codes: string[],
): AnyClaim[] {
  const made: AnyClaim[] = []
  const states = new Projections(zone)
  const claimOf = claimMaker(kitchenId)
  const teo = people.find(({ key }) => key === 'teo')!.id
  const lead = people.find(({ key }) => key === 'ilse')!.id
  const mina = people.find(({ key }) => key === 'mina')!.id
  const unit = (name: string): Id => starter.units.find((each) => each.unit.name === name)!.id
  const enter = <K extends Kind>(kind: K, about: Id, minutesAgo: number, body: Bodies[K], by = teo) => {
    const claim = claimOf(kind, about, ago(now, minutesAgo), by, body)
    made.push(claim)
    states.fold(touches(claim), { claim, seal: null })
    return claim
  }
  // The units are there before.
  for (const { id, unit: registered } of starter.units) {
    const claim = claimOf('unit-registered', id, ago(now, 30 * DAYS), teo, registered)
    states.fold(touches(claim), { claim, seal: null })
  }
  const methodOf = (name: string): Method => starter.methods.find((method) => method.name === name)!
  const limitsThen = (at: Instant) => limitsAt(versions, at)!

  /** A batch cooked and cooled as it should be, in a stirred ice bath; ready to be put away 100 minutes on. */
  const cooked = (
    name: string,
    minutesAgo: number,
    readings: readonly [after: number, celsius: number][] = COOKED,
    instrument = starter.probe.id,
  ): Id => {
    const id = uuid({ msecs: ago(now, minutesAgo) })
    begin(id, name, minutesAgo)
    const { killed, combined, lastHeat } = heatPlan(methodOf(name))
    const { eggs } = states.read('batch', id)!.terms
    const lot = starter.lots.find(({ lot: { form } }) => form === 'shell')!
    for (const step of new Set(eggs.uses.map((use) => use.step))) {
      const form = 'shell' as const
      const item = lot.lot.held?.item ?? null
      const taken = { step, lot: lot.id, form, rejected: 0, grams: {}, size: 'US L' as const, item }
      const whole = eggs.uses.some((use) => use.step === step && use.part === 'whole')
      enter('eggs-taken', id, minutesAgo - 1, { ...taken, as: whole ? 'whole' : 'separated', cracked: 24 })
    }
    if (combined !== 'batch started') enter('step-marked', id, minutesAgo - 2, { ...combined, reason: null })
    const off = readings.findIndex(([, celsius], i) => i > 0 && celsius < readings[i - 1]![1])
    readings.forEach(([after, celsius], i) => {
      if (i === off) enter('step-marked', id, minutesAgo - after + 1.5, { ...(killed ?? lastHeat)!, reason: null })
      read(id, minutesAgo - after, celsius, instrument)
    })
    return id
  }
  const begin = (id: Id, name: string, minutesAgo: number) => {
    const at = ago(now, minutesAgo)
    const limits = limitsThen(at)
    const method = methodOf(name)
    const code = nextCode(codes, dayOfYear(dayOf(at, zone)))
    codes.push(code)
    enter('batch-started', id, minutesAgo, {
      code,
      ...heldTo(method, 1, limits, false, dayOf(at, zone)),
      limits: { id: limits.id, version: limits.version },
      vessel: method.vessel,
      factor: 1,
    })
  }
  /** As a tablet asks for it at that time. */
  const askedBy = (id: Id, at: Instant) => {
    const batch = states.read('batch', id)!
    const findings = judgeBatch(batch, { zone }, at)
    return askedSince(attention(batch, findings, { zone, means: NO_MEANS }, at), at)
  }
  const read = (id: Id, minutesAgo: number, celsius: number, instrument = starter.probe.id) => {
    const asked = askedBy(id, ago(now, minutesAgo))
    return enter('reading-taken', id, minutesAgo, {
      typed: { value: celsius, unit: 'C' },
      where: 'core',
      of: 'mixture',
      instrument,
      ...(asked === null ? {} : { asked: Math.round(asked) }),
    })
  }
  /** Puts some of a batch away. Returns the item. */
  const toolUse = (batch: Id, step: string, tool: Id, minutesAgo: number) =>
    toolUseOf(
      states.read('batch', batch)!,
      { step, tool, washed: true },
      states.read('kitchen', kitchenId)?.tools ?? [],
      (id) => states.read('batch', id),
      ago(now, minutesAgo),
    )
  const putAway = (batch: Id, minutesAgo: number, measure: Measure, place: string, shelf: number, last = true): Id => {
    const state = states.read('batch', batch)!
    const at = ago(now, minutesAgo)
    const method = methodOf(state.method.name)
    const code = nextItemCode(
      state.code,
      state.facts.portioned.map(({ value }) => value.code),
    )
    const said = { code, as: 'portion' as const, measure, last, unit: unit(place), shelf }
    const id = uuid({ msecs: at })
    enter('portioned', id, minutesAgo, portionOf(state, method, said, limitsThen(at), zone, at))
    return id
  }
  const move = (item: Id, minutesAgo: number, how: MoveHow, place: string | null, shelf: number | null = 1) =>
    enter('item-moved', item, minutesAgo, { how, unit: place && unit(place), shelf: place ? shelf : null })
  /** Its time above the cold limit until then, as the units' looks tell it. */
  const exposed = (item: Id, at: Instant) => {
    const state = states.read('item', item)!
    const units = starter.units.flatMap(({ id }) => states.read('unit', id) ?? []).map((unit) => asOf(unit, at))
    return itemStanding(state, { units, limits: limitsThen(at), zone }, at).exposure.time
  }
  const use = (item: Id, minutesAgo: number, batch: Id, measure: Measure, celsius: number) =>
    enter('part-used', item, minutesAgo, {
      batch,
      step: 'assemble',
      measure,
      typed: { value: celsius, unit: 'C' },
      instrument: starter.probe.id,
      warm: false,
      condition: null,
      part: partOf(states.read('item', item)!, exposed(item, ago(now, minutesAgo)), zone, ago(now, minutesAgo)),
    })
  /** Puts some of one item on so many of another. */
  const finish = (base: Id, minutesAgo: number, value: number, on: Id, measure: Measure, celsius: number): Id => {
    const at = ago(now, minutesAgo)
    const parent = states.read('item', base)!
    const into = uuid({ msecs: at })
    const topping = {
      of: 'item' as const,
      item: on,
      measure,
      typed: { value: celsius, unit: 'C' as const },
      instrument: starter.probe.id,
      warm: false,
      asItIs: false,
      condition: null,
      part: partOf(states.read('item', on)!, exposed(on, at), zone, at),
    }
    const gets = { ...parent.measure, value }
    const store = { units: [], limits: limitsThen(at), zone }
    const as = finishedOf(parent, gets, { topping, untreated: false, lot: null }, store, at)
    enter('item-finished', base, minutesAgo, { into, code: nextSplitCode(parent.code, []), measure: gets, topping, as })
    return into
  }
  const split = (item: Id, minutesAgo: number, value: number): Id => {
    const parent = states.read('item', item)!
    const into = uuid({ msecs: ago(now, minutesAgo) })
    const measure = { ...parent.measure, value }
    const as = inheritedOf(parent, value / parent.measure.value)
    enter('item-split', item, minutesAgo, { into, code: nextSplitCode(parent.code, []), measure, as })
    return into
  }

  for (const { id, code, kind, place } of [starter.probe, starter.infrared]) {
    const facts = { code, kind, place, tolerance: TOLERANCE.temperature, checks: DEMO_CHECKS }
    const claim = claimOf('instrument-registered', id, ago(now, 44 * DAYS), lead, facts)
    states.fold(touches(claim), { claim, seal: null })
  }
  const instruments = { enter, read: (id: Id) => states.read('instrument', id)!, now, lead, cook: mina }
  const { p4, display } = demoInstruments(instruments, starter.probe.id, starter.infrared.id)

  lotsIn(4 * DAYS)
  // Read with P4 before that failed, a degree from too warm: nobody has decided about it yet.
  lot(5.2 * DAYS, 'CF-140', 'creme-fraiche', 3, { useInDays: 20, cost: 1980, celsius: 4.2, probe: p4 })
  for (const { unit: name, minutesAgo, celsius } of unitLooks(limitsThen(now).practice.rounds, zone, now)) {
    const typed = { value: celsius, unit: 'C' as const }
    const instrument = name === 'Walk-in 1' ? display : null
    enter('unit-read', unit(name), minutesAgo, { typed, instrument, noted: null }, mina)
  }

  // Past its day: nobody threw it away.
  const curd = cooked('Quince-skin curd', 6 * DAYS, COOKED, p4)
  putAway(curd, 6 * DAYS - 4 * HOURS, { value: 6, unit: 'portion' }, 'Walk-in 1', 3)
  // Frozen before its days were used: the clock stopped.
  const churned = cooked('Burnt-honey churned base', 5 * DAYS, COOKED, p4)
  // With praline in it, and through the churn that the plain one goes through next.
  const churn = { tool: uuid(), name: 'Small churn', kind: 'churn' as const, gone: false }
  enter('tool-registered', kitchenId, 30 * DAYS, churn, lead)
  const praline = { ingredient: 'hazelnut-praline', grams: 400, state: 'as it is' as const, lot: null }
  const step = methodOf('Burnt-honey churned base').steps.find(({ kind }) => kind === 'churn')!.key
  const churnedAt = 5 * DAYS - 3.5 * HOURS
  enter('added', churned, churnedAt, { step, ...praline })
  enter('tool-used', churned, churnedAt - 1, toolUse(churned, step, churn.tool, churnedAt - 1))
  const base = putAway(churned, 5 * DAYS - 4 * HOURS, { value: 5000, unit: 'g' }, 'Walk-in 1', 2)
  move(base, 5 * DAYS - 8 * HOURS, 'freeze', 'Chest freezer')
  // Read with P4 too, and thrown away when that had failed: its row was a degree from missed.
  const thrown = cooked('Chicory pastry cream', 5.3 * DAYS, BOILED, p4)
  checkInIce(instruments, p4, 4.6, 1.9)
  const findings = standingsOf(judgeBatch(states.read('batch', thrown)!, { zone }, ago(now, 4.5 * DAYS)))
  const reason = 'P4 had failed, and nobody can say since when it read too high'
  enter('disposed', thrown, 4.5 * DAYS, { decision: 'discard', reason, findings, core: CORE_VERSION }, lead)
  const letCount = [curd, churned].flatMap((id) =>
    states.read('batch', id)!.facts['reading-taken'].map(({ entry }) => ({ type: 'batch' as const, id, entry })),
  )
  const seen = 'read again with P2 on the same day, and both agree within half a degree'
  enter('entries-accepted', kitchenId, 4.4 * DAYS, { entries: letCount, reason: seen }, lead)
  const jelly = putAway(
    cooked('Rhubarb jelly layer', 40 * HOURS, SIMMERED),
    36 * HOURS,
    { value: 1300, unit: 'g' },
    'Reach-in 2',
    1,
  )
  const custard = putAway(
    cooked('Bay-leaf pouring custard', 46 * HOURS),
    42 * HOURS,
    { value: 5200, unit: 'g' },
    'Walk-in 1',
    2,
  )
  putAway(cooked('Chicory pastry cream', 26 * HOURS, BOILED), 22 * HOURS, { value: 2400, unit: 'g' }, 'Walk-in 1', 1)
  const posset = putAway(
    cooked('Elderflower posset', 20 * HOURS, SIMMERED),
    16 * HOURS,
    { value: 40, unit: 'portion' },
    'Reach-in 2',
    2,
  )

  // The next posset keeps for what its assessment says, where its own pH is inside.
  const assessed = methodOf('Elderflower posset')
  const said = { by: 'assessment' as const, issuer: 'Quay Row laboratory', number: 'QR-118', least: null, most: 4.2 }
  const document = {
    version: assessed.version,
    ...said,
    how: 'of one set cup a batch, stirred, at 20°',
    days: 6,
    needsCold: true,
    validUntil: addDays(dayOf(ago(now, 0), zone), 200),
  }
  made.push(claimOf('acidity-documented', assessed.id, ago(now, 2 * HOURS), lead, { document }))

  // Some of the posset has its jelly: the older of the two dates it.
  finish(posset, 3 * HOURS, 12, jelly, { value: 360, unit: 'g' }, 3.4)

  // Built this morning of cold parts: the custard sets its date.
  const trifle = uuid({ msecs: ago(now, 5 * HOURS) })
  begin(trifle, 'Orchard trifle', 5 * HOURS)
  use(custard, 5 * HOURS - 4, trifle, { value: 1600, unit: 'g' }, 3.2)
  use(jelly, 5 * HOURS - 6, trifle, { value: 600, unit: 'g' }, 3.6)
  enter('washed', trifle, 5 * HOURS - 8, { step: 'assemble' })
  enter('step-marked', trifle, 5 * HOURS - 20, { step: 'assemble', edge: 'combined', reason: null })
  enter('placed', trifle, 5 * HOURS - 22, { place: 'fan refrigerator', unit: unit('Walk-in 1'), air: null })
  read(trifle, 4 * HOURS, 3.7)
  const cups = putAway(trifle, 3.9 * HOURS, { value: 20, unit: 'portion' }, 'Walk-in 1', 1)
  // Four of them went to a tea, cold as they left; nobody told yet how they arrived.
  const tea = {
    to: 'event' as const,
    name: 'Tea at the Lantern rooms',
    box: 'insulated box 2, ice packs',
    vehicle: 'the van',
  }
  const cold = { typed: { value: 3.4, unit: 'C' as const }, instrument: starter.probe.id }
  enter('item-dispatched', cups, 110, { measure: { value: 4, unit: 'portion' }, ...tea, ...cold }, mina)
  const out = split(cups, 100, 6)
  move(out, 99, 'serve', 'Display case')
  enter('item-used', out, 40, { measure: { value: 2, unit: 'portion' }, then: 'sold' }, mina)
  enter(
    'item-found',
    uuid(),
    30,
    {
      code: 'F-1',
      name: 'Tub without a label',
      measure: { value: 800, unit: 'g' },
      unit: unit('Reach-in 2'),
      shelf: 2,
    },
    mina,
  )
  return made

  function lot(
    minutesAgo: number,
    code: string,
    ingredient: string,
    kilos: number,
    more: Partial<Parameters<typeof receivedLot>[0]> = {},
  ): Id {
    const at = ago(now, minutesAgo)
    const given = { code, ingredient, measure: { value: kilos * 1000, unit: 'g' as const }, ...more }
    const id = uuid({ msecs: at })
    const item = { id: uuid({ msecs: at }), code: `L${code.replace(/\D/g, '')}` }
    enter(
      'lot-received',
      id,
      minutesAgo,
      receivedLot(given, item, unit('Walk-in 1'), limitsThen(at), dayOf(at, zone), at),
    )
    return item.id
  }

  function lotsIn(minutesAgo: number): void {
    const at = ago(now, minutesAgo)
    const cream = lot(minutesAgo, 'CR-311', 'cream-36', 8, { useInDays: 9, cost: 4160 })
    enter('item-opened', cream, 20 * HOURS, {})
    lot(minutesAgo, 'MK-087', 'milk', 10, { useInDays: 7, cost: 1150 })
    // What no list has: a cook named it, and nobody has read its package yet.
    const crumble = { key: uuid({ msecs: at }), name: 'Mill crumble', like: 'plain-biscuit', allergens: null }
    enter('ingredient-named', kitchenId, minutesAgo, crumble, mina)
    lot(minutesAgo, 'BP-522', 'berry-puree', 4, { useInDays: 200, cost: 3900 })
  }
}
