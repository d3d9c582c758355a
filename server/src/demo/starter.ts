import { v7 as uuid } from 'uuid'
import {
  addDays,
  dayOf,
  limitSetOf,
  ruleSets,
  type Day,
  type Id,
  type Instant,
  type LimitSet,
  type ColdUnit,
  type LotReceived,
  type RegisteredVessel,
  type Method,
} from '@logged-thermal/core'
import { repertoire } from '../repertoire/repertoire'

/** What every kitchen begins with: a rule set, a few methods, one probe. */
export interface Starter {
  limits: LimitSet
  methods: Method[]
  probe: { id: Id; code: string }
  infrared: { id: Id; code: string }
  /** Eggs that are there: a tray in the shell, cartons of pasteurized parts. */
  lots: { id: Id; lot: LotReceived }[]
  vessels: { id: Id; vessel: RegisteredVessel }[]
  units: { id: Id; unit: ColdUnit }[]
}

/**
 * @param from since when its limits are in force
 * @param zone in which its lots have their days
 */
export function starter(from: Instant, zone: string): Starter {
  return {
    limits: limitSetOf(ruleSets['us-food-code-2022']!, { id: uuid(), from, unit: 'C' }),
    methods: repertoire(),
    probe: { id: uuid(), code: 'P2' },
    infrared: { id: uuid(), code: 'IR1' },
    lots: lots(dayOf(from, zone)),
    vessels: VESSELS.map((vessel) => ({ id: uuid(), vessel })),
    units: UNITS.map((unit) => ({ id: uuid(), unit })),
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
]

const UNITS: ColdUnit[] = [
  { name: 'Walk-in 1', kind: 'fan refrigerator', watts: 1800 },
  { name: 'Reach-in 2', kind: 'refrigerator', watts: 320 },
  { name: 'Blast drawer', kind: 'blast chiller', watts: 2400 },
]

function lots(day: Day): Starter['lots'] {
  const carton = (code: string, ingredient: string): LotReceived => ({
    code,
    ingredient,
    form: 'pasteurized',
    size: null,
    supplier: 'Cold Harbour Lane egg room',
    useBy: addDays(day, 21),
    pasteurized: { by: 'maker', certificate: `CH-${code}` },
  })
  const shell: LotReceived = {
    code: 'T-2207',
    ingredient: 'egg',
    form: 'shell',
    size: 'US L',
    supplier: 'Wickmoor hens',
    useBy: addDays(day, 24),
    pasteurized: null,
  }
  const all = [shell, carton('Y-118', 'yolk'), carton('W-204', 'white'), carton('E-077', 'egg')]
  return all.map((lot) => ({ id: uuid(), lot }))
}
