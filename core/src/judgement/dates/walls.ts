import type { Dating, Keep, PassedWall } from '../../ledger/dating'
import { DAY, HOUR, type Instant } from '../../ground/instant'
import { dayOf, type Day } from '../../ground/zone'
import { frozenOf, openedAt, type ItemState } from '../../state/item'
import { discardDay, type DiscardDay } from './discardDay'

/** One date that an item may not be kept past. */
export interface DateWall extends DiscardDay {
  /** The keep that sets it; null for a use-by or a part. */
  keep: Keep | null
  /** Of a part: what kind of date it is. */
  kind?: PassedWall['kind']
}

/** Its dates without those of a part that come after another of the same part: they can never rule. */
export function firstOfEachPart(walls: readonly DateWall[]): DateWall[] {
  return walls.filter(
    ({ keep, ruledBy }, i) =>
      keep !== null ||
      ruledBy === 'useBy' ||
      walls.findIndex((each) => each.keep === null && each.ruledBy === ruledBy) === i,
  )
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
    ...(useBy === null ? [] : [{ ...useByWall(useBy, dating.frozenDays, prepared, freezes, zone), keep: null }]),
    ...parts.map((part): DateWall => {
      const { name, lastDay, until, kind, since = -Infinity } = part
      // Hours are an instant, and a use-by a day: the frost stops neither.
      if (until !== undefined && kind !== undefined && kind !== 'days')
        return { lastDay, until, ruledBy: name, keep: null, kind }
      const days = discardDay({ prepared, zone, components: [{ name, lastDay }], frozen: frozenSince(freezes, since) })
      return { ...days, keep: null, ...(kind === undefined ? {} : { kind }) }
    }),
  ]
  return walls.sort(byUntil)
}

/** The frost that something saw which was put on then: of a frost that had begun, the rest. */
function frozenSince(freezes: readonly Frozen[], since: Instant): Frozen[] {
  return freezes
    .filter(({ to }) => to === undefined || to > since)
    .map((each) => ({ ...each, from: Math.max(each.from, since) }))
}

/** After thawing it is used within this, and never beyond the days that were left, ms. */
const AFTER_THAWING = 24 * HOUR

/**
 * A use-by binds. Where the house may freeze before it: its days in the frost, then a day after thawing, never longer
 * than the days that were left.
 */
function useByWall(
  useBy: Day,
  frozenDays: number | undefined,
  prepared: Instant,
  freezes: readonly Frozen[],
  zone: string,
): DiscardDay {
  const bound = discardDay({ prepared, zone, useBy })
  const [first, second] = freezes
  if (frozenDays === undefined || !first || second || bound.until === null || first.from >= bound.until) return bound
  const inFrost = first.from + frozenDays * DAY
  if (first.to === undefined) return { lastDay: dayOf(inFrost - 1, zone), until: inFrost, ruledBy: 'useBy' }
  const until = Math.min(inFrost, first.to + Math.min(AFTER_THAWING, bound.until - first.from))
  return { lastDay: dayOf(until - 1, zone), until, ruledBy: 'useBy' }
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
