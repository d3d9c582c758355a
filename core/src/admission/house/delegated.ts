import type { Id } from '../../ledger/subject'
import type { Instant } from '../../ground/instant'
import { id, instant, object } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    delegated: { to: Id | null; until: Instant }
  }
}

/** Somebody decides for the lead while the lead is away, with a PIN of their own; taken back by naming nobody. */
export const delegated: KindOf<'delegated'> = {
  kind: 'delegated',
  v: 1,
  about: 'kitchen',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { to, until } = object(body, ['to', 'until'])
    return { to: to.value === null ? null : id(to), until: instant(until) }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse: ({ about, kitchen }) =>
    about.id === kitchen ? null : { code: 'not there', field: 'about.id', what: 'kitchen' },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, delegate: body }) },
}
