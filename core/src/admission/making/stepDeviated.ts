import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { atKnownStep, isRefusal } from '../guard/knownStep'

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
    const found = atKnownStep(claim, claim.body.step, read)
    return isRefusal(found) ? found : null
  },
}
