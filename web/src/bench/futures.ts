import {
  fanOf,
  ifDone,
  outcomeFan,
  type Attention,
  type BatchState,
  type FanPoint,
  type Forecast,
  type Means,
  type Posterior,
} from '@logged-thermal/core'

/** What lies ahead on a trace, none of it evidence. */
export interface Futures {
  /** Left as it is. */
  fan: FanPoint[]
  /** Likely too warm at a gate. */
  misses: boolean
  /** If the rescue is done now. */
  rescued: FanPoint[]
  /** The last moment for it. */
  rescueBy: number | null
  /** As it was planned, from the start of its clock. */
  planned: FanPoint[]
  /** When the next reading is asked for. */
  readAt: number | null
}

const kept = new WeakMap<Posterior, { key: string; futures: Futures }>()

/** The futures of a batch, to its last gate and a little on: anew with each reading and each minute. */
export function futuresOf(
  batch: BatchState,
  forecast: Forecast | null,
  asks: Attention,
  means: Means,
  now: number,
): Futures | null {
  if (!forecast) return null
  const { posterior, gates } = forecast
  const minute = Math.floor(now / 60_000) * 60_000
  const readAt = asks.kind === 'read' && asks.at > now ? asks.at : null
  const key = [
    minute,
    asks.kind,
    readAt,
    ...gates.map(({ deadline }) => deadline),
    batch.facts['cooling-planned'].length,
  ].join()
  const known = kept.get(posterior)
  if (known?.key === key) return known.futures
  const end = Math.max(minute, ...gates.map(({ deadline }) => deadline))
  const until = end + (end - posterior.from) / 10
  const { told } = forecast
  const futures: Futures = {
    fan: told ? fanOf(posterior, posterior.last.at, until) : [],
    misses: gates.some(({ misses }) => misses),
    rescued: asks.kind === 'rescue' ? fanOf(ifDone(forecast, asks.first, minute, means), minute, until) : [],
    rescueBy: asks.kind === 'rescue' ? asks.by : null,
    planned: plannedFan(batch, until),
    readAt,
  }
  kept.set(posterior, { key, futures })
  return futures
}

/** The last plan, laid on the trace where the batch was poured or placed. */
function plannedFan(batch: BatchState, until: number): FanPoint[] {
  const plan = batch.facts['cooling-planned'].findLast(({ void: gone }) => !gone)
  return plan ? outcomeFan(batch, plan.value, until) : []
}
