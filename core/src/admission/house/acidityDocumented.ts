import { addDays, dayOf } from '../../ground/zone'
import { FieldError, flag, nameOf, number, object, oneOf, text, whole, type Field } from '../../ground/field'
import { ACID_BY, ACID_DOCUMENT_DAYS, LONGEST_ACID_DAYS, type AcidDocument } from '../../recipe/checks/acidDocument'
import { parseDayField } from '../../rules/parseVariance'
import { approvedOf } from '../../state/method'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** null: taken back, and pH changes nothing again. */
    'acidity-documented': { document: AcidDocument | null }
  }
}

/**
 * The lead attaches a document to a method that says how long it keeps by its pH: an authority's variance, a product
 * assessment, or the house's own study. It changes nothing by itself: each batch's own pH has to be inside.
 */
export const acidityDocumented: KindOf<'acidity-documented'> = {
  kind: 'acidity-documented',
  v: 1,
  about: 'method',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { document } = object(body, ['document'])
    return { document: document.value === null ? null : parseDocument(document) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, at, body: { document } }, read, { zone }) {
    const method = approvedOf(read('method', about.id))
    if (!method) return { code: 'not there', field: 'about.id', what: 'method' }
    if (document === null) return null
    if (document.version !== method.version) return { code: 'older version', field: 'body', current: method.version }
    const day = dayOf(at, zone)
    const last = addDays(day, ACID_DOCUMENT_DAYS)
    return document.validUntil < day || document.validUntil > last
      ? { code: 'signed too long', field: 'body.document.validUntil', last }
      : null
  },
  folds: {
    method: (state, { claim: { body } }) => ({ ...state, signed: { ...state.signed, acid: body.document } }),
  },
}

function parseDocument(field: Field): AcidDocument {
  const names = [
    'version',
    'by',
    'issuer',
    'number',
    'least',
    'most',
    'how',
    'days',
    'needsCold',
    'validUntil',
  ] as const
  const { version, by, issuer, number: reference, least, most, how, days, needsCold, validUntil } = object(field, names)
  const [from, to] = [least.value === null ? null : number(least, 0, 14), number(most, 0, 14)]
  if (from !== null && from >= to) throw new FieldError(least.path, { code: 'out of range', least: 0, most: to })
  return {
    version: whole(version, 1, 1e6),
    by: oneOf(by, ACID_BY),
    issuer: nameOf(issuer, 120),
    number: nameOf(reference, 120),
    least: from,
    most: to,
    how: text(how, 300),
    days: whole(days, 1, LONGEST_ACID_DAYS),
    needsCold: flag(needsCold),
    validUntil: parseDayField(validUntil),
  }
}
