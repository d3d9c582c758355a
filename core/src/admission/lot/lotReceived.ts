import type { LotReceived, LotHeld } from '../../ledger/storeEntries'
import { NO_ITEM, putIn } from '../../state/newItem'
import { factOf } from '../../state/fact'
import { MINUTE, type Instant } from '../../ground/instant'
import { withUse } from '../../state/instrument'
import type { Read } from '../../state/state'
import { backed, instrumentOf, parseReadBy } from '../reading/readingTaken'
import { dayOf } from '../../ground/zone'
import { EGG_SIZES, type EggSize } from '../../recipe/ingredient/eggGrams'
import { catalogue } from '../../recipe/ingredient/catalogue'
import { ourFood } from '../../recipe/ingredient/ours'
import { parseIngredient } from '../../recipe/method/parseMethod'
import type { Id } from '../../ledger/subject'
import { FieldError, id, object, oneOf, text, typedTemperature, whole, type Field, nameOf } from '../../ground/field'
import { limitsAt } from '../../rules/limitSet'
import { limitsIn } from '../guard/limitsIn'
import { permitted } from '../../rules/practice'
import { packageOf } from '../../judgement/dates/ofPackage'
import { isAllowed, receivingLevel, receivingOf } from '../../judgement/keeping/receiving'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { parseMeasure, parseSpot } from '../guard/parseStore'
import { parseCondition } from '../making/partUsed'
import { parseDayField } from '../../rules/parseVariance'
import { limitsNow } from '../guard/storeOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'lot-received': LotReceived
  }
}

/**
 * A lot came in and was accepted, held for the lead, or refused at the door: never more than core allows. A pasteurized
 * one names its maker's word, or the variance it was heated here under.
 */
export const lotReceived: KindOf<'lot-received'> = {
  kind: 'lot-received',
  v: 2,
  about: 'lot',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  // Before receiving was judged a lot was what it said it was, and none was held as an item.
  upcast: (body) => ({
    ...body,
    name: FORMER_NAMES[String(body.ingredient)] ?? String(body.ingredient),
    scheme: null,
    treatment: null,
    received: null,
    condition: null,
    verdict: 'accept',
    why: null,
    held: null,
  }),
  parse(body) {
    const said = ['code', 'ingredient', 'own', 'name', 'form', 'size', 'supplier', 'useBy', 'pasteurized'] as const
    const seen = ['scheme', 'treatment', 'received', 'condition', 'verdict', 'why', 'held', 'dateKind'] as const
    const fields = object(body, [...said, ...seen])
    const orNull = <T>(field: Field, parse: (field: Field) => T): T | null =>
      field.value === null ? null : parse(field)
    const lot: LotReceived = {
      code: nameOf(fields.code, 40),
      ingredient: orNull(fields.ingredient, (field) => oneOf(field, Object.keys(catalogue))),
      ...(fields.own.value === undefined ? {} : { own: parseIngredient(fields.own) }),
      name: nameOf(fields.name, 80),
      form: orNull(fields.form, (field) => oneOf(field, ['shell', 'pasteurized'] as const)),
      size: orNull(fields.size, (field) => oneOf(field, Object.keys(EGG_SIZES) as EggSize[])),
      supplier: nameOf(fields.supplier, 120),
      useBy: orNull(fields.useBy, parseDayField),
      pasteurized: orNull(fields.pasteurized, parsePasteurized),
      scheme: orNull(fields.scheme, (field) => nameOf(field, 80)),
      treatment: orNull(fields.treatment, (field) => nameOf(field, 120)),
      received: orNull(fields.received, parseReceived),
      condition: parseCondition(fields.condition),
      verdict: oneOf(fields.verdict, ['accept', 'hold', 'refuse'] as const),
      why: orNull(fields.why, (field) => text(field, 300)),
      held: orNull(fields.held, parseHeld),
      ...(fields.dateKind.value === undefined
        ? {}
        : { dateKind: oneOf(fields.dateKind, ['use-by', 'best-before'] as const) }),
    }
    if (lot.form === 'pasteurized' && lot.pasteurized === null)
      throw new FieldError(fields.pasteurized.path, { code: 'missing' })
    if (lot.ingredient !== null && catalogue[lot.ingredient]!.egg !== null && lot.form === null)
      throw new FieldError(fields.form.path, { code: 'missing' })
    return lot
  },
  writes: ({ about, body: { held, received } }) => [
    about,
    ...(held ? [{ type: 'item' as const, id: held.item }] : []),
    ...(received ? instrumentOf(received) : []),
  ],
  reads: ({ kitchen, body: { own, pasteurized, held } }) => [
    ...(own ? [{ type: 'kitchen' as const, id: kitchen }] : []),
    ...(pasteurized?.by === 'this kitchen' ? [{ type: 'limits' as const, id: pasteurized.limits }] : []),
    ...(held?.unit ? [{ type: 'unit' as const, id: held.unit }] : []),
  ],
  readsThen: (_claim, _read, world) => limitsIn(world),
  refuse({ about, at, kitchen, body }, read, world) {
    const { own, pasteurized, held, verdict } = body
    if (read('lot', about.id)) return { code: 'already there', field: 'about.id', what: 'lot' }
    if (held && read('item', held.item)) return { code: 'already there', field: 'body.held', what: 'item' }
    if (held?.unit && !read('unit', held.unit)) return { code: 'not there', field: 'body.held', what: 'unit' }
    // One of the kitchen's own comes as what it is most like: egg as egg, frozen fruit as frozen fruit.
    const like = own && keptOf(own.key, kitchen, read)?.like
    if (own && (!like || like !== body.ingredient)) return { code: 'not there', field: 'body.own', what: 'ingredient' }
    const day = dayOf(at, world.zone)
    if (pasteurized?.by === 'this kitchen') {
      const own = limitsAt(read('limits', pasteurized.limits)?.versions ?? [], at)
      if (!permitted(own?.practice.permits.heatedEggs ?? null, day))
        return { code: 'heated here', field: 'body.pasteurized' }
    }
    // A kitchen's first lots come with it, before its limits are known: nothing is held of them.
    const limits = limitsNow(world, read, at)
    if (!limits) return null
    const found = receivingOf({ ...body, ...backedIn(body, at, read) }, limits, day, limits.practice.susceptible)
    const [why] = found.reasons
    if (why && !isAllowed(verdict, found)) return { code: 'received otherwise', field: 'body.verdict', why }
    return null
  },
  derive({ at, kitchen, body }, read, world) {
    const limits = limitsNow(world, read, at)
    const own = body.own && { own: ourFood(body.own.key, read('kitchen', kitchen)?.ingredients ?? [])! }
    const { received } = { ...body, ...backedIn(body, at, read) }
    const atMost = limits && (receivingLevel(body, limits, dayOf(at, world.zone))?.celsius ?? null)
    return {
      ...own,
      ...(received && limits ? { received: { ...received, atMost } } : backedIn(body, at, read)),
      ...(limits && body.held
        ? { held: { ...body.held, ...packageOf({ ...body, ...own }, limits, dayOf(at, world.zone), at) } }
        : {}),
    }
  },
  lateAfter: 30 * MINUTE,
  folds: { instrument: (state, { claim: { at, about } }) => withUse(state, about, at) },
  begins: {
    lot: ({ claim: { at, by, body } }, id) => ({
      id,
      receivedAt: at,
      receivedBy: by,
      ...body,
      decided: null,
      fails: [],
      recall: null,
    }),
    item: (entry) => {
      const { at, by, about, body } = entry.claim
      const { held, code, name, ingredient, verdict, why } = body
      if (!held) return null
      const { measure, cost, dating, facts } = held
      const atTheDoor = { held: true, reason: why ?? 'held at the door', recall: null }
      return {
        ...NO_ITEM,
        code: held.code,
        name,
        what: 'package',
        from: [{ type: 'lot', id: about.id, code }],
        made: at,
        madeBy: by,
        measure,
        cost,
        dating,
        facts,
        coldAt: at,
        ingredient,
        moves: putIn(entry, held),
        holds: verdict === 'hold' ? [factOf(entry, at, atTheDoor)] : [],
      }
    },
  },
}

function keptOf(key: Id, kitchen: Id, read: Read) {
  return read('kitchen', kitchen)?.ingredients.find((each) => each.key === key && !each.gone && each.into === null)
}

/** How cold it came in, with what stood behind that. */
function backedIn({ received }: LotReceived, at: Instant, read: Read): Partial<Pick<LotReceived, 'received'>> {
  if (!received || received.instrument === null) return {}
  return { received: { ...received, ...backed(received, at, read) } }
}

function parsePasteurized(field: Field): NonNullable<LotReceived['pasteurized']> {
  const { by } = object(field, ['by', 'certificate', 'limits'])
  if (oneOf(by, ['maker', 'this kitchen'] as const) === 'maker') {
    return { by: 'maker', certificate: text(object(field, ['by', 'certificate']).certificate, 120) }
  }
  const { limits } = object(field, ['by', 'limits'])
  return { by: 'this kitchen', limits: id(limits) }
}

function parseReceived(field: Field): NonNullable<LotReceived['received']> {
  // What it was held to needs no parsing: only what core finds is folded.
  const { typed, instrument, readBy } = object(field, ['typed', 'instrument', 'readBy', 'atMost'])
  return {
    typed: typedTemperature(typed),
    instrument: instrument.value === null ? null : id(instrument),
    ...parseReadBy(readBy, instrument),
  }
}

function parseHeld(field: Field): LotHeld {
  const { item, code, measure, cost, unit, shelf, dating, facts } = object(field, [
    'item',
    'code',
    'measure',
    'cost',
    'unit',
    'shelf',
    'dating',
    'facts',
  ])
  return {
    item: id(item),
    code: nameOf(code, 24),
    measure: parseMeasure(measure),
    cost: cost.value === null ? null : whole(cost, 0, 100_000_000),
    ...parseSpot({ unit, shelf }),
    // What follows from the lot needs no parsing: admit takes only the very one that core finds.
    dating: dating.value as LotHeld['dating'],
    facts: facts.value as LotHeld['facts'],
  }
}

/** What egg was called before a lot had a name of its own; it never changes. */
const FORMER_NAMES: Record<string, string> = { egg: 'Whole egg', yolk: 'Yolk', white: 'Egg white' }
