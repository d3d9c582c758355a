import { id, list, number, object, oneOf, text } from '../../ground/field'
import { MEASURE_UNITS } from '../../ground/measure'
import type { Id } from '../../ledger/subject'
import { knownAt } from '../../ledger/late'
import { MOST_TRACED, type TraceEnded } from '../../ledger/traceTry'
import { itemLeft, type ItemState } from '../../state/item'
import type { Read } from '../../state/state'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'trace-ended': TraceEnded
  }
}

/** The trace that was begun is done. How long it took is from its begin to when the logbook knew of its end. */
export const traceEnded: KindOf<'trace-ended'> = {
  kind: 'trace-ended',
  v: 1,
  about: 'kitchen',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { begun, found, missing, counted, note } = object(body, [
      'begun',
      'found',
      'missing',
      'counted',
      'note',
      'balance',
    ])
    return {
      begun: id(begun),
      found: list(found, id, MOST_TRACED),
      missing: list(missing, id, MOST_TRACED),
      counted: counted.value === null ? null : parseCounted(counted),
      note: note.value === '' ? '' : text(note, 500),
      balance: null,
    }
  },
  writes: ({ about }) => [about],
  reads: ({ about, body: { counted } }) => [about, ...(counted ? [{ type: 'item' as const, id: counted.item }] : [])],
  refuse({ about, kitchen, at, body: { begun, counted, found, missing } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const of = read('kitchen', kitchen)?.traceTries.find(({ entry }) => entry === begun)
    if (!of || at < of.at) return { code: 'not there', field: 'body.begun', what: 'trace' }
    if (of.ended) return { code: 'already there', field: 'body.begun', what: 'trace' }
    if (found.some((thing) => missing.includes(thing)))
      return { code: 'already there', field: 'body.missing', what: 'trace' }
    if (!counted) return null
    const item = read('item', counted.item)
    if (!item || !isOf(of.of.id, counted.item, item.bornAs, item.from))
      return { code: 'not there', field: 'body.counted', what: 'item' }
    if (counted.left.unit !== item.measure.unit) return { code: 'not there', field: 'body.counted', what: 'item' }
    const named = new Set([...found, ...missing])
    const left = relativesOf(item).filter((thing) => !named.has(thing)).length
    return left > 0 ? { code: 'trace incomplete', field: 'body.found', left } : null
  },
  derive: ({ body: { counted } }, read) => ({ balance: counted && balanceOf(counted, read) }),
  folds: {
    kitchen(state, entry) {
      const { at, by, body } = entry.claim
      const { begun, ...ended } = body
      const known = Math.max(at, knownAt(entry))
      const withEnd = (each: (typeof state.traceTries)[number]) =>
        each.entry === begun ? { ...each, ended: { ...ended, at: known, by } } : each
      return { ...state, traceTries: state.traceTries.map(withEnd) }
    },
  },
}

/** What it was made of and what became of it, one step each way, as its own entries say: none of it is left out. */
function relativesOf({ from, splits, parts, uses }: ItemState): Id[] {
  return [
    ...from.map(({ id: parent }) => parent),
    ...splits.flatMap(({ void: back, value }) => (back ? [] : [value.into])),
    ...parts.flatMap(({ void: back, value }) => (back ? [] : [value.batch])),
    ...uses.flatMap(({ void: back, value }) => (!back && value.then === 'onto an item' ? [value.onto] : [])),
  ]
}

/** A thing is counted of itself; a lot by the package it came in. */
function isOf(traced: Id, item: Id, bornAs: string, from: readonly { id: Id }[]): boolean {
  return traced === item || (bornAs === 'lot-received' && from.some((parent) => parent.id === traced))
}

function balanceOf({ item, left }: NonNullable<TraceEnded['counted']>, read: Read): TraceEnded['balance'] {
  const state = read('item', item)
  if (!state) return null
  const { value: all, unit } = state.measure
  return { all, gone: all - itemLeft(state).value, counted: left.value, unit }
}

function parseCounted(field: Parameters<typeof id>[0]): NonNullable<TraceEnded['counted']> {
  const { item, left } = object(field, ['item', 'left'])
  const { value, unit } = object(left, ['value', 'unit'])
  return { item: id(item), left: { value: number(value, 0, 1_000_000), unit: oneOf(unit, MEASURE_UNITS) } }
}
