import type { Instant } from '../../ground/instant'
import type { CoolingStage } from '../../rules/compared'
import { requireTemperature } from '../../ground/temperature'
import type { Reading } from '../../physics/trace/reading'
import type { Trace } from '../../physics/trace/trace'
import { tracksOf, type Track } from '../../physics/trace/tracks'
import { CoolingWatch, NEVER_BACK, type CoolingStanding, type Start } from './coolingWatch'
import { EVERYTHING } from './watch'
import { worse, worst } from '../../ledger/standing'

export type { CoolingStanding } from './coolingWatch'

interface Options {
  /** The end of the last heat step: the clock can only start after it. */
  after?: Instant
  /** Instants for stages whose clock is 'event', by stage key. */
  events?: Record<string, Instant>
}

/**
 * Whether each stage of a cooling was made in time, from core readings alone. A later rise does not restart a clock, and a
 * reading back above the level takes the end back: the colder one was not the core.
 * Two probes in one pot, and the portions of a split batch, are judged apart, and the worst counts for each stage.
 */
export function judgeCooling(
  readings: readonly Reading[],
  stages: readonly CoolingStage[],
  now: Instant,
  options: Options = {},
): CoolingStanding[] {
  if (!Number.isFinite(now)) throw new RangeError(`now: ${now} is not an instant`)
  for (const [i, stage] of stages.entries()) {
    requireTemperature(`stages[${i}].from`, stage.from)
    requireTemperature(`stages[${i}].to`, stage.to)
    if (!(stage.withinMinutes >= 0))
      throw new RangeError(`stages[${i}].withinMinutes: ${stage.withinMinutes} is not a duration`)
  }
  const tracks = tracksOf(readings).map((track) => coolingOfTrack(track, stages, now, options))
  return stages.map((_, i) => worst(tracks.map((judged) => judged[i]!)))
}

function coolingOfTrack(
  { all, sure }: Track,
  stages: readonly CoolingStage[],
  now: Instant,
  options: Options,
): CoolingStanding[] {
  const judged = judgeTrace(all, stages, now, options)
  if (all === sure) return judged
  const beyondDoubt = judgeTrace(sure, stages, now, options)
  return judged.map((each, i) =>
    worse(each.standing, beyondDoubt[i]!.standing) === each.standing ? each : beyondDoubt[i]!,
  )
}

function judgeTrace(
  trace: Trace,
  stages: readonly CoolingStage[],
  now: Instant,
  { after = -Infinity, events = {} }: Options,
): CoolingStanding[] {
  let before: { watch: CoolingWatch; judged: CoolingStanding } | null = null
  return stages.map((stage) => {
    const watch = new CoolingWatch(stage, startOf(stage, before?.watch ?? null, after, events), EVERYTHING, NEVER_BACK)
    watch.take(trace, 0, trace.length)
    const judged: CoolingStanding = watch.judge(now, before?.judged ?? null)
    before = { watch, judged }
    return judged
  })
}

function startOf(
  stage: CoolingStage,
  before: CoolingWatch | null,
  after: Instant,
  events: Record<string, Instant>,
): Start {
  if (stage.clock === 'previous') return { kind: 'previous', stage: before }
  if (stage.clock === 'event') return { kind: 'event', at: events[stage.key] ?? null, since: null }
  return { kind: 'from', after }
}
