import type { Edge } from '../../rules/rule'
import type { Typed } from '../../ground/temperature'
import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE, type Instant } from '../../ground/instant'
import { cleaningDue } from '../../advice/guide/cleaning'
import { outOfOrder } from '../../advice/guide/order'
import { object, oneOf, text, typedTemperature } from '../../ground/field'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { BatchState } from '../../state/batch'
import { heatMark, hotOf, isStillHot } from '../../judgement/timeline/heat'
import { timelineOf } from '../../judgement/timeline/timeline'
import { atKnownStep, isRefusal } from '../guard/knownStep'

declare module '../../ledger/entry' {
  interface Bodies {
    /** `oven`: at the end of a bake, as it stood; with it the cue is said to have been seen. */
    'step-marked': { step: string; edge: Edge; reason: string | null; oven?: Typed }
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'step-marked': Bodies['step-marked']
  }
}

/** A step began, was combined, ended or was left out; with a reason where the order matters and is another. */
export const stepMarked: KindOf<'step-marked'> = {
  kind: 'step-marked',
  v: 2,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  upcast: (body) => ({ reason: null, ...body }),
  parse(body) {
    const { step, edge, reason, oven } = object(body, ['step', 'edge', 'reason', 'oven'])
    return {
      step: text(step, 40),
      edge: oneOf(edge, ['started', 'combined', 'done', 'skipped'] as const),
      reason: reason.value === null ? null : text(reason, 300),
      ...(oven.value === undefined ? {} : { oven: typedTemperature(oven) }),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read) {
    const { step, edge, reason } = claim.body
    const batch = atKnownStep(claim, step, read)
    if (isRefusal(batch)) return batch
    const already = markedAlready(batch, step, edge, claim.at)
    if (already !== null) return { code: 'marked already', field: 'body.edge', at: already }
    const why = reason === null ? outOfOrder(batch, step, edge, claim.at) : null
    if (why) return { code: 'out of order', field: 'body.reason', why }
    return waitsForCleaning(batch, step, edge, claim.at) ? { code: 'clean first', field: 'body.step' } : null
  },
  lateAfter: 15 * MINUTE,
  fact: asEntered,
}

/**
 * When an edge of a step was marked before, in this heat; null while it was not. The first mark counts: a second could
 * only move a clock. Back on the heat, while it never left it, is another beginning and has another end.
 */
function markedAlready(batch: BatchState, step: string, edge: Edge, at: Instant): Instant | null {
  const { killed, lastHeat } = heatPlan(batch.method)
  const heat = [killed, lastHeat].find((mark) => mark?.step === step)
  const timeline = timelineOf(batch)
  const since = heat ? timeline.heatSince : -Infinity
  const first = timeline.marks.first({ step, edge }, since)
  if (first === null || !heat) return first
  const hot = hotOf(step, batch.checks)
  const end = heatMark(timeline, heat, hot, since)
  if (edge === 'done') return end === Infinity ? null : end
  return edge === 'started' && end < at && isStillHot(timeline.core, hot, end, at) ? null : first
}

/** The house lets nothing after the heat go on before the tick; beginning to work on parts may. */
function waitsForCleaning(batch: BatchState, step: string, edge: Edge, at: Instant): boolean {
  const { killed } = heatPlan(batch.method)
  if (!batch.terms.cleanFirst || !killed || edge === 'started' || cleaningDue(batch, at) !== 'raw to cooked')
    return false
  const place = (key: string) => batch.method.steps.findIndex((each) => each.key === key)
  return place(step) > place(killed.step)
}
