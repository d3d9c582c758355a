import type { Instant } from '../../ground/instant'
import { dayOf } from '../../ground/zone'
import { isBeforeKill, wrongEgg } from '../eggs/mayGoIn'
import type { Id } from '../../ledger/subject'
import type { PassedWall } from '../../ledger/dating'
import type { Part, PartUsed } from '../../ledger/storeEntries'
import { celsiusOf, SAME_DEGREE } from '../../ground/temperature'
import type { BatchState } from '../../state/batch'
import {
  eggOf,
  frozenOf,
  holdOf,
  isFrozen,
  isOfItsBatch,
  openedAt,
  itemLeft,
  placeOf,
  releasedAt,
  type ItemState,
} from '../../state/item'
import { mayGoIn, type LotState } from '../../state/lot'
import { itemLevel, itemStanding, type ItemStanding, type Store } from '../keeping/itemStanding'
import type { Bounded } from '../../physics/trace/reading'
import type { Measure } from '../../ground/measure'
import { isCleared, releaseBar } from './cleared'
import { isFrozenFruit, isLookedAt } from '../../recipe/ingredient/produce'
import { wallsOf, type DateWall } from '../dates/walls'
import { lineageBars, type Ancestors, type LineageBar } from './lineageBars'

/** Why an item may not go where somebody wants it; every one can be put right, or is the lead's to decide. */
export type PartShut =
  | { code: 'to discard'; why: ItemStanding['why'] }
  | { code: 'held' }
  | { code: 'asks first'; asks: ItemStanding['asks'] }
  | { code: 'frozen' }
  | { code: 'not proven'; batch: string }
  | { code: 'lot not accepted'; lot: string }
  /** Something that it was made of, however far back. */
  | { code: 'lineage'; what: LineageBar['why']; of: string }
  | { code: 'too warm'; celsius: number; level: number }
  /** Out with the guests or held hot: its time is its only control, and it is served from there. */
  | { code: 'out for good' }
  | { code: 'raw egg unheated' }
  | { code: 'fruit not treated' }
  | { code: 'not looked at' }
  | { code: 'looked bad' }
  | { code: 'more than is left'; left: Measure }
  /** It holds raw egg or untreated fruit, and goes to guests who are highly susceptible. */
  | { code: 'susceptible' }
  /** Egg goes into a batch: it is nothing that is finished. */
  | { code: 'is egg' }
  /** It needs the cold or comes frozen: it goes on from the store, with its day. */
  | { code: 'not held'; name: string }
  /** What it is to go onto is in it. */
  | { code: 'made of it' }

/** The batch and the lots that an item was made of, as they stand; and its whole lineage, where that was read. */
export interface Ancestry {
  batch: BatchState | null
  lots: readonly LotState[]
  further?: Ancestors
}

/** Why some of an item may not go into a batch at a step; null when it may. */
export function partShut(
  item: ItemState,
  into: BatchState,
  { step, typed, warm, measure, condition }: Pick<PartUsed, 'step' | 'typed' | 'warm' | 'measure' | 'condition'>,
  ancestry: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  const shut = partUnfit(item, measure, into, step, ancestry, store, now)
  if (shut) return shut
  if (isLookedAt(item.ingredient) && !condition) return { code: 'not looked at' }
  if (condition && !condition.good) return { code: 'looked bad' }
  const level = itemLevel(item, store.limits, dayOf(now, store.zone))
  const celsius = celsiusOf(typed)
  const isWarm = level !== null && celsius > level.celsius + SAME_DEGREE
  const heated = isBeforeKill(into, step)
  return isWarm && !warm && !heated ? { code: 'too warm', celsius, level: level.celsius } : null
}

/** Why it may not go in, however cold it is read and however good it looks: such a part is not offered. */
export function partUnfit(
  item: ItemState,
  measure: Measure | null,
  into: BatchState,
  step: string,
  ancestry: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  const shut = itemShut(item, measure, ancestry, store, now)
  if (shut) return shut
  const how = placeOf(item)?.value.how
  if (how === 'serve' || how === 'hot') return { code: 'out for good' }
  const heated = isBeforeKill(into, step)
  const rule = heated ? into.terms.eggs.heated : into.terms.eggs.unheated
  if (eggOf(item) !== null && item.facts.heat === 'raw' && wrongEgg(into, rule, 'shell'))
    return { code: 'raw egg unheated' }
  // What was made raw on purpose is for none of them, in whatever it is.
  if (
    into.terms.susceptible &&
    !heated &&
    (item.facts.heat === 'raw' || item.facts.advisory) &&
    item.what === 'portion'
  )
    return { code: 'susceptible' }
  const untreated = isFrozenFruit(item.ingredient) && ancestry.lots.some(({ treatment }) => treatment === null)
  return untreated && !heated ? { code: 'fruit not treated' } : null
}

/** Why none of an item may go into anything or be moved, except to discard; null when it may. */
export function itemShut(
  item: ItemState,
  measure: Measure | null,
  ancestry: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  // Whatever else it asks: frozen, its dates stand still, and nothing could carry them on.
  return servingShut(item, measure, ancestry, store, now) ?? (isFrozen(item) ? { code: 'frozen' } : null)
}

/** Why none of an item may be sold or finished; null when it may, frozen or not: ices are served frozen. */
export function servingShut(
  item: ItemState,
  measure: Measure | null,
  { batch, lots, further }: Ancestry,
  store: Store,
  now: Instant,
): PartShut | null {
  const standing = itemStanding(item, store, now)
  const { asks, why } = standing
  if (asks === 'discard') return { code: 'to discard', why }
  if (holdOf(item)) return { code: 'held' }
  if (measure) {
    const left = itemLeft(item)
    if (measure.unit !== left.unit || measure.value > left.value + 0.05) return { code: 'more than is left', left }
  }
  // What the lead let go on after looking at it, goes on as far as that looked, and no law was missed since.
  const isReleased = releasedAt(item) !== null
  const answered = answeredBars(item)
  const cleared = (of: BatchState) =>
    isReleased && (answered === 'its own' || answered.includes(`batch ${of.id}`))
      ? releaseBar(of, store.zone, now)?.code !== 'law missed' && !isStopped(of)
      : isCleared(of, store.zone, now)
  if (batch && isOfItsBatch(item) && !cleared(batch)) return { code: 'not proven', batch: batch.code }
  if ((asks === 'lead decides' || asks === 'read it') && why !== 'still cooling') return { code: 'asks first', asks }
  const lot = lots.find(
    (each) => !mayGoIn(each) && !(isReleased && (answered === 'its own' || answered.includes(`lot ${each.id}`))),
  )
  if (lot) return { code: 'lot not accepted', lot: lot.code }
  const bar = further && lineageBars(item, further, store.zone, now).find((each) => !isAnswered(each, answered))
  return bar ? { code: 'lineage', what: bar.why, of: bar.code } : null
}

/** Held, thrown away or called back since: no release of an item goes past that. */
function isStopped({ disposition, recalls }: BatchState): boolean {
  return recalls.length > 0 || disposition?.value.decision === 'hold' || disposition?.value.decision === 'discard'
}

/** What the lead's last release of an item saw and answered for; nothing where it was never released. */
function answeredBars(item: ItemState): readonly string[] | 'its own' {
  const release = item.holds.findLast(({ void: gone, value }) => !gone && !value.held && value.recall === null)
  return release ? (release.value.answers ?? 'its own') : []
}

/** A release answers for what it saw, and only for what it may let go on: proof that is wanting, and no law, hold or recall. */
function isAnswered({ type, id, why }: LineageBar, answered: readonly string[] | 'its own'): boolean {
  if (why !== 'not proven' && why !== 'lot not accepted') return false
  return answered === 'its own' || answered.includes(`${type} ${id}`)
}

/**
 * An item as the batch keeps it: as it was when it went in. Frozen, its frost ends there: what it is in keeps its days.
 * @param exposed its time above its cold limit until then
 * @param at when it went in; left out: as if it had never been frozen
 */
export function partOf(item: ItemState, exposed: Bounded, zone: string, at: Instant = -Infinity): Part {
  const frozen = frozenOf(item).map(({ from, to = Math.max(from, at) }) => ({ from, to }))
  const walls = wallsOf(item.dating, openedAt(item), frozen, zone)
  const [wall] = walls
  const { id, code, name, facts } = item
  const carried = {
    least: Math.round(exposed.least),
    likely: Math.round(exposed.likely),
    most: Math.round(exposed.most),
  }
  const [lastDay, until] = [wall?.lastDay ?? null, wall?.until ?? null]
  return {
    item: id,
    code,
    name,
    lastDay,
    until,
    facts,
    egg: eggOf(item),
    carried,
    ready: item.what === 'portion',
    walls: walls.flatMap((each) => passedWall(each)),
    from: item.from.filter(({ type }) => type === 'batch').map(({ id: of }) => of),
  }
}

function passedWall({ keep, lastDay, until, kind: passed, ruledBy }: DateWall): PassedWall[] {
  if (lastDay === null || until === null) return []
  const own = keep?.what === 'hours' ? 'hours' : ruledBy === 'useBy' ? 'use-by' : 'days'
  return [{ kind: passed ?? own, until, lastDay }]
}

/** The batches and lots that an item names as what it was made of. */
export function ancestorsOf({ from }: Pick<ItemState, 'from'>): { batches: Id[]; lots: Id[] } {
  const of = (type: string) => from.filter((origin) => origin.type === type).map(({ id }) => id)
  return { batches: of('batch'), lots: of('lot') }
}
