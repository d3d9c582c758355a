import { MINUTE, type Instant } from '../../ground/instant'
import type { Of } from '../../recipe/method/method'
import { heatPlan } from '../../recipe/method/heatPlan'
import { celsiusRead } from '../../state/reading'
import type { BatchState } from '../../state/batch'
import type { Reading } from '../../physics/trace/reading'
import { timeInBand } from '../../physics/trace/timeInBand'
import { timelineOf } from '../../judgement/timeline/timeline'

/** How long something may have stood between cold and hot before its floor, at most. */
export interface WarmUp {
  /** The mixture on its way up, or a part that rests before it joins. */
  of: Of
  mostMs: number
  /** It is past the house's line. */
  long: boolean
  /** Somebody said why. */
  noted: boolean
}

/** Between these it grows, °C: the cold and the hot holding line of most codes. */
const COLD = 5
const HOT = 57
/** The cue that a note about it carries. */
export const WARM_UP_CUE = 'warm-up'

/**
 * Minutes between 5 and 57 °C on the way up: of the mixture from when it was combined to the first reading at 57, and of
 * milk that rests in infusion. What nobody read counts as spent there. null when nothing is on its way.
 */
export function warmUpOf(batch: BatchState, now: Instant): WarmUp | null {
  const { combined, killed } = heatPlan(batch.method)
  const timeline = timelineOf(batch)
  if (!killed || timeline.heatEnded(killed) !== null) return null
  const joined = timeline.at(combined)
  const from = joined === null ? infusingSince(batch) : Math.max(joined, timeline.heatSince)
  if (from === null) return null
  const of: Of = joined === null ? partOf(batch) : 'mixture'
  const mostMs = warmMs(readingsOf(batch, of, from), from, now, joined !== null)
  const line = batch.terms.warmMinutes * MINUTE
  const noted = batch.facts.noted.some(({ void: gone, at, value }) => !gone && value.cue === WARM_UP_CUE && at >= from)
  return { of, mostMs, long: mostMs > line, noted }
}

/** Up to the first hot reading where it goes on to be cooked; to now where it rests. */
function warmMs(readings: readonly Reading[], from: Instant, now: Instant, untilHot: boolean): number {
  const hot = untilHot ? readings.findIndex(({ celsius }) => celsius >= HOT) : -1
  const seen = hot < 0 ? readings : readings.slice(0, hot + 1)
  const first = seen[0]
  if (!first) return now - from
  const last = seen.at(-1)!
  const head = first.at - from
  const tail = hot < 0 ? Math.max(0, now - last.at) : 0
  return head + timeInBand([...seen], COLD, HOT).most + tail
}

function infusingSince(batch: BatchState): Instant | null {
  const step = batch.method.steps.find(({ kind }) => kind === 'infuse')
  if (!step) return null
  const { marks } = timelineOf(batch)
  if (marks.last({ step: step.key, edge: 'done' }) !== null) return null
  return marks.last({ step: step.key, edge: 'started' })
}

function partOf({ method }: BatchState): Of {
  return method.steps.find(({ kind }) => kind === 'infuse')?.measures ?? 'mixture'
}

function readingsOf({ facts: { 'reading-taken': readings } }: BatchState, of: Of, from: Instant): Reading[] {
  const name = of === 'mixture' ? null : of.part
  return readings
    .filter(({ void: gone, value, at }) => {
      if (gone || value.where !== 'core' || at < from) return false
      return name === null ? value.of === 'mixture' : value.of !== 'mixture' && value.of.part === name
    })
    .map(({ at, value }): Reading => ({ at, celsius: celsiusRead(value), where: 'core' }))
    .sort((a, b) => a.at - b.at)
}
