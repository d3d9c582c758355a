import type { Instant } from '../calendar/instant'
import { celsiusOf } from '../quantity/temperature'
import type { BatchState } from '../state/batch'

/** The pans of a split batch that were read, in the order in which they first were. */
export function pansRead(batch: BatchState): string[] {
  return [...new Set(coreOfPans(batch).map(({ value }) => value.portion!))]
}

/**
 * The pan that is asked for: of those read the one that was read warmest last, and so the last to pass a gate;
 * undefined while none was read apart.
 */
export function slowestPan(batch: BatchState): string | undefined {
  const last = new Map<string, { at: Instant; celsius: number }>()
  for (const { at, value } of coreOfPans(batch)) {
    const before = last.get(value.portion!)
    if (!before || at >= before.at) last.set(value.portion!, { at, celsius: celsiusOf(value.typed) })
  }
  const [first, ...rest] = [...last]
  return first && rest.reduce((warmest, each) => (each[1].celsius > warmest[1].celsius ? each : warmest), first)[0]
}

/** Into how many pans it is split now; 1 while it is not. */
export function pansOf({ pourings }: Pick<BatchState, 'pourings'>): number {
  return pourings.findLast(({ void: gone }) => !gone)?.value.pans ?? 1
}

/** When it was split: by the entry, or by the first reading of a pan; never, while it was not. */
export function splitOf(batch: BatchState): Instant {
  const split = batch.pourings.find(({ void: gone, value }) => !gone && value.pans > 1)
  return Math.min(split?.at ?? Infinity, ...coreOfPans(batch).map(({ at }) => at))
}

function coreOfPans({ readings }: BatchState) {
  return readings.filter(
    ({ void: gone, value }) => !gone && value.of === 'mixture' && value.where === 'core' && value.portion !== undefined,
  )
}
