import { useMemo } from 'react'
import isSame from 'fast-deep-equal'
import {
  itemStanding,
  itemUrgency,
  limitsAt,
  placeOf,
  withLineage,
  type Id,
  type Instant,
  type ItemDiscarded,
  type LineageBar,
  type ItemStanding,
  type ItemState,
  type LimitSet,
  type Store,
  type UnitState,
} from '@logged-thermal/core'
import { discardReasonOf, storeMessages } from '@logged-thermal/wording'
import { useBarredQuery } from '../app/api'
import type { LineData } from '../app/lineData'
import { useAsOf } from '../app/now'
import { speaks } from '../kit/language'

const say = speaks(storeMessages)

/** An item as it stands now. */
export interface StoredItem {
  item: ItemState
  standing: ItemStanding
  /** What it was made of and is held by; left out: nothing, as far as is known here. */
  bar?: LineageBar | undefined
}

/** The kitchen's limits now; null before they are loaded. */
export function limitsOfLine(line: LineData | null, now: number): LimitSet | null {
  return limitsAt(line?.limits?.versions ?? [], now)
}

/** What items are judged by; null before it is loaded. */
export function storeOfLine(line: LineData | null, now: number): Store | null {
  const limits = limitsOfLine(line, now)
  return line && limits ? { units: line.units, limits, zone: line.kitchen.zone } : null
}

const NO_BARS: Record<Id, LineageBar> = {}

/** What is held by what it was made of: the server knows every generation. As it was last heard while that is away. */
export function useBars(line: LineData | null): Record<Id, LineageBar> {
  const { data, currentData } = useBarredQuery({ seq: line?.seq ?? 0 }, { skip: line === null })
  return (currentData ?? data)?.bars ?? NO_BARS
}

/** Dates and exposures move by the minute: looked at anew so often, ms. */
const ANEW = 30_000

/**
 * Everything that is held, what has to go first on top.
 * @param what only these, where nothing else is shown
 */
export function useStored(line: LineData | null, what?: ItemState['what']): StoredItem[] {
  const then = useAsOf((now) => Math.ceil(now / ANEW) * ANEW)
  const items = line?.items
  const units = line?.units
  const versions = line?.limits?.versions
  const zone = line?.kitchen.zone
  const bars = useBars(line)
  // What else is on the Line does not change what is in the cold.
  return useMemo(() => {
    const limits = limitsAt(versions ?? [], then)
    if (!items || !units || !zone || !limits) return []
    const store = { units, limits, zone }
    return items
      .filter((item) => what === undefined || item.what === what)
      .map((item) => storedAt(item, store, bars[item.id], then))
      .filter(({ standing }) => standing.asks !== 'gone')
      .sort(byUrgency)
  }, [items, units, versions, zone, bars, then, what])
}

const stored = new WeakMap<ItemState, StoredItem>()

/** An item as it stands at an instant: the very same object while it stands as it did, so that its row is drawn once. */
function storedAt(item: ItemState, store: Store, bar: LineageBar | undefined, at: Instant): StoredItem {
  const standing = withLineage(itemStanding(item, store, at), bar)
  const known = stored.get(item)
  if (known && known.bar === bar && isSame(known.standing, standing)) return known
  const one = { item, standing, bar }
  stored.set(item, one)
  return one
}

function byUrgency(a: StoredItem, b: StoredItem): number {
  const [rankA, atA] = itemUrgency(a.standing)
  const [rankB, atB] = itemUrgency(b.standing)
  return rankA - rankB || atA - atB || a.item.code.localeCompare(b.item.code)
}

/** Where an item is, as people say it: 'Walk-in 1, shelf 2'; 'on the bench'. */
export function whereIs(item: ItemState, units: readonly UnitState[]): string {
  const place = placeOf(item)?.value
  const unit = units.find(({ id }) => id === place?.unit)
  if (!unit) return place?.how === 'serve' ? say('outWithGuests') : place ? say('onBench') : say('nobodySaidWhere')
  return unit.shelves > 1 && place?.shelf ? say('shelfUnitShelf', { unit: unit.name, shelf: place.shelf }) : unit.name
}

/** What is thrown away of an item: all that is left, weighed where it is held by weight. */
export function discardOf({ item, standing }: StoredItem, left: ItemDiscarded['measure']): ItemDiscarded {
  const share = left && item.measure.value > 0 ? left.value / item.measure.value : 1
  return {
    reason: discardReasonOf(standing),
    note: null,
    measure: left,
    grams: left?.unit === 'g' ? left.value : null,
    cost: item.cost === null ? null : Math.round(item.cost * share),
  }
}

/** The batch and the lots an item was made of, as far as this tablet knows them. */
export function ancestryIn(line: LineData, item: ItemState) {
  const ids = (type: string) => item.from.filter((from) => from.type === type).map(({ id }) => id)
  const [batches, lots]: Id[][] = [ids('batch'), ids('lot')]
  return {
    batch: line.batches.find(({ id }) => batches!.includes(id)) ?? null,
    lots: line.lots.filter(({ id }) => lots!.includes(id)),
  }
}
