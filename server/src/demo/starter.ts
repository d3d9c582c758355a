import { v7 as uuid } from 'uuid'
import { limitSetOf, ruleSets, type Id, type Instant, type LimitSet, type Method } from '@logged-thermal/core'
import { repertoire } from '../repertoire/repertoire'

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
    methods: repertoire(),
    probe: { id: uuid(), code: 'P2' },
    infrared: { id: uuid(), code: 'IR1' },
  }
}
