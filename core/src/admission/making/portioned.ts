import type { BatchState } from '../../state/batch'
import type { Read } from '../../state/state'
import type { Method } from '../../recipe/method/method'
import type { Claim } from '../../ledger/entry'
import type { Portioned } from '../../ledger/storeEntries'
import type { Id } from '../../ledger/subject'
import { NO_ITEM, putIn } from '../../state/newItem'
import { MINUTE } from '../../ground/instant'
import { canonical } from '../../ground/canonical'
import { flag, id, object, oneOf, nameOf } from '../../ground/field'
import { methodRef } from '../../recipe/method/methodRef'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { needsOpenBatch } from '../guard/openBatch'
import { parseMeasure, parseSpot } from '../guard/parseStore'
import { limitsIn } from '../guard/limitsIn'
import { limitsNow } from '../guard/storeOf'
import { throughTools } from '../guard/throughTools'
import type { World } from '../../judgement/world'
import { untoldBy } from '../../state/tool'
import { carriedInto, untoldOf } from '../../judgement/lineage/carryOver'
import { isCleared } from '../../judgement/lineage/cleared'
import { NEW_KITCHEN } from '../../state/kitchen'
import { withOurs } from '../../recipe/ingredient/ours'
import { withKnown } from '../../judgement/lineage/contents'
import { portionOf } from '../../judgement/lineage/portion'

declare module '../../ledger/entry' {
  interface Bodies {
    portioned: Portioned
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    portioned: Portioned & { item: Id }
  }
}

/** Some of a batch is put away as an item of its own, with the dates, allergens and heat that follow from the batch. */
export const portioned: KindOf<'portioned'> = {
  kind: 'portioned',
  v: 1,
  about: 'item',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const said = ['batch', 'method', 'code', 'as', 'measure', 'unit', 'shelf', 'last', 'frozen'] as const
    const found = ['untold', 'batchCode', 'name', 'dating', 'facts', 'ready', 'coldAt', 'carried'] as const
    const fields = object(body, [...said, ...found])
    const { batch, method, code, as, measure, unit, shelf, last, frozen } = fields
    // What follows from the batch needs no parsing: admit takes only the very one that core finds.
    const follows = Object.fromEntries(
      found.flatMap((name) => (fields[name].value === undefined ? [] : [[name, fields[name].value]])),
    ) as Pick<Portioned, (typeof found)[number]>
    return {
      batch: id(batch),
      method: id(method),
      code: nameOf(code, 24),
      as: oneOf(as, ['portion', 'trimmings', 'strained residue'] as const),
      measure: parseMeasure(measure),
      ...parseSpot({ unit, shelf }),
      last: flag(last),
      ...(frozen.value === undefined ? {} : { frozen: oneOf(frozen, [true] as const) }),
      ...follows,
    }
  },
  writes: ({ about, kitchen, body: { batch, untold } }) => [
    about,
    { type: 'batch', id: batch },
    ...(untold?.length ? [{ type: 'kitchen' as const, id: kitchen }] : []),
  ],
  reads: ({ kitchen, body: { method, unit } }) => [
    { type: 'kitchen', id: kitchen },
    { type: 'method', id: method },
    ...(unit === null ? [] : [{ type: 'unit' as const, id: unit }]),
  ],
  readsThen: ({ kitchen }, read, world) => [...limitsIn(world), ...throughTools(kitchen, read)],
  refuse(claim, read, world) {
    const { about, at, body } = claim
    if (read('item', about.id)) return { code: 'already there', field: 'about.id', what: 'item' }
    const shut = needsOpenBatch({ about: { type: 'batch', id: body.batch } }, read)
    if (shut) return { ...shut, field: 'body.batch' } as typeof shut
    if (read('batch', body.batch)!.facts.portioned.some(({ value }) => value.code === body.code))
      return { code: 'code taken', field: 'body.code', taken: body.code }
    if (body.unit !== null && !read('unit', body.unit)) return { code: 'not there', field: 'body.unit', what: 'unit' }
    const batch = read('batch', body.batch)!
    if (!madeBy(batch, body, read)) return { code: 'not there', field: 'body.method', what: 'method' }
    if (!limitsNow(world, read, at)) return { code: 'not there', field: 'kitchen', what: 'limits' }
    if (body.frozen && read('unit', body.unit ?? '')?.kind !== 'freezer')
      return { code: 'move shut', field: 'body.unit', item: body.code, why: 'not a freezer' }
    const cleared = isCleared(batch, world.zone, at)
    // The frost stops its date: what is not proven cold goes on counting.
    if (body.frozen && !(cleared && isCold(foundOf(claim, read, world))))
      return { code: 'not proven to leave', field: 'body.frozen', batch: batch.code }
    return body.last && !cleared ? { code: 'not proven to leave', field: 'body.last', batch: batch.code } : null
  },
  derive: foundOf,
  lateAfter: 30 * MINUTE,
  fact: ({ about, body }) => ({ ...body, item: about.id }),
  folds: {
    kitchen: (state, { claim: { id: entry, body } }) => ({
      ...state,
      tools: untoldBy(state.tools, entry, body.batch, body.untold ?? []),
    }),
  },
  begins: {
    item: (entry) => {
      const { by, body } = entry.claim
      const { batch, batchCode, code, name, as, measure, dating, facts, ready, coldAt, carried } = body
      return {
        ...NO_ITEM,
        code,
        name,
        what: as === 'portion' ? 'portion' : 'by-product',
        from: [{ type: 'batch', id: batch, code: batchCode }],
        made: dating.prepared,
        madeBy: by,
        measure,
        dating,
        facts,
        ready,
        coldAt,
        carried,
        moves: putIn(entry, body, entry.claim.body.frozen ? 'freeze' : 'move'),
      }
    },
  },
}

/** The very version of the method that the batch was made by. */
function madeBy({ method: ref }: BatchState, { method: id }: Portioned, read: Read): Method | undefined {
  const versions = read('method', id)?.versions
  return versions?.find((method) => method.version === ref.version && canonical(methodRef(method)) === canonical(ref))
}

/** All of it that follows from the batch. What a tablet says of that is not taken, also where there is nothing to say. */
function foundOf({ at, kitchen, body }: Claim<'portioned'>, read: Read, world: World) {
  const { tools, ingredients } = read('kitchen', kitchen) ?? NEW_KITCHEN
  const batch = withKnown(read('batch', body.batch)!, ingredients)
  const carried = carriedInto(batch, tools, (of) => read('batch', of))
  const method = withOurs(madeBy(batch, body, read)!, ingredients)
  const untold = untoldOf(batch, tools, (of) => read('batch', of), at)
  const put = portionOf(batch, method, body, limitsNow(world, read, at)!, world.zone, at, carried)
  return tools.length > 0 || body.untold ? { ...put, untold } : put
}

/** Whether it is proven cold, or need not be. */
function isCold({ coldAt, facts }: Pick<Portioned, 'coldAt' | 'facts'>): boolean {
  return coldAt !== null || !facts.needsCold
}
