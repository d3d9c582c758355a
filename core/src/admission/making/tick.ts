import { object, text } from '../../ground/field'
import { EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { atKnownStep, isRefusal } from '../guard/knownStep'

/** A tick of a batch: whoever cooks says of a step that something was done, in one tap. */
export function tickOf<K extends 'cleaned' | 'washed'>(kind: K): KindOf<K> {
  return {
    kind,
    v: 1,
    about: 'batch',
    may: EVERYONE_WHO_COOKS,
    signed: false,
    parse: (body) => ({ step: text(object(body, ['step']).step, 40) }),
    touches: ({ about }) => [about],
    reads: () => [],
    admit({ about, body }, read) {
      const found = atKnownStep({ about }, body.step, read)
      return isRefusal(found) ? found : null
    },
  }
}
