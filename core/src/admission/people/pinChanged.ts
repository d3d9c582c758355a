import type { Id } from '../../ledger/subject'
import { id, object } from '../../ground/field'
import type { Claim } from '../../ledger/entry'
import type { Read } from '../../state/state'
import type { Refusal } from '../guard/refusal'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    'pin-changed': { person: Id }
  }
}

/**
 * Somebody has another PIN: that it changed, and who changed it. Their own, or any where the lead signs; the installation
 * where whoever looks after the machine gives one that was forgotten.
 */
export const pinChanged: KindOf<'pin-changed'> = {
  kind: 'pin-changed',
  v: 1,
  about: 'kitchen',
  may: ['cook', 'chef', 'lead', 'inspector', 'installation'],
  signed: true,
  parse: (body) => ({ person: id(object(body, ['person']).person) }),
  writes: () => [],
  reads: ({ about }) => [about],
  refuse: mayChangeSecret,
}

/** Whether whoever signs may change what opens the door for a person: their own, any as the lead, or as the installation. */
export function mayChangeSecret<K extends 'pin-changed' | 'password-given'>(
  { about, kitchen, by, body: { person }, kind }: Claim<K>,
  read: Read,
): Refusal | null {
  if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
  const role = read('kitchen', kitchen)?.people?.find((each) => each.id === by)?.role
  return person === by || by === kitchen || role === 'lead' ? null : { code: 'may not', field: 'by', kind }
}
