import { dayOf } from '../calendar/zone'
import { EGG_SIZES, type EggSize } from '../egg/eggGrams'
import { catalogue } from '../ingredient/catalogue'
import type { LotReceived } from '../ledger/entry'
import { FieldError, id, object, oneOf, text, type Field } from '../ledger/parse'
import { limitsAt } from '../limits/limitSet'
import { permitted } from '../limits/practice'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { parseDayField } from './parseVariance'

/** A lot of an ingredient came in. A pasteurized one names its maker's word, or the variance it was heated here under. */
export const lotReceived: KindOf<'lot-received'> = {
  kind: 'lot-received',
  v: 1,
  about: 'lot',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const names = ['code', 'ingredient', 'form', 'size', 'supplier', 'useBy', 'pasteurized'] as const
    const { code, ingredient, form, size, supplier, useBy, pasteurized } = object(body, names)
    const lot: LotReceived = {
      code: text(code, 40),
      ingredient: oneOf(ingredient, Object.keys(catalogue)),
      form: oneOf(form, ['shell', 'pasteurized'] as const),
      size: size.value === null ? null : oneOf(size, Object.keys(EGG_SIZES) as EggSize[]),
      supplier: text(supplier, 120),
      useBy: useBy.value === null ? null : parseDayField(useBy),
      pasteurized: pasteurized.value === null ? null : parsePasteurized(pasteurized),
    }
    if (lot.form === 'pasteurized' && lot.pasteurized === null)
      throw new FieldError(pasteurized.path, { code: 'missing' })
    return lot
  },
  touches: ({ about }) => [about],
  reads: ({ body: { pasteurized } }) =>
    pasteurized?.by === 'this kitchen' ? [{ type: 'limits', id: pasteurized.limits }] : [],
  admit({ about, at, body: { pasteurized } }, read, { zone }) {
    if (read('lot', about.id)) return { code: 'already there', field: 'about.id', what: 'lot' }
    if (pasteurized?.by !== 'this kitchen') return null
    const limits = limitsAt(read('limits', pasteurized.limits)?.versions ?? [], at)
    return permitted(limits?.practice.permits.heatedEggs ?? null, dayOf(at, zone))
      ? null
      : { code: 'heated here', field: 'body.pasteurized' }
  },
}

function parsePasteurized(field: Field): LotReceived['pasteurized'] {
  const { by } = object(field, ['by', 'certificate', 'limits'])
  if (oneOf(by, ['maker', 'this kitchen'] as const) === 'maker') {
    return { by: 'maker', certificate: text(object(field, ['by', 'certificate']).certificate, 120) }
  }
  const { limits } = object(field, ['by', 'limits'])
  return { by: 'this kitchen', limits: id(limits) }
}
