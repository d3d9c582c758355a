import { lastHeated, type BatchState, type Instant } from '@logged-thermal/core'

interface Asked {
  /** Each a BatchState as JSON: the thread that serves need not read it. */
  batches: readonly string[]
  zone: string
  now: Instant
}

/** By when each was heated as its limits ask; null: it was not, or nothing proves it. */
export function lastHeats({ batches, zone, now }: Asked): (Instant | null)[] {
  return batches.map((json) => lastHeated(JSON.parse(json) as BatchState, { zone }, now))
}
