import { type Instant, HOUR } from '../../ground/instant'
import { addDays, dayOf, daysBetween, parseDay, startOfDay, type Day } from '../../ground/zone'

export interface DatedItem {
  prepared: Instant
  /** IANA zone of the kitchen: it decides what a day is. */
  zone: string
  /** Calendar days it may be kept, the day of preparation being day 1. */
  keepDays?: number
  /** Hours it may be kept, counted from `prepared`: the raw class. Freezing does not lengthen them. */
  keepHours?: number
  frozen?: { from: Instant; to?: Instant }[]
  /** A maker's use-by, never lengthened. */
  useBy?: Day
  components?: { name: string; lastDay: Day }[]
}

export interface DiscardDay {
  /** Last usable day; null while the count is stopped by freezing. */
  lastDay: Day | null
  /** Usable before this instant. */
  until: Instant | null
  /** While frozen: days that will be left on thawing, the day of thawing being the first. */
  daysLeft?: number
  /** What set it: 'keepDays', 'keepHours', 'useBy' or a component's name. */
  ruledBy: string
}

/**
 * The day after which an item is thrown away: the earliest that anything about it allows (Food Code 2022, 3-501.17
 * and .18). The days of freezing and of thawing both count as used.
 * RangeError for overlapping freezes, unknown zones, days that are none, or an item that nothing dates.
 */
export function discardDay(item: DatedItem): DiscardDay {
  const { prepared, zone } = item
  const made = dayOf(prepared, zone)
  const freezes = checkedFreezes(item)
  const walls: { ruledBy: string; lastDay: Day; until: Instant; left?: number }[] = []
  const add = (ruledBy: string, lastDay: Day, left?: number) =>
    walls.push({
      ruledBy,
      lastDay,
      until: startOfDay(addDays(lastDay, 1), zone),
      ...(left === undefined ? {} : { left }),
    })

  const paused = (ruledBy: string, day: Day) => {
    const { lastDay, left } = lengthen(day, freezes, zone)
    add(ruledBy, lastDay, left)
  }
  if (item.keepDays !== undefined) paused('keepDays', addDays(made, requireCount('keepDays', item.keepDays) - 1))
  for (const { name, lastDay } of item.components ?? []) {
    parseDay(`components: ${name}`, lastDay)
    paused(name, lastDay)
  }
  if (item.useBy !== undefined) {
    parseDay('useBy', item.useBy)
    add('useBy', item.useBy)
  }
  if (item.keepHours !== undefined) {
    const until = prepared + requireCount('keepHours', item.keepHours) * HOUR
    walls.push({ ruledBy: 'keepHours', lastDay: dayOf(until - 1, zone), until })
  }
  // A stopped count has no day; what is not stopped rules while anything is.
  const running = walls.filter(({ left }) => left === undefined).sort((a, b) => a.until - b.until)
  const stopped = walls.filter(({ left }) => left !== undefined).sort((a, b) => a.left! - b.left!)
  const first = running[0]
  if (first) return { lastDay: first.lastDay, until: first.until, ruledBy: first.ruledBy }
  const waiting = stopped[0]
  if (!waiting) throw new RangeError('item: nothing dates it; give keepDays, keepHours, useBy or components')
  return { lastDay: null, until: null, daysLeft: waiting.left!, ruledBy: waiting.ruledBy }
}

function checkedFreezes({ frozen = [] }: DatedItem): { from: Instant; to?: Instant }[] {
  const freezes = [...frozen].sort((a, b) => a.from - b.from)
  freezes.forEach(({ from, to }, i) => {
    const next = freezes[i + 1]
    if (to !== undefined && to < from) throw new RangeError(`frozen: thawed at ${to}, before it was frozen at ${from}`)
    if (next && (to === undefined || next.from < to)) throw new RangeError(`frozen: ${from} and ${next.from} overlap`)
  })
  return freezes
}

/** Moves a last day by the whole days spent frozen; a freeze that began past the last day saves nothing. */
function lengthen(
  lastDay: Day,
  freezes: { from: Instant; to?: Instant }[],
  zone: string,
): { lastDay: Day; left?: number } {
  let day = lastDay
  for (const { from, to } of freezes) {
    const frozenOn = dayOf(from, zone)
    if (frozenOn > day) break
    if (to === undefined) return { lastDay: day, left: daysBetween(frozenOn, day) }
    day = addDays(day, Math.max(0, daysBetween(frozenOn, dayOf(to, zone)) - 1))
  }
  return { lastDay: day }
}

function requireCount(argument: string, count: number): number {
  if (!Number.isFinite(count) || count <= 0) throw new RangeError(`${argument}: ${count} is not a number above 0`)
  return count
}
