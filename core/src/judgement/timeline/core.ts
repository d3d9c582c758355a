import type { Instant } from '../../ground/instant'
import type { Id } from '../../ledger/subject'
import type { BatchState } from '../../state/batch'
import { celsiusRead } from '../../state/reading'

/** A reading of the mixture's core, by whatever probe. */
export interface CoreReading {
  entry: Id
  at: Instant
  knownAt: Instant
  celsius: number
  /** Which pan of a split batch; undefined where nobody said. */
  pan: string | undefined
}

/** The readings of the mixture's core that stand, by the time they tell of; of one time, in the order of their entries. */
export function coreReadings({ facts: { 'reading-taken': readings } }: Pick<BatchState, 'facts'>): CoreReading[] {
  return readings
    .flatMap(({ void: gone, entry, at, knownAt, value }) =>
      gone || value.of !== 'mixture' || value.where !== 'core'
        ? []
        : [{ entry, at, knownAt, celsius: celsiusRead(value), pan: value.portion }],
    )
    .sort((a, b) => a.at - b.at)
}

/** The warmest that it was last read by an instant, °C: any probe, any pan; null where nobody read it. */
export function lastRead(core: readonly CoreReading[], by: Instant): number | null {
  const until = core.filter(({ at }) => at <= by)
  const last = until.at(-1)
  return last ? Math.max(...until.filter(({ at }) => at === last.at).map(({ celsius }) => celsius)) : null
}
