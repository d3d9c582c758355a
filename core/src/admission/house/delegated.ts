import { id, instant, object } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

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
  touches: ({ about }) => [about],
  reads: () => [],
  admit: ({ about, kitchen }) =>
    about.id === kitchen ? null : { code: 'not there', field: 'about.id', what: 'kitchen' },
}
