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
  type LotReceived,
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
  }
}

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
