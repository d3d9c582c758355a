import { object, text } from '../ledger/parse'
import { EVERYONE_WHO_COOKS, type KindOf } from './kindOf'
import { atKnownStep, isRefusal } from './knownStep'

/** One tick for the fresh fruit, herbs and flowers of a step: washed in running water before they went in. */
export const washed: KindOf<'washed'> = {
  kind: 'washed',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body) => ({ step: text(object(body, ['step']).step, 40) }),
  touches: ({ about }) => [about],
  reads: () => [],
  admit(claim, read) {
    const found = atKnownStep(claim, claim.body.step, read)
    return isRefusal(found) ? found : null
  },
}
