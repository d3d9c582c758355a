import type { Instant } from '../calendar/instant'
import type { Day } from '../calendar/zone'
import type { EggPart } from '../egg/eggGrams'
import { discardDay, type DiscardDay } from './discardDay'

/** Days that a part of the egg is kept, the day it was opened being day 1. House defaults. */
export const BY_PRODUCT_DAYS: Record<EggPart, number> = { whole: 2, yolk: 2, white: 4 }

/** The last day of a left-over: its own days from when the eggs were opened, never past what its lots allow. */
export function byProductDay(
  { part, made, lots }: { part: EggPart; made: Instant; lots: readonly string[] },
  known: readonly { id: string; code: string; useBy: Day | null }[],
  zone: string,
): DiscardDay {
  const components = known.flatMap(({ id, code, useBy }) =>
    useBy !== null && lots.includes(id) ? [{ name: code, lastDay: useBy }] : [],
  )
  return discardDay({ prepared: made, zone, keepDays: BY_PRODUCT_DAYS[part], components })
}
