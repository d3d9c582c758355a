import { v7 as uuid } from 'uuid'
import {
  addDays,
  catalogue,
  isLookedAt,
  packageOf,
  receivingOf,
  type Measure,
  dayOf,
  limitSetOf,
  ruleSets,
  type Day,
  type Id,
  type Instant,
  type InstrumentKind,
  type LimitSet,
  type ColdUnit,
  type LotReceived,
  type RegisteredVessel,
  type Method,
} from '@logged-thermal/core'
import { repertoire } from './repertoire'

/** What every kitchen begins with: a rule set, a few methods, one probe. */
export interface Starter {
  limits: LimitSet
  methods: Method[]
  probe: StarterInstrument
  infrared: StarterInstrument
  /** Eggs that are there: a tray in the shell, cartons of pasteurized parts. */
  lots: { id: Id; lot: LotReceived }[]
  vessels: { id: Id; vessel: RegisteredVessel }[]
  units: { id: Id; unit: ColdUnit }[]
}

export interface StarterInstrument {
  id: Id
  code: string
  kind: InstrumentKind
  place: string
}

/**
 * @param from since when its limits are in force
 * @param zone in which its lots have their days
 * @param stocked when its lots come in
 */
export function starter(from: Instant, zone: string, stocked = from): Starter {
  const limits = limitSetOf(ruleSets['us-food-code-2022']!, { id: uuid(), from, unit: 'C' })
  const units = UNITS.map((unit) => ({ id: uuid(), unit }))
  return {
    limits,
    methods: repertoire(),
    probe: { id: uuid(), code: 'P2', kind: 'probe', place: 'sauce bench' },
    infrared: { id: uuid(), code: 'IR1', kind: 'infrared', place: 'pass' },
    lots: lots(dayOf(stocked, zone), limits, units, stocked),
    vessels: VESSELS.map((vessel) => ({ id: uuid(), vessel })),
    units,
  }
}

const round = (diameter: number, height: number) => ({ kind: 'round', diameter, height }) as const
const box = (length: number, width: number, height: number) => ({ kind: 'rectangular', length, width, height }) as const
const rated = { food: true, hotFill: true }

const VESSELS: RegisteredVessel[] = [
  { name: 'Shallow tray, 53 × 32 cm', inside: box(0.51, 0.3, 0.06), wall: 'steel', ...rated },
  { name: 'Half tray, 32 × 26 cm', inside: box(0.3, 0.24, 0.1), wall: 'steel', ...rated },
  { name: 'Round pan, 28 cm', inside: round(0.28, 0.16), wall: 'steel', ...rated },
  { name: 'Pail, 22 cm', inside: round(0.22, 0.24), wall: 'steel', ...rated },
  { name: 'Hot tub, 24 cm', inside: round(0.24, 0.2), wall: 'plastic', ...rated },
  { name: 'Cold tub, 24 cm', inside: round(0.24, 0.2), wall: 'plastic', food: true, hotFill: false },
  { name: 'Frame, 57 × 37 cm', inside: box(0.56, 0.36, 0.045), wall: 'steel', ...rated },
  { name: 'Glass, 6 cm', inside: round(0.06, 0.09), wall: 'glass or ceramic', ...rated },
  { name: 'Ramekin, 9 cm', inside: round(0.085, 0.045), wall: 'glass or ceramic', ...rated },
  { name: 'Silicone mould, 7 cm', inside: round(0.07, 0.04), wall: 'plastic', ...rated },
  { name: 'Cup, 7 cm', inside: round(0.07, 0.07), wall: 'plastic', food: true, hotFill: false },
  { name: 'Piping bag', inside: round(0.09, 0.3), wall: 'plastic', food: true, hotFill: false },
]

const UNITS: ColdUnit[] = [
  { name: 'Walk-in 1', kind: 'fan refrigerator', watts: 1800, shelves: 4, litres: 6000 },
  { name: 'Reach-in 2', kind: 'refrigerator', watts: 320, shelves: 3, litres: 600 },
  { name: 'Blast drawer', kind: 'blast chiller', watts: 2400, shelves: 2, litres: 120 },
  { name: 'Egg fridge', kind: 'egg refrigerator', watts: 250, shelves: 3, litres: 300 },
  { name: 'Display case', kind: 'display case', watts: 500, shelves: 3, litres: 400 },
  { name: 'Chest freezer', kind: 'freezer', watts: 400, shelves: 1, litres: 500 },
]

/** What stands on a delivery, in short. */
interface Delivery {
  code: string
  ingredient: string
  measure: Measure
  form?: LotReceived['form']
  supplier?: string
  useInDays?: number
  certificate?: string
  /** Read between the packs, °C. */
  celsius?: number
  /** With which probe; left out: with none that is known. */
  probe?: Id
  cost?: number
}

/** A delivery as it is received under a kitchen's limits: judged, and held as an item. */
export function receivedLot(
  {
    code,
    ingredient,
    measure,
    form = null,
    supplier,
    useInDays = 21,
    certificate,
    celsius = 3.4,
    probe,
    cost,
  }: Delivery,
  item: { id: Id; code: string },
  unit: Id,
  limits: LimitSet,
  day: Day,
  at: Instant,
): LotReceived {
  const arrived = {
    code,
    ingredient,
    name: catalogue[ingredient]!.name,
    form,
    size: form === 'shell' ? ('US L' as const) : null,
    supplier: supplier ?? 'Hollin Gate dairy',
    useBy: addDays(day, useInDays),
    pasteurized: certificate ? { by: 'maker' as const, certificate } : null,
    scheme: form === 'shell' ? 'Hen Ledger, flock 14' : null,
    treatment: null,
    received: { typed: { value: celsius, unit: 'C' as const }, instrument: probe ?? null },
    condition: isLookedAt(ingredient) ? { good: true, why: null } : null,
  }
  const { verdict } = receivingOf(arrived, limits, day, limits.practice.susceptible)
  const place = { unit, shelf: 1 }
  return {
    ...arrived,
    verdict,
    why: verdict === 'accept' ? null : 'for the lead to decide',
    held: {
      item: item.id,
      code: item.code,
      measure,
      cost: cost ?? null,
      ...place,
      ...packageOf(arrived, limits, day, at),
    },
  }
}

/** Eggs that are there: a tray in the shell, cartons of pasteurized parts. */
function lots(day: Day, limits: LimitSet, units: Starter['units'], at: Instant): Starter['lots'] {
  const carton = (code: string, ingredient: string): Delivery => ({
    code,
    ingredient,
    form: 'pasteurized',
    measure: { value: 2000, unit: 'g' },
    supplier: 'Cold Harbour Lane egg room',
    certificate: `CH-${code}`,
    cost: 1240,
  })
  const shell: Delivery = {
    code: 'T-2207',
    ingredient: 'egg',
    form: 'shell',
    measure: { value: 720, unit: 'piece' },
    supplier: 'Wickmoor hens',
    useInDays: 24,
    celsius: 6.1,
    cost: 18000,
  }
  const place = (form: LotReceived['form']) =>
    units.find(({ unit }) => unit.kind === (form === 'shell' ? 'egg refrigerator' : 'fan refrigerator'))!.id
  const all = [shell, carton('Y-118', 'yolk'), carton('W-204', 'white'), carton('E-077', 'egg')]
  return all.map((delivery) => ({
    id: uuid(),
    lot: receivedLot(delivery, { id: uuid(), code: delivery.code }, place(delivery.form ?? null), limits, day, at),
  }))
}
