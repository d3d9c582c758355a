import type { Instant } from '../../ground/instant'
import { stillNeeds, type Finding } from '../../judgement/finding'
import { offNow, type HeatWindow } from './window'

/** What a pot on the heat has to say aloud. */
export type HeatSignal =
  /** It is at a row of the floor, and has to stay there. */
  | 'floor'
  /** The countdown is over, which proves nothing: read again. */
  | 'again'
  /** A reading has proven the floor. */
  | 'proven'
  /** It reaches the ceiling so soon that it is to come off. */
  | 'ceiling'

/** The signal of a batch on the heat; null while there is nothing to say. The most pressing one. */
export function heatSignal(window: HeatWindow, now: Instant): HeatSignal | null {
  const floor = window.floor?.finding
  if (!floor) return null
  if (offNow(window, now) || isOver(window)) return 'ceiling'
  if (floor.standing === 'proven') return 'proven'
  if (nextReading(floor, now)?.inMs === 0) return 'again'
  return heldAt(window) === null ? null : 'floor'
}

/** What the row that closes first still needs, ms, if the pot stays there; null while it is under every row. */
export function leftOf({ ladder }: Finding, now: Instant): number | null {
  const left = ladder.flatMap((rung) => stillNeeds(rung, now) ?? [])
  return left.length ? Math.min(...left) : null
}

/**
 * In how long a pot that is held has to be read again for the hold to count on, ms, and whether that reading can prove it;
 * null while no row is held.
 */
export function nextReading(finding: Finding, now: Instant): { inMs: number; proves: boolean } | null {
  const left = leftOf(finding, now)
  if (left === null) return null
  const inMs = finding.readBy === null ? left : Math.max(0, finding.readBy - now)
  return { inMs, proves: left <= inMs }
}

/** Since when the row that a cook aims for is held, with its seconds; null while the pot is under it. */
export function heldAt({ floor }: HeatWindow): { since: Instant; seconds: number } | null {
  const rung = floor?.finding.ladder.find(({ row, since }) => since !== null && row.celsius >= floor.celsius - 1e-6)
  return rung && rung.since !== null ? { since: rung.since, seconds: rung.row.seconds } : null
}

/**
 * Whether it is worth going on to the floor that is aimed for: as it goes that proves it before the row that is held
 * now would.
 */
export function risesSooner(window: HeatWindow, now: Instant): boolean {
  const { floor } = window
  const at = floor?.at?.likely ?? null
  if (!floor || at === null || heldAt(window) !== null) return false
  const aim = floor.finding.ladder.find(({ row }) => row.celsius >= floor.celsius - 1e-6)
  const left = leftOf(floor.finding, now)
  return left === null || (left > 0 && at + (aim?.row.seconds ?? 0) * 1000 < now + left)
}

/** Read above the ceiling already. */
function isOver({ ceiling }: HeatWindow): boolean {
  return ceiling?.finding.standing === 'missed'
}
