import type { Instant } from '../ground/instant'
import { celsiusOf } from '../ground/temperature'
import type { BatchState } from './batch'

/** The warmest that the mixture was last read, °C, by an instant: any probe, any pan; null where nobody read it. */
export function lastRead(
  { facts: { 'reading-taken': readings } }: Pick<BatchState, 'facts'>,
  by: Instant,
): number | null {
  const core = readings.filter(
    ({ void: gone, at, value }) => !gone && at <= by && value.of === 'mixture' && value.where === 'core',
  )
  const last = Math.max(...core.map(({ at }) => at))
  return core.length
    ? Math.max(...core.filter(({ at }) => at === last).map(({ value }) => celsiusOf(value.typed)))
    : null
}
