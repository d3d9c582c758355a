import type { Id } from '../../ledger/subject'
import { id, object } from '../../ground/field'
import { administers, signsIn } from '../../state/members'
import type { KindOf } from '../guard/kindOf'
import { mayChangeSecret } from './pinChanged'

declare module '../../ledger/entry' {
  interface Bodies {
    'password-given': { person: Id }
  }
}

/**
 * Somebody has a password to sign in with, or another one: that it is so, and who gave it. It is for those who read,
 * decide or look after people away from the stove; a cook opens a tablet by name and PIN.
 */
export const passwordGiven: KindOf<'password-given'> = {
  kind: 'password-given',
  v: 1,
  about: 'kitchen',
  may: ['cook', 'chef', 'lead', 'inspector'],
  signed: true,
  parse: (body) => ({ person: id(object(body, ['person']).person) }),
  writes: () => [],
  reads: ({ about }) => [about],
  refuse(claim, read) {
    const { kitchen, body } = claim
    const people = read('kitchen', kitchen)?.people ?? []
    if (!signsIn(people, body.person)) return { code: 'not there', field: 'body.person', what: 'person' }
    const other = mayChangeSecret(claim, read)
    return other?.code === 'may not' && administers(people, claim.by) ? null : other
  },
}
