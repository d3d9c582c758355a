import type { Instant } from '../../ground/instant'
import type { Check } from '../../recipe/checks/checksFor'
import type { BatchState } from '../../state/batch'
import type { CheckWatch, Span } from '../find/checkWatch'
import { heatMark, hotOf } from '../timeline/heat'
import { timelineOf } from '../timeline/timeline'
import { isOfRewarming } from '../timeline/warmings'
import type { Heat } from '../watch/watch'

/** Between which marks a check looks, and which heat begins or ends it. */
export function spanOf(check: Check, batch: BatchState, earlier: ReadonlyMap<Check, CheckWatch>): Span {
  const { from, to } = check.evidence
  const timeline = timelineOf(batch)
  const { marks, warmings } = timeline
  const { number: leg, from: legFrom } = timeline.leg
  const since = batch.startedAt
  const afterHeat = from !== 'batch started' && from.edge === 'done'
  const warmed = warmings.hot ? -Infinity : warmings.last
  // Warmed and not hot: what was proven of its cooling stays, and the way back to the cold is judged anew.
  const anew = isOfRewarming(check) || check.limit.rule.kind === 'stay'
  if (warmed > -Infinity && to === null && check.limit.rule.kind !== 'exposure') {
    const heat = afterHeat ? heatFrom(from.step, batch, legFrom, earlier) : null
    return anew
      ? { leg, since, window: { from: warmed, to: Infinity }, heat: null, begun: true }
      : { leg, since, window: { from: legFrom, to: warmed - 1 }, heat, begun: true }
  }
  if (to !== null && to !== 'batch started' && to.edge === 'done') {
    // A floor: from when all is together, and anew from what went in raw since; of a rework from the decision on.
    const reworked = reworkedAt(check, batch)
    const begins = Math.max(
      marks.first(from) ?? Infinity,
      check.evidence.of === 'mixture' ? timeline.reopenedAt : -Infinity,
      reworked,
    )
    const heat = begins === Infinity ? null : heatFrom(to.step, batch, begins, earlier)
    const onItsWay = Math.max(marks.first(from) ?? since, reworked === Infinity ? since : reworked)
    const window = { from: begins, to: heat?.mark ?? Infinity }
    return { leg, since: onItsWay, window, heat, begun: begins !== Infinity }
  }
  const begins = afterHeat ? legFrom : (marks.first(from) ?? Infinity)
  const ends = to === null ? Infinity : (marks.first(to) ?? Infinity)
  const heat = afterHeat ? heatFrom(from.step, batch, legFrom, earlier) : null
  return { leg, since, window: { from: begins, to: ends }, heat, begun: begins !== Infinity }
}

/** From when the row of a rework counts: its decision, and never while there is none. Every other row: from its own marks. */
function reworkedAt({ limit }: Check, batch: BatchState): Instant {
  if (limit.key !== 'rework') return -Infinity
  const { reworkedAt: decided } = timelineOf(batch).leg
  return decided === -Infinity ? Infinity : decided
}

function heatFrom(step: string, batch: BatchState, since: Instant, earlier: ReadonlyMap<Check, CheckWatch>): Heat {
  const mark = { step, edge: 'done' as const }
  const hot = hotOf(step, batch.checks)
  const floors = [...earlier].filter(
    ([
      {
        limit,
        evidence: { of, to },
      },
      watch,
    ]) => watch.provenAt && limit.force !== 'quality' && limit.key !== 'rework' && of === 'mixture' && to !== null,
  )
  const floored = floors.length ? () => Math.max(...floors.map(([, watch]) => watch.provenAt!())) : null
  return { hot, mark: heatMark(timelineOf(batch), mark, hot, since), floored }
}

/** What went in raw opened a floor again: since when, as it stood until then, and as it would stand without. */
export interface Reopening {
  at: Instant
  until: Span
  without: Span
}

/** Each time that something raw opened a floor again that was on its way. */
export function reopeningsOf(check: Check, batch: BatchState, earlier: ReadonlyMap<Check, CheckWatch>): Reopening[] {
  const { of, from, to } = check.evidence
  const { marks, reopenings, leg } = timelineOf(batch)
  const began = marks.first(from)
  if (of !== 'mixture' || began === null || to === null || to === 'batch started' || to.edge !== 'done') return []
  const first = Math.max(began, reworkedAt(check, batch))
  const opened = reopenings.filter((at) => at > first)
  return opened.map((at, i) => {
    const begins = opened[i - 1] ?? first
    const heat = heatFrom(to.step, batch, begins, earlier)
    const span = { leg: leg.number, since: batch.startedAt, begun: true }
    return {
      at,
      until: {
        ...span,
        // Hot again after it was off the heat proved nothing then, and does not now.
        window: { from: begins, to: Math.min(at, heat.mark) },
        heat: heat.mark <= at ? heat : { ...heat, mark: Infinity },
      },
      without: { ...span, window: { from: begins, to: heat.mark }, heat },
    }
  })
}
