import type { Instant } from '../calendar/instant'
import type { Day } from '../calendar/zone'
import type { Force, Source } from '../limits/limit'
import { frozenOf, openedAt, type ItemState } from '../state/item'
import { discardDay, type DiscardDay } from '../shelf/discardDay'

/** What dates an item, fixed when it came to be: each with where it is from. */
export interface Dating {
  /** The day of this instant is day 1. */
  prepared: Instant
  keeps: Keep[]
  /** A maker's use-by, never lengthened. */
  useBy: Day | null
  /** The last days of the parts that pass theirs on. */
  parts: { name: string; lastDay: Day }[]
}

/** Calendar days or hours it may be kept, and who says so. */
export interface Keep {
  what: 'days' | 'hours' | 'once opened'
  count: number
  /** Hours count from here; null: from `prepared`, or the opening. */
  from: Instant | null
  force: Force
  source: Source
}

/** One date that an item may not be kept past. */
export interface DateWall extends DiscardDay {
  /** The keep that sets it; null for a use-by or a part. */
  keep: Keep | null
}

export interface Frozen {
  from: Instant
  to?: Instant
}

/**
 * Every date of an item, the one that rules first. Empty for what nothing dates: it goes to discard.
 * @param openedAt when its package was opened; null while it is closed
 */
export function wallsOf(dating: Dating, openedAt: Instant | null, frozen: readonly Frozen[], zone: string): DateWall[] {
  const { prepared, keeps, useBy, parts } = dating
  const freezes = [...frozen]
  const walls: DateWall[] = [
    ...keeps.flatMap((keep): DateWall[] => {
      const begins = keep.what === 'once opened' ? openedAt : (keep.from ?? prepared)
      if (begins === null) return []
      const days = keep.what === 'hours' ? { keepHours: keep.count } : { keepDays: keep.count }
      // What was frozen before it was opened does not stretch the days after.
      const since = keep.what === 'once opened' ? freezes.filter(({ from }) => from >= begins) : freezes
      return [{ ...discardDay({ prepared: begins, zone, ...days, frozen: since }), keep }]
    }),
    ...(useBy === null ? [] : [{ ...discardDay({ prepared, zone, useBy, frozen: freezes }), keep: null }]),
    ...parts.map((part): DateWall => ({
      ...discardDay({ prepared, zone, components: [part], frozen: freezes }),
      keep: null,
    })),
  ]
  return walls.sort(byUntil)
}

/** The same of an item, with what was done to it since. */
export function itemWalls(item: Pick<ItemState, 'dating' | 'opened' | 'moves' | 'readings'>, zone: string): DateWall[] {
  return wallsOf(item.dating, openedAt(item), frozenOf(item), zone)
}

/** What runs rules before what the frost has stopped. */
function byUntil(a: DateWall, b: DateWall): number {
  if (a.until !== null && b.until !== null) return a.until - b.until
  if (a.until !== null) return -1
  if (b.until !== null) return 1
  return (a.daysLeft ?? 0) - (b.daysLeft ?? 0)
}
