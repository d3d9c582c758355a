import type { Instant } from '../../ground/instant'
import type { Composition } from '../../physics/material/properties'
import type { Cover } from '../../physics/cooling/faces'
import type { Id } from '../../ledger/subject'
import { celsiusOf } from '../../ground/temperature'
import type { BatchFacts, BatchState } from '../../state/batch'
import { filledTo } from '../../physics/cooling/vessel'
import type { Place } from '../../physics/cooling/place'
import { roundProduct, type Product } from '../../physics/cooling/prospect'
import { valid } from '../../state/fact'

/** How a batch stands to cool from an instant on, until something is changed. */
export interface Setting {
  from: Instant
  /** null: nobody said. */
  place: Place | null
  unit: Id | null
  /** Of the unit as it went in, °C. */
  air: number | null
  cover: Cover
  product: Product
  /** What it stands in, to tell coolings alike. */
  vessel: Id
  /** What was done to it then. */
  change: 'began' | 'placed' | 'stirred' | 'poured' | 'covered'
}

/** Most desserts are near this; only where the amounts do not say. */
export const TYPICAL: Composition = { water: 0.74, protein: 0.04, fat: 0.1, carbohydrate: 0.11, ash: 0.01 }
const TYPICAL_KILOGRAMS = 3

/** Every way it stood since it cools, in order: each entry that changes how it cools begins another. */
export function settingsOf(batch: BatchState, cooledAt: Instant): Setting[] {
  const real = <T>(facts: readonly { at: Instant; value: T; void: boolean }[], change: Setting['change']) =>
    valid(facts).map(({ at, value }) => ({ at, value, change }))
  const changes = [
    ...real(batch.facts.placed, 'placed'),
    ...real(batch.facts.stirred, 'stirred'),
    ...real(batch.facts.poured, 'poured'),
    ...real(batch.facts.covered, 'covered'),
  ].sort((a, b) => a.at - b.at)
  const settings: Setting[] = [beginning(batch, cooledAt)]
  for (const { at, value, change } of changes) {
    const before = settings.at(-1)!
    const next = { ...before, ...changed(value, before.product), from: Math.max(at, cooledAt), change }
    // What was so before it cooled is how it began.
    if (at <= cooledAt) settings[settings.length - 1] = { ...next, change: 'began' }
    else settings.push(next)
  }
  return settings
}

function beginning(batch: BatchState, from: Instant): Setting {
  const { product } = batch.terms
  const { fillDepth, id } = batch.vessel
  const known = roundProduct(
    product?.kilograms ?? TYPICAL_KILOGRAMS,
    fillDepth,
    product?.composition ?? TYPICAL,
    'steel',
  )
  return {
    from,
    place: null,
    unit: null,
    air: null,
    cover: 'open',
    // Its width follows from its mass; nobody measured the pot.
    product: { ...known, guessed: true, ...(product?.unsure ? { unsure: product.unsure } : {}) },
    vessel: id,
    change: 'began',
  }
}

function changed(value: BatchFacts['placed' | 'stirred' | 'poured' | 'covered'], product: Product): Partial<Setting> {
  if ('place' in value)
    return { place: value.place, unit: value.unit, air: value.air === null ? null : celsiusOf(value.air) }
  if ('cover' in value) return { cover: value.cover }
  if ('pans' in value) {
    const { vessel, depth } = value
    const shape = filledTo(vessel.inside, depth)
    const { composition, unsure } = product
    return { vessel: vessel.id, product: { shape, composition, wall: vessel.wall, ...(unsure ? { unsure } : {}) } }
  }
  return {}
}
