import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { object, text } from '../../ground/field'
import { atKnownStep, isRefusal } from '../guard/knownStep'

declare module '../../ledger/entry' {
  interface Bodies {
    'step-deviated': Deviation
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    'step-deviated': Bodies['step-deviated']
  }
}

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
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read) {
    const found = atKnownStep(claim, claim.body.step, read)
    return isRefusal(found) ? found : null
  },
  fact: asEntered,
}

/** What a cook did otherwise than the method says. */
export interface Deviation {
  step: string
  said: string
}
