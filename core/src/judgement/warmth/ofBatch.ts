import type { Instant } from '../../ground/instant'
import { HOTTEST } from '../../ground/temperature'
import { isUnitKind } from '../../physics/cooling/place'
import type { Bounded } from '../../physics/trace/reading'
import { Trace } from '../../physics/trace/trace'
import type { Level } from '../../recipe/checks/unitKind'
import { heatPlan } from '../../recipe/method/heatPlan'
import type { BatchState } from '../../state/batch'
import { valid } from '../../state/fact'
import { timelineOf } from '../timeline/timeline'
import { ExposureWatch } from './exposureWatch'

const NONE: Bounded = { least: 0, likely: 0, most: 0 }

/** When a batch was first read cold since its heat ended, or since it was put together; null while it was not. */
export function firstCold(batch: BatchState, level: Level | null, at: Instant): Instant | null {
  const timeline = timelineOf(batch)
  const { lastHeat, assembled } = heatPlan(batch.method)
  const since = timeline.at(batch.method.cooling === 'stages' && lastHeat ? lastHeat : assembled)
  if (!level || since === null) return null
  const cold = timeline.coreOf().find((read) => read.at >= since && read.at <= at && read.celsius <= level.celsius)
  return cold?.at ?? null
}

/** What a batch's items begin with above the cold limit, ms: the time on the bench, on top of what its worst part brought along. */
export function carriedInto(batch: BatchState, level: Level | null, at: Instant): Bounded {
  const room = roomTime(batch, at)
  const own = warmSinceCold(batch, level, at)
  // The longest of its parts, never their sum; and no later heat clears it: a floor kills cells, not toxins.
  const worst = (bound: keyof Bounded) =>
    Math.round(
      Math.max(room[bound], own[bound]) +
        Math.max(0, ...valid(batch.facts['part-used']).map(({ value }) => value.part.carried[bound])),
    )
  return { least: worst('least'), likely: worst('likely'), most: worst('most') }
}

/** Time out of the cold while it was put together: from its first part until it went into the cold, ms. */
export function roomTime(
  { method, facts: { 'part-used': parts, placed: placements } }: Pick<BatchState, 'method' | 'facts'>,
  at: Instant,
): Bounded {
  const began = Math.min(...valid(parts).map((part) => part.at))
  if (method.cooling !== 'ambient' || began === Infinity) return NONE
  const cold = valid(placements).filter(({ at: when, value }) => when >= began && isUnitKind(value.place))
  const ms = Math.max(0, Math.min(at, ...cold.map((placed) => placed.at)) - began)
  return { least: ms, likely: ms, most: ms }
}

/** How long the batch itself was above the cold limit once it had been cold, ms: between its readings, and since the last. */
function warmSinceCold(batch: BatchState, level: Level | null, at: Instant): Bounded {
  const cold = firstCold(batch, level, at)
  if (cold === null || !level) return NONE
  const trace = new Trace()
  for (const read of timelineOf(batch).coreOf()) if (read.at >= cold && read.at <= at) trace.put(read.at, read.celsius)
  const watch = new ExposureWatch(level.celsius, HOTTEST, { from: cold, to: at })
  watch.take(trace, 0, trace.length)
  return watch.exposed(at).time
}
