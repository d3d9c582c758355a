import { object, text, type Field } from '../../ground/field'
import type { Claim } from '../../ledger/entry'
import type { Read } from '../../state/state'
import { EVERYONE_WHO_COOKS } from '../guard/kindOf'
import { atKnownStep, isRefusal } from '../guard/knownStep'

type Tick = Claim<'cleaned' | 'washed'>

/** A tick of a batch: whoever cooks says of a step that something was done, in one tap. */
export const tick = {
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse: (body: Field) => ({ step: text(object(body, ['step']).step, 40) }),
  writes: ({ about }: Tick) => [about],
  reads: () => [],
  refuse({ about, body }: Tick, read: Read) {
    const found = atKnownStep({ about }, body.step, read)
    return isRefusal(found) ? found : null
  },
} as const
