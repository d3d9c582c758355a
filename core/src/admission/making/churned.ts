import type { Typed } from '../../ground/temperature'
import type { Bodies } from '../../ledger/entry'
import { asEntered, EVERYONE_WHO_COOKS, type KindOf } from '../guard/kindOf'
import { object, oneOf, text, typedTemperature } from '../../ground/field'
import { needsOpenBatch } from '../guard/openBatch'

declare module '../../ledger/entry' {
  interface Bodies {
    churned: Churning
  }
}
declare module '../../state/batch' {
  interface BatchFacts {
    churned: Bodies['churned']
  }
}

/** A moment of churning with its temperature: the base going in, the start, the end, the draw. */
export const churned: KindOf<'churned'> = {
  kind: 'churned',
  v: 1,
  about: 'batch',
  may: EVERYONE_WHO_COOKS,
  signed: false,
  parse(body) {
    const { step, moment, typed } = object(body, ['step', 'moment', 'typed'])
    return {
      step: text(step, 40),
      moment: oneOf(moment, ['going in', 'start', 'end', 'draw'] as const),
      typed: typed.value === null ? null : typedTemperature(typed),
    }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse(claim, read) {
    const refusal = needsOpenBatch(claim, read)
    if (refusal) return refusal
    const step = read('batch', claim.about.id)?.method.steps.find(({ key }) => key === claim.body.step)
    return step?.kind === 'churn' ? null : { code: 'not there', field: 'body.step', what: 'step' }
  },
  fact: asEntered,
}

/** A moment of churning, with its temperature where it was read. */
export interface Churning {
  step: string
  moment: 'going in' | 'start' | 'end' | 'draw'
  typed: Typed | null
}
