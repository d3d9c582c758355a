import type { EggsTaken, Bodies, Claim } from '../../ledger/entry'
import { openedBy, withItemFact } from '../../state/itemChanges'
import { outOfPackage } from '../../state/gramsTaken'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { MINUTE } from '../../ground/instant'
import { EGG_SIZES, type EggPart, type EggSize } from '../../recipe/ingredient/eggGrams'
import { dayOf } from '../../ground/zone'
import { FieldError, id, number, object, oneOf, text, whole, type Field } from '../../ground/field'
import type { Refusal } from '../guard/refusal'
import { itemLeft } from '../../state/item'
import type { Read } from '../../state/state'
import { isMoreThanLeft, isPackageOf } from '../../state/eggPackage'
import type { World } from '../../judgement/world'
import { atKnownStep, isRefusal } from '../guard/knownStep'
import { aroundItem, needsUsable } from '../guard/storeOf'
import { useByOf } from '../../judgement/dates/useBy'
import { eggRuleAt, lotShut, wrongEgg } from '../../judgement/eggs/mayGoIn'

declare module '../../ledger/entry' {
  interface Bodies {
    'eggs-taken': EggsTaken
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'eggs-taken': Bodies['eggs-taken']
  }
}

/** Eggs of a lot go into a batch. A shell lot is refused where only pasteurized egg may go in. */
export const eggsTaken: KindOf<'eggs-taken'> = {
  kind: 'eggs-taken',
  v: 2,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  // Before a lot was held as an item they came out of none.
  upcast: (body) => ({ ...body, item: null }),
  parse(body) {
    const names = [
      'step',
      'lot',
      'form',
      'as',
      'cracked',
      'rejected',
      'grams',
      'size',
      'item',
      'inHand',
      'happened',
    ] as const
    const { step, lot, form, as, cracked, rejected, grams, size, item, inHand, happened } = object(body, names)
    const taken: EggsTaken = {
      step: text(step, 40),
      lot: id(lot),
      form: oneOf(form, ['shell', 'pasteurized'] as const),
      as: oneOf(as, ['whole', 'yolk', 'white', 'separated'] as const),
      cracked: cracked.value === null ? null : whole(cracked, 0, 5000),
      rejected: whole(rejected, 0, 5000),
      grams: parseGrams(grams),
      size: oneOf(size, Object.keys(EGG_SIZES) as EggSize[]),
      item: item.value === null ? null : id(item),
      ...(inHand.value === undefined ? {} : { inHand: oneOf(inHand, [true] as const) }),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
    if (taken.cracked === null && Object.keys(taken.grams).length === 0)
      throw new FieldError(cracked.path, { code: 'missing' })
    return taken
  },
  writes: ({ about, body: { item } }) => (item ? [about, { type: 'item', id: item }] : [about]),
  reads: ({ body: { lot } }) => [{ type: 'lot', id: lot }],
  readsThen: ({ body: { item } }, read, world) => (item ? aroundItem(read('item', item), read, world) : []),
  refuse(claim, read, world) {
    const { step, lot: lotId, form } = claim.body
    const batch = atKnownStep(claim, step, read)
    if (isRefusal(batch)) return batch
    const lot = read('lot', lotId)
    if (!lot) return { code: 'not there', field: 'body.lot', what: 'lot' }
    if (lot.form !== form) return { code: 'other lot', field: 'body.form', lot: lot.code }
    // As a plan it is refused; what is in already can always be entered, and betters nothing.
    if (claim.body.happened) return otherPackage(claim, read)
    const shut = lotShut(lot, dayOf(claim.at, world.zone))
    if (shut === 'past its day')
      return { code: 'lot past its day', field: 'body.lot', lot: lot.code, useBy: useByOf(lot)! }
    if (shut) return { code: 'lot not accepted', field: 'body.lot', lot: lot.code }
    const why = wrongEgg(batch, eggRuleAt(batch, step), form)
    if (why) return { code: 'wrong egg', field: 'body.lot', lot: lot.code, why }
    // Eggs of a package that is held come out of it: leaving it out passes no hold.
    if (lot.held && claim.body.item === null) return { code: 'package needed', field: 'body.item', lot: lot.code }
    return wrongPackage(claim, read, world)
  },
  lateAfter: 15 * MINUTE,
  fact: asEntered,
  folds: {
    item: (state, entry) => {
      const { body } = entry.claim
      const measure = outOfPackage(body, state.measure.unit)
      const happened = body.happened ? { happened: body.happened } : {}
      if (!measure) return state
      return openedBy(withItemFact(state, 'uses', entry, { measure, then: 'into a batch', ...happened }), entry)
    },
  },
}

/** Why they may not come out of that package. That few shells are left is no reason: nobody counts to the egg. */
function wrongPackage(claim: Claim<'eggs-taken'>, read: Read, world: World): Refusal | null {
  const { at, body } = claim
  const other = otherPackage(claim, read)
  const item = body.item === null ? null : read('item', body.item)
  if (other || !item) return other
  const shut = needsUsable(item, null, read, world, at)
  if (shut || body.inHand || !isMoreThanLeft(item, body)) return shut
  return { code: 'more than is left', field: 'body.grams', left: itemLeft(item).value }
}

/** Why that is no package of the lot; null when it is, or none is named. */
function otherPackage({ body }: Claim<'eggs-taken'>, read: Read): Refusal | null {
  if (body.item === null) return null
  const item = read('item', body.item)
  if (!item) return { code: 'not there', field: 'body.item', what: 'item' }
  return isPackageOf(body.lot, item) ? null : { code: 'other lineage', field: 'body.item' }
}

function parseGrams(field: Field): EggsTaken['grams'] {
  const fields = object(field, ['whole', 'yolk', 'white'])
  const found: EggsTaken['grams'] = {}
  for (const part of Object.keys(fields) as EggPart[]) {
    if (fields[part].value !== undefined) found[part] = number(fields[part], 0, 500_000)
  }
  return found
}
