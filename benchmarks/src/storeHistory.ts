import { v7 as uuid } from 'uuid'
import {
  dayOf,
  heldTo,
  inheritedOf,
  partOf,
  portionOf,
  seal,
  apply,
  type BatchState,
  type Bodies,
  type ChainHead,
  type Id,
  type Instant,
  type ItemState,
  type Kind,
  type SealedEntry,
} from '@logged-thermal/core'
import { claimMaker, type Seeded, sha256 } from '@logged-thermal/server'

const MINUTE = 60_000
/** Of a cooked batch, and of what is built of it. */
const OF_COOKED = 12
const OF_BUILT = 7
/** With the one that is split off. */
export const ITEMS_A_PAIR = OF_COOKED + OF_BUILT + 1
/** Made in a day. */
const A_DAY = 10
const APART = 144 * MINUTE

/**
 * Years of a kitchen, entry by entry: eggs into cooked batches, their portions into assemblies, everything labelled,
 * moved and used up, but for the last days.
 */
export function* storeHistory(
  { kitchenId, people, starter }: Seeded,
  pairs: number,
  now: Instant,
  head: ChainHead,
): Generator<SealedEntry> {
  const by = people.find(({ key }) => key === 'mina')!.id
  const [custard, trifle] = ['Bay-leaf pouring custard', 'Orchard trifle'].map((name) =>
    starter.methods.find((method) => method.name === name)!,
  )
  const { limits, units } = starter
  let last = head
  let at = 0
  const enter = <K extends Kind>(kind: K, about: Id, body: Bodies[K]): SealedEntry => {
    const claim = claimMaker(kitchenId)(kind, about, at, by, body)
    const { entry } = seal(claim, last, { recordedAt: at, offsetMinutes: 0, postedBy: by }, sha256)
    last = entry.seal
    return entry
  }
  const started = (id: Id, method: typeof custard, n: number) =>
    enter('batch-started', id, {
      code: `b-${n}`,
      ...heldTo(method!, 1, limits, false, dayOf(at, 'UTC')),
      limits: { id: limits.id, version: limits.version },
      vessel: method!.vessel,
      factor: 1,
    })
  const unit = units[0]!.id
  const other = units[1]!.id
  const freezer = units.find((each) => each.unit.kind === 'freezer')!.id
  let lot = starter.lots[0]!
  for (let pair = 0; pair < pairs; pair++) {
    at = Math.round(now - (pairs - pair) * APART)
    const age = pairs - pair
    // What was made today is there, of yesterday a third, of the day before a tenth, of the last month something frozen.
    const left = (n: number) => age <= A_DAY || (age <= 2 * A_DAY && n % 3 === 0) || (age <= 3 * A_DAY && n % 10 === 0)
    const frozen = (n: number) => age > 3 * A_DAY && age <= 30 * A_DAY && n === 5 && pair % 3 === 0
    if (pair % 4 === 0) {
      lot = { ...lot, id: uuid() }
      yield enter('lot-received', lot.id, { ...lot.lot, code: `E-${pair}`, held: null })
    }
    const cooked = uuid()
    let batch: BatchState | null = null
    const heard = (entry: SealedEntry, id: Id) => {
      batch = apply.batch(id, batch, entry)
      return entry
    }
    yield heard(started(cooked, custard, pair * 2), cooked)
    yield heard(
      enter('eggs-taken', cooked, {
        step: 'temper',
        lot: lot.id,
        form: 'shell',
        as: 'separated',
        cracked: 48,
        rejected: 0,
        grams: {},
        size: 'US L',
        item: null,
      }),
      cooked,
    )
    yield heard(
      enter('reading-taken', cooked, {
        typed: { value: 81, unit: 'C' },
        where: 'core',
        of: 'mixture',
        instrument: starter.probe.id,
      }),
      cooked,
    )
    const portion = (of: BatchState, method: typeof custard, n: number): [SealedEntry, Id, ItemState] => {
      const id = uuid()
      const said = {
        code: `${of.code}${n}`,
        as: 'portion' as const,
        measure: { value: 60, unit: 'portion' as const },
        last: n === 0,
        unit,
        shelf: 1,
      }
      const entry = enter('portioned', id, portionOf(of, method!, said, limits, 'UTC', at))
      return [entry, id, apply.item(id, null, entry)!]
    }
    const items: [Id, ItemState][] = []
    for (let n = 0; n < OF_COOKED; n++) {
      const [entry, id, state] = portion(batch!, custard, n)
      items.push([id, state])
      yield entry
    }
    const built = uuid()
    batch = null
    yield heard(started(built, trifle, pair * 2 + 1), built)
    for (const [id, state] of items.slice(0, 2)) {
      yield heard(
        enter('part-used', id, {
          batch: built,
          step: 'assemble',
          measure: { value: 10, unit: 'portion' },
          typed: { value: 3, unit: 'C' },
          instrument: starter.probe.id,
          warm: false,
          condition: null,
          part: partOf(state, { least: 0, likely: 0, most: 0 }, 'UTC'),
        }),
        built,
      )
    }
    for (let n = 0; n < OF_BUILT; n++) {
      const [entry, id, state] = portion(batch!, trifle, n)
      items.push([id, state])
      yield entry
    }
    const [parent, state] = items.at(-1)!
    const into = uuid()
    yield enter('item-split', parent, {
      into,
      code: `${state.code}s`,
      measure: { value: 20, unit: 'portion' },
      as: inheritedOf(state, 1 / 3),
    })
    const all: [Id, Pick<ItemState, 'measure'>][] = [...items, [into, { measure: { value: 20, unit: 'portion' } }]]
    for (const [n, [id, { measure }]] of all.entries()) {
      yield enter('label-printed', id, { copies: 1 })
      yield enter('item-moved', id, { how: 'move', unit: other, shelf: 1 })
      yield enter('item-moved', id, { how: 'move', unit, shelf: 2 })
      // First read cold, and cold again.
      yield enter('item-read', id, { typed: { value: 3.2, unit: 'C' }, instrument: starter.probe.id })
      if (frozen(n)) yield enter('item-moved', id, { how: 'freeze', unit: freezer, shelf: 1 })
      const whole = items.slice(0, 2).some(([used]) => used === id)
        ? measure.value - 10
        : id === parent
          ? measure.value - 20
          : measure.value
      const shares = left(n) || frozen(n) ? 4 : 5
      for (let use = 0; use < shares; use++)
        yield enter('item-used', id, {
          measure: { value: Math.round((whole / 5) * 100) / 100, unit: 'portion' },
          then: 'sold',
        })
    }
    for (const each of units) {
      yield enter('unit-read', each.id, {
        typed: { value: each.id === freezer ? -19 : 3.1, unit: 'C' },
        instrument: null,
        noted: null,
      })
    }
  }
}
