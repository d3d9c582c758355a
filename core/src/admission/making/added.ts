import type { Bodies, Addition, Claim, Seal } from '../../ledger/entry'
import { foodIn } from '../../recipe/ingredient/own'
import { asKnown } from '../../recipe/ingredient/ours'
import { isFrozenFruit } from '../../recipe/ingredient/produce'
import { parseIngredient } from '../../recipe/method/parseMethod'
import { MINUTE } from '../../ground/instant'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { FieldError, isId, number, object, oneOf, text } from '../../ground/field'
import { dayOf, type Day } from '../../ground/zone'
import type { Read } from '../../state/state'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { atKnownStep, isRefusal } from '../guard/knownStep'
import { eggRuleOfAddition, isPasteurizedLot, isTreatedLot, wrongEgg } from '../../judgement/eggs/mayGoIn'
import type { LotState } from '../../state/lot'

declare module '../../ledger/entry' {
  interface Bodies {
    added: Addition
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    added: Bodies['added']
  }
}

/** Something went in on the heat or after it. Raw egg and untreated fruit open the cook check again. */
export const added: KindOf<'added'> = {
  kind: 'added',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const names = ['step', 'ingredient', 'own', 'grams', 'state', 'lot', 'happened'] as const
    const { step, ingredient, own: field, grams, state, lot, happened } = object(body, names)
    const own = field.value === undefined ? null : parseIngredient(field)
    if (own && own.key in catalogue) throw new FieldError(`${field.path}.key`, { code: 'twice' })
    return {
      step: text(step, 40),
      // What the catalogue has is taken from there: nobody sends along what a yolk is.
      ingredient: oneOf(ingredient, own ? [own.key] : Object.keys(catalogue)),
      ...(own ? { own } : {}),
      grams: grams.value === null ? null : number(grams, 0.1, 500_000),
      state: oneOf(state, ['as it is', 'pasteurized lot', 'frozen', 'treated'] as const),
      lot: lot.value === null ? null : text(lot, 40),
      ...(happened.value === undefined ? {} : { happened: oneOf(happened, [true] as const) }),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ kitchen, body: { lot, own } }) => [
    ...(lot !== null && isId(lot) ? [{ type: 'lot' as const, id: lot }] : []),
    ...(own ? [{ type: 'kitchen' as const, id: kitchen }] : []),
  ],
  resolve(claim, read, { zone }) {
    const { at } = claim
    const body = asOurs(claim, read)
    if (foodIn(body)?.egg != null) return { egg: isPasteurized(body, read, dayOf(at, zone)) ? 'pasteurized' : 'shell' }
    return body.state === 'treated' && isFrozenFruit(body.ingredient) ? { treated: isTreated(body, read) } : null
  },
  refuse(claim, read, { zone }) {
    const body = asOurs(claim, read)
    const { step, state, lot } = body
    const batch = atKnownStep(claim, step, read)
    if (isRefusal(batch)) return batch
    const food = foodIn(body)
    const isEgg = food?.egg != null
    // As a plan it is refused; what is in already can always be entered, and betters nothing.
    if (!isEgg || claim.body.happened) return null
    if (state === 'pasteurized lot' && lot === null) return { code: 'lot needed', field: 'body.lot' }
    // A word typed in a box is no lot: such an egg is raw.
    if (isPasteurized(body, read, dayOf(claim.at, zone))) return null
    const why = wrongEgg(batch, eggRuleOfAddition(batch), 'shell')
    return why && { code: 'wrong egg', field: 'body.state', lot: lot ?? food.name, why }
  },
  derive: (claim, read) => (claim.body.own ? { own: asOurs(claim, read).own! } : {}),
  lateAfter: 15 * MINUTE,
  fact: asResolved,
}

/** The kitchen's own is what the kitchen says that it is, whatever a tablet sends along: egg stays egg. */
function asOurs({ kitchen, body }: Claim<'added'>, read: Read): Addition {
  return body.own ? { ...body, own: asKnown(body.own, read('kitchen', kitchen)?.ingredients ?? []) } : body
}

/** Frozen fruit is treated where its received lot says by what. */
function isTreated({ lot, ingredient }: Addition, read: Read): boolean {
  return isTreatedLot(lotNamed(lot, read), ingredient)
}

/** Pasteurized is a received lot of that form, accepted and in date. */
function isPasteurized({ state, lot }: Addition, read: Read, day: Day): boolean {
  return state === 'pasteurized lot' && isPasteurizedLot(lotNamed(lot, read), day)
}

function lotNamed(lot: string | null, read: Read): LotState | null {
  return lot !== null && isId(lot) ? read('lot', lot) : null
}

/** Egg is of a pasteurized lot, and frozen fruit treated, where the server found that lot; a word typed in a box is raw. */
function asResolved({ body }: Claim<'added'>, seal: Seal | null): Addition {
  // Whose treatment nobody vouches for by a received lot is not treated.
  if (body.own && body.state === 'treated') return { ...body, state: 'frozen' }
  if (seal === null || seal.rules === undefined) return body
  if (body.state === 'pasteurized lot' && seal.resolved?.egg !== 'pasteurized') return { ...body, state: 'as it is' }
  const treated = seal.resolved?.treated ?? body.ingredient !== ASKED_BEFORE
  return body.state === 'treated' && !treated ? { ...body, state: 'frozen' } : body
}

/** An older seal only says where fruit was treated. This is the one ingredient that was asked about then. */
const ASKED_BEFORE = 'berry-puree'
