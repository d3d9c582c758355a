import type { FamilyKey } from '../../recipe/method/method'
import type { Place } from '../../physics/cooling/place'
import type { Setting } from '../../judgement/timeline/setting'
import { stepsLeft } from '../../judgement/timeline/stepLeft'
import type { BatchState } from '../../state/batch'

/** Something a cook can still do about a cooling. */
export interface Action {
  kind: 'stirred ice bath' | 'ice bath' | 'blast chiller' | 'shallow pans' | 'split'
  place: Place
  /** How deep it stands then, m. */
  depth: number
  /** Into how many pans of the same kind. */
  pans: number
}

/** What set, was baked or holds air is neither stirred nor poured. */
const STAYS: readonly FamilyKey[] = [
  'baked-custard',
  'sponge',
  'dry-baked',
  'filled-pastry',
  'foam-topping',
  'enriched-custard',
  'white-foam',
  'yolk-foam',
  'mousse',
  'assembly',
  'whipped-cream',
]

/** Whether it can be stirred or poured as it is now: what is folded holds no air before that. */
export function mayBeStirred(batch: BatchState): boolean {
  return !STAYS.includes(batch.method.family) || stepsLeft(batch).some(({ kind }) => kind === 'fold')
}

/** Shallow, m: what guidance on cooling asks for. */
const SHALLOW = 0.05

/**
 * What can be done about a batch that stands so, other than what is being done.
 * @param places what this kitchen has; ice and a tap it has always
 */
export function actionsFor(batch: BatchState, setting: Setting, places: readonly Place[]): Action[] {
  const depth = setting.product.shape.height
  const moves = mayBeStirred(batch)
  const cold = (['fan refrigerator', 'refrigerator'] as const).find((place) => places.includes(place)) ?? 'refrigerator'
  const into = (kind: Action['kind'] & Place): Action => ({ kind, place: kind, depth, pans: 1 })
  const shallow = Math.ceil(depth / Math.min(SHALLOW, depth / 2) - 1e-9)
  const stays = setting.place !== null && setting.place !== 'counter' ? setting.place : cold
  return [
    ...(moves ? [into('stirred ice bath')] : []),
    into('ice bath'),
    ...(places.includes('blast chiller') ? [into('blast chiller')] : []),
    ...(moves ? [{ kind: 'shallow pans' as const, place: cold, depth: depth / shallow, pans: shallow }] : []),
    ...(moves && shallow > 2 ? [{ kind: 'split' as const, place: stays, depth: depth / 2, pans: 2 }] : []),
  ].filter(({ place, pans }) => pans > 1 || place !== setting.place)
}
