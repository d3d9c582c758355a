import { MINUTE } from '../../ground/instant'
import type { BatchState } from '../../state/batch'
import { mixtureTrace } from '../../judgement/evidence/evidence'
import type { Finding } from '../../judgement/finding'
import { timelineOf } from '../../judgement/timeline/timeline'
import { likeness, type CoolingRecord } from './learned'
import { NO_MEANS, prospectIn } from './forecast'
import { ANY_SCALE, posteriorOf, scaleOf } from '../../physics/projection/posterior'

const LEAST_READINGS = 3
/** A time constant that is known no better teaches nothing, of its logarithm. */
const KNOWN_WELL = 0.3
/** Changes so soon after the heat are how it was set up, ms. */
const SET_UP = 20 * MINUTE

/**
 * What a finished cooling teaches: the time constant that its readings say, whatever was expected. null where its gates
 * are not all proven, a reading is doubtful, too few were taken, or it was moved on the way.
 */
export function coolingRecord(batch: BatchState, findings: readonly Finding[]): CoolingRecord | null {
  const gates = findings.filter(
    ({ check: { limit } }) => limit.rule.kind === 'reach' && limit.rule.direction === 'falling',
  )
  const [first] = gates
  if (!first || gates.some(({ standing, doubts }) => standing !== 'proven' || doubts.length > 0)) return null
  const timeline = timelineOf(batch)
  const cooledAt = timeline.at(first.check.evidence.from)
  if (cooledAt === null) return null
  const until = Math.max(...gates.map(({ end }) => end?.latest ?? Infinity))
  const settings = timeline.settings(cooledAt).filter(({ from }) => from < until)
  const last = settings.at(-1)!
  const key = likeness(last)
  if (key === null || last.from > cooledAt + SET_UP || last.change === 'stirred') return null
  const trace = mixtureTrace(batch).filter(({ at }) => at >= last.from && at <= until)
  if (trace.length < LEAST_READINGS || trace.some(({ doubts }) => doubts.length > 0)) return null
  const { prospect } = prospectIn(last, undefined, NO_MEANS)
  const { tauMinutes, spread } = scaleOf(posteriorOf({ ...prospect, scale: ANY_SCALE, readings: trace }))
  return spread <= KNOWN_WELL ? { key, tauMinutes } : null
}
