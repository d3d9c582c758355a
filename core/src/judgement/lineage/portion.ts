import { MINUTE, type Instant } from '../../ground/instant'
import type { Measure } from '../../ground/measure'
import { dayOf } from '../../ground/zone'
import type { Portioned, Spot } from '../../ledger/storeEntries'
import { coldLevel } from '../../recipe/checks/unitKind'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { Method } from '../../recipe/method/method'
import type { LimitSet } from '../../rules/limit'
import type { BatchState } from '../../state/batch'
import { judgeBatch } from '../batch/judgeBatch'
import { datingOfPortion } from '../dates/ofPortion'
import { timelineOf } from '../timeline/timeline'
import { carriedInto, firstCold } from '../warmth/ofBatch'
import { passingOn, portionFacts, type Floors } from './portionFacts'

/** What the person says when some of a batch is put away; all else follows from the batch. */
export interface PutAway extends Spot {
  code: string
  as: Portioned['as']
  measure: Measure
  last: boolean
}

/** An item of a batch: its dates from the checks the batch is held to, its allergens and heat from all that is in it. */
export function portionOf(
  batch: BatchState,
  method: Method,
  { code, as, measure, last, unit, shelf }: PutAway,
  limits: LimitSet,
  zone: string,
  at: Instant,
): Portioned {
  const floors = floorsOf(batch, zone, at)
  const passedOn = passingOn(batch, limits.practice.partsPassOn === 'every part', floors)
  const level = coldLevel(limits, dayOf(at, zone))
  return {
    batch: batch.id,
    batchCode: batch.code,
    method: method.id,
    code,
    name: as === 'portion' ? method.name : `${method.name}, ${as}`,
    as,
    measure,
    dating: datingOfPortion(batch, passedOn, floors === 'proven'),
    facts: portionFacts(batch, method, passedOn, floors),
    ready: readyAt(batch, method),
    coldAt: firstCold(batch, level, at),
    carried: carriedInto(batch, level, at),
    unit,
    shelf,
    last,
  }
}

/** How every floor that its heat is held to stands, by readings. */
function floorsOf(batch: BatchState, zone: string, at: Instant): Floors {
  const floors = judgeBatch(batch, { zone }, at).filter(
    ({ check: { limit, evidence } }) =>
      ['hold', 'equivalent'].includes(limit.rule.kind) &&
      (limit.force === 'law' || limit.force === 'house') &&
      evidence.of === 'mixture' &&
      limit.key !== 'reheat',
  )
  if (floors.length === 0) return 'none'
  return floors.every(({ standing }) => standing === 'proven') ? 'proven' : 'not proven'
}

/** Set or aged: when the least that its method gives it to stand has passed. Quality, not safety. */
function readyAt(batch: BatchState, method: Method): Instant | null {
  const { lastHeat, assembled } = heatPlan(batch.method)
  const begins = timelineOf(batch).at(method.cooling === 'stages' && lastHeat ? lastHeat : assembled)
  const minutes = method.steps
    .filter(({ kind }) => kind === 'set' || kind === 'cool')
    .reduce((sum, { key }) => sum + (method.instructions[key]?.passiveMinutes?.least ?? 0), 0)
  return begins === null || minutes === 0 ? null : begins + minutes * MINUTE
}
