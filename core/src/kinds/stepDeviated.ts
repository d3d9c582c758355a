import { object, text } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { needsOpenBatch } from './openBatch'

/** A cook did it otherwise than the method says: kept with the batch, the method stays. */
export const stepDeviated: KindOf<'step-deviated'> = {
  kind: 'step-deviated',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { step, said } = object(body, ['step', 'said'])
    return { step: text(step, 40), said: text(said, 300) }
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
