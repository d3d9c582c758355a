import { MINUTE } from '../../ground/instant'
import type { TimeScale } from '../../physics/projection/posterior'
import type { Setting } from '../../judgement/timeline/setting'

/** What the kitchen's own finished coolings say of a vessel, filled so, cooled so. */
export interface Learned extends TimeScale {
  batches: number
}

/** One finished cooling: how long its time constant was. */
export interface CoolingRecord {
  key: string
  tauMinutes: number
}

/** Fewer say nothing. */
export const LEARN_FROM = 5
/** However alike they were, the next may differ by so much, of ln τ. */
const LEAST_SPREAD = 0.08

/** What makes two coolings alike: vessel, depth to half a centimetre, place, cover. null where nobody said where it stood. */
export function likeness({ vessel, product, place, cover }: Setting): string | null {
  return place === null ? null : [vessel, Math.round(product.shape.height * 200), place, cover].join(' ')
}

/** The time scale of every way to cool of which the kitchen has at least LEARN_FROM records. */
export function learnedFrom(records: readonly CoolingRecord[]): Record<string, Learned> {
  const byKey = new Map<string, number[]>()
  for (const { key, tauMinutes } of records) byKey.set(key, [...(byKey.get(key) ?? []), Math.log(tauMinutes * MINUTE)])
  return Object.fromEntries(
    [...byKey]
      .filter(([, logs]) => logs.length >= LEARN_FROM)
      .map(([key, logs]): [string, Learned] => {
        const mean = logs.reduce((sum, each) => sum + each, 0) / logs.length
        const variance = logs.reduce((sum, each) => sum + (each - mean) ** 2, 0) / (logs.length - 1)
        return [
          key,
          {
            tauMinutes: Math.exp(mean) / MINUTE,
            spread: Math.max(LEAST_SPREAD, Math.sqrt(variance * (1 + 1 / logs.length))),
            batches: logs.length,
          },
        ]
      }),
  )
}
