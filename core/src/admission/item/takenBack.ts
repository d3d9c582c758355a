import type { Subject, Id, SubjectType } from '../../ledger/subject'
import { struckInBatch } from '../../state/batchChanges'
import { struckInItem } from '../../state/itemChanges'
import { canonical } from '../../ground/canonical'
import { CORRECTED_WITHIN } from '../../ledger/late'
import { id, list, object, oneOf, type Field } from '../../ground/field'
import type { Fact } from '../../state/fact'
import { tapsOf, type ItemState } from '../../state/item'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** A mistaken tap, within minutes. `also`: the batches and items that it had changed too. */
    'taken-back': { target: Id; also: Subject[] }
  }
}

/** A mistaken tap on an item is taken back within this by who made it; after it the lead decides, ms. */
export const TAKEN_BACK_WITHIN = CORRECTED_WITHIN

/** A mistaken tap on an item is taken back: it stays in the logbook, struck through. */
export const takenBack: KindOf<'taken-back'> = {
  kind: 'taken-back',
  v: 2,
  // At first a tap had changed one other thing at most.
  upcast: ({ also, ...body }) => ({ ...body, also: also === null ? [] : [also] }),
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { target, also } = object(body, ['target', 'also'])
    return { target: id(target), also: list(also, parseAlso, 2) }
  },
  writes: ({ about, body: { also } }) => [about, ...also],
  reads: () => [],
  refuse({ about, by, madeAt, body }, read, { now = madeAt }) {
    const item = read('item', about.id)
    if (!item) return { code: 'not there', field: 'about.id', what: 'item' }
    const tap = tapsOf(item).find(({ entry, void: gone }) => entry === body.target && !gone)
    if (!tap || item.undone) return { code: 'not there', field: 'body.target', what: 'entry' }
    const back = backOf(item, body.target)
    if (back === 'stands') return { code: 'not taken back', field: 'body.target', why: 'stands' }
    if (canonical(back.also) !== canonical(body.also)) return { code: 'other lineage', field: 'body' }
    // A tap that took something off tells what it inherited anew: it is as old as its own entry.
    const after = Math.max(now - (tap.recordedAt ?? tap.madeAt), madeAt - tap.madeAt)
    return tap.by !== by || after > TAKEN_BACK_WITHIN
      ? { code: 'not taken back', field: 'body.target', why: 'late' }
      : null
  },
  folds: {
    batch: (state, { claim: { body } }) => struckInBatch(state, body.target),
    item: (state, { claim: { body } }) => struckInItem(state, body.target),
  },
}

/**
 * What else a tap on an item had changed, and changes back with it. 'stands' where no tap puts it back: what came in, was
 * held or was cracked into a batch, and what something was done with since.
 */
export function backOf(item: ItemState, target: Id): { also: Subject[] } | 'stands' {
  if (target === item.born) return wholeBack(item)
  const has = (facts: readonly Fact<unknown>[]) => facts.some(({ entry }) => entry === target)
  if (has(item.splits) || has(item.holds)) return 'stands'
  // A sample ends by an entry of its own.
  const into = ['into a batch', 'onto an item', 'sample']
  if (item.uses.some(({ entry, value }) => entry === target && into.includes(value.then))) return 'stands'
  const part = item.parts.find(({ entry }) => entry === target)
  return { also: part ? [{ type: 'batch', id: part.value.batch }] : [] }
}

/** Put away, split off or finished by mistake, and nothing done with it since: back to where it came from, as if it had never been. */
function wholeBack(item: ItemState): { also: Subject[] } | 'stands' {
  if (tapsOf(item).some(({ entry, void: gone }) => entry !== item.born && !gone)) return 'stands'
  const made = item.bornAs === 'item-split' || item.bornAs === 'item-finished'
  const type = item.bornAs === 'portioned' ? 'batch' : made ? 'item' : null
  const also = item.from
    .filter((from) => from.type === type)
    .map(({ type: of, id: from }): Subject => ({ type: of, id: from }))
  return also.length > 0 ? { also } : 'stands'
}

function parseAlso(field: Field): Subject {
  const { type, id: of } = object(field, ['type', 'id'])
  return { type: oneOf<SubjectType>(type, ['batch', 'item']), id: id(of) }
}
