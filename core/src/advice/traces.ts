import { DAY, MINUTE, type Instant } from '../ground/instant'
import type { TraceTry } from '../state/traceTries'

/** What a trace is held to: house figures, as recall plans commonly name them. */
export const TRACE_AIM = {
  /** From the question to the whole answer. */
  minutes: 60,
  /** Of all there was, so much is found again, by records and by hand; and no more than there was by the same. */
  share: 0.95,
  /** How often each kind is tried. */
  everyDays: 183,
} as const

/** Begun and not ended within so long, it was left. */
export const LEFT_AFTER = DAY

export interface TraceResult {
  minutes: number
  /** Of all there was, how much was found again; null: nothing was counted. */
  share: number | null
  /** Everything was found, in time, and the amounts meet. What was not counted does not meet. */
  passed: boolean
}

/** What came of a trace; null while it runs, and of one that was left. */
export function traceResult({ at, ended }: Pick<TraceTry, 'at' | 'ended'>): TraceResult | null {
  if (!ended) return null
  const { found, missing, balance } = ended
  const minutes = Math.ceil((ended.at - at) / MINUTE)
  const share = balance && balance.all > 0 ? (balance.gone + balance.counted) / balance.all : null
  const meets = share !== null && share >= TRACE_AIM.share && share <= 2 - TRACE_AIM.share
  return { minutes, share, passed: found.length > 0 && missing.length === 0 && minutes <= TRACE_AIM.minutes && meets }
}

/** The trace that runs of a thing: the one begun last. null: none does. */
export function traceOf(traces: readonly TraceTry[], thing: string, now: Instant): TraceTry | null {
  return traces.findLast(({ of, at, ended }) => of.id === thing && !ended && now - at < LEFT_AFTER) ?? null
}

/** Which kinds have to be tried, as none of it passed within half a year; with when one last did. */
export function tracesDue(traces: readonly TraceTry[], now: Instant): { of: 'lot' | 'item'; passed: Instant | null }[] {
  return (['lot', 'item'] as const).flatMap((of) => {
    const passed = traces
      .filter((each) => each.of.type === of && traceResult(each)?.passed)
      .map(({ ended }) => ended!.at)
    const last = passed.length ? Math.max(...passed) : null
    return last !== null && now - last < TRACE_AIM.everyDays * DAY ? [] : [{ of, passed: last }]
  })
}
