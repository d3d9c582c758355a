import { object, oneOf, text } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { needsOpenBatch } from './openBatch'

/** A step began, was combined, ended or was left out. */
export const stepMarked: KindOf<'step-marked'> = {
  kind: 'step-marked',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { step, edge } = object(body, ['step', 'edge'])
    return { step: text(step, 40), edge: oneOf(edge, ['started', 'combined', 'done', 'skipped'] as const) }
  },
  touches: ({ about }) => [about],
  reads: () => [],
  admit(claim, read) {
    const refusal = needsOpenBatch(claim, read)
    if (refusal) return refusal
    const known = read('batch', claim.about.id)?.method.steps.some(({ key }) => key === claim.body.step)
    return known ? null : { code: 'not there', field: 'body.step', what: 'step' }
  },
}
