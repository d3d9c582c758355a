import { v7 as uuid } from 'uuid'
import {
  limitSetOf,
  ruleSets,
  type FamilyKey,
  type Id,
  type Instant,
  type LimitSet,
  type Method,
  type Step,
} from '@logged-thermal/core'

/** What every kitchen begins with: a rule set, a few methods, one probe. */
export interface Starter {
  limits: LimitSet
  methods: Method[]
  probe: { id: Id; code: string }
  infrared: { id: Id; code: string }
}

/** @param from since when its limits are in force */
export function starter(from: Instant): Starter {
  return {
    limits: limitSetOf(ruleSets['us-food-code-2022']!, { id: uuid(), from, unit: 'C' }),
    methods: METHODS.map(([called, family, houseDays, vessel, fillDepth]) => ({
      id: uuid(),
      version: 1,
      name: called,
      family,
      schedule: null,
      houseDays,
      steps: STEPS,
      vessel: { id: uuid(), name: vessel, fillDepth },
    })),
    probe: { id: uuid(), code: 'P2' },
    infrared: { id: uuid(), code: 'IR1' },
  }
}

const STEPS: Step[] = [
  { key: 'warm', kind: 'heat dairy', measures: { part: 'dairy' } },
  { key: 'temper', kind: 'temper', measures: { part: 'dairy' } },
  { key: 'cook', kind: 'cook', measures: 'mixture' },
  { key: 'cool', kind: 'cool', measures: 'mixture' },
  { key: 'hold', kind: 'hold', measures: 'mixture' },
]

const METHODS: [name: string, family: FamilyKey, houseDays: number, vessel: string, fillDepth: number][] = [
  ['Bay-leaf pouring custard', 'poured-custard', 3, 'pan 10 cm deep', 0.1],
  ['Lemon-thyme pouring custard', 'poured-custard', 3, 'pan 5 cm deep', 0.05],
  ['Sea-buckthorn curd', 'fruit-curd', 5, 'tray 5 cm deep', 0.05],
  ['Smoked-honey eggnog', 'heated-nog', 3, 'kettle, 12 cm deep', 0.12],
  ['Rye-malt custard', 'poured-custard', 3, 'pan 10 cm deep', 0.1],
  ['Toasted-barley custard', 'poured-custard', 3, 'tub 7.5 cm deep', 0.075],
  ['Quince-skin curd', 'fruit-curd', 3, 'tray 5 cm deep', 0.05],
]
