import { object, oneOf, text } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'
import { inUse } from './inUse'

declare module '../../ledger/entry' {
  interface Bodies {
    'instrument-gone': { how: 'lost' | 'retired'; reason: string }
  }
}

/** Lost, or out of use for good: nothing is read with it any more. What was read with it stays as it is. */
export const instrumentGone: KindOf<'instrument-gone'> = {
  kind: 'instrument-gone',
  v: 1,
  about: 'instrument',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { how, reason } = object(body, ['how', 'reason'])
    return { how: oneOf(how, ['lost', 'retired'] as const), reason: text(reason, 200) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about }, read) => inUse(about.id, read),
  folds: { instrument: (state, { claim: { at, body } }) => ({ ...state, gone: { at, ...body } }) },
}
