import { MINUTE, type Instant } from '../../ground/instant'
import type { Measure } from '../../ground/measure'
import { dayOf } from '../../ground/zone'
import type { Portioned, Spot } from '../../ledger/storeEntries'
import type { Traces } from '../../ledger/tool'
import { coldLevel } from '../../recipe/checks/unitKind'
import type { Method } from '../../recipe/method/method'
import type { LimitSet } from '../../rules/limit'
import type { BatchState } from '../../state/batch'
import { judgeBatch } from '../batch/judgeBatch'
import type { AcidKeeping } from '../dates/acidKeeps'
import { acidKeeping } from './acidKeeping'
import { datingOfPortion } from '../dates/ofPortion'
import { stepsLeft, waitOf } from '../timeline/stepLeft'
import { carriedInto, firstCold } from '../warmth/ofBatch'
import { NO_TRACES } from './carryOver'
import { passingOn, portionFacts, type Floors } from './portionFacts'

/** What the person says when some of a batch is put away; all else follows from the batch. */
export interface PutAway extends Spot {
  code: string
  as: Portioned['as']
  measure: Measure
  last: boolean
  frozen?: true
}

/**
 * An item of a batch: its dates from the checks the batch is held to, its allergens and heat from all that is in it.
 * @param carried what tools brought into it; left out: nothing
 */
export function portionOf(
  batch: BatchState,
  method: Method,
  { code, as, measure, last, unit, shelf, frozen }: PutAway,
  limits: LimitSet,
  zone: string,
  at: Instant,
  carried: Traces = NO_TRACES,
): Portioned {
  const floors = floorsOf(batch, zone, at)
  const passedOn = passingOn(batch, limits.practice.partsPassOn === 'every part', floors)
  const level = coldLevel(limits, dayOf(at, zone))
  const told = portionFacts(batch, method, passedOn, floors, carried)
  // Whatever a document says: raw it is of the raw class.
  const acid: AcidKeeping = told.heat === 'raw' ? { holds: false, why: 'raw' } : acidKeeping(batch, zone, at)
  const facts = acid.holds && acid.warm ? { ...told, needsCold: false } : told
  return {
    batch: batch.id,
    batchCode: batch.code,
    method: method.id,
    code,
    name: as === 'portion' ? method.name : `${method.name}, ${as}`,
    as,
    measure,
    dating: datingOfPortion(batch, passedOn, floors === 'proven', acid),
    facts,
    ready: readyAt(batch, frozen === true, at),
    coldAt: firstCold(batch, level, at),
    carried: carriedInto(batch, level, at),
    unit,
    shelf,
    last,
    ...(frozen ? { frozen } : {}),
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

/**
 * Set, aged or hard: when what it still waits for has had the least that its method gives it, one after the other; what
 * did not begin does as it is put away, and only in a freezer it hardens. null where it waits for nothing. Quality, not safety.
 */
function readyAt(batch: BatchState, frozen: boolean, at: Instant): Instant | null {
  const waiting = stepsLeft(batch).filter(({ step, kind }) => batch.terms.waits[step] && (frozen || kind !== 'freeze'))
  return waiting.reduce<Instant | null>((ready, { step }) => {
    const begun = waitOf(batch, step)?.ready
    return begun ?? Math.max(ready ?? at, at) + batch.terms.waits[step]!.least * MINUTE
  }, null)
}
