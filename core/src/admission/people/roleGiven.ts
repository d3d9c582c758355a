import { ROLES, type Id, type Role } from '../../ledger/subject'
import { id, object, oneOf } from '../../ground/field'
import type { KitchenState } from '../../state/kitchen'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /** role null: that person works here no more. */
    'role-given': { person: Id; role: Role | null }
  }
}

/** The lead gives somebody a role, another one, or none any more. */
export const roleGiven: KindOf<'role-given'> = {
  kind: 'role-given',
  v: 1,
  about: 'kitchen',
  may: ['lead'],
  signed: true,
  parse(body) {
    const { person, role } = object(body, ['person', 'role'])
    return { person: id(person), role: role.value === null ? null : oneOf(role, ROLES) }
  },
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, body: { person, role } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const { people } = read('kitchen', kitchen) ?? { people: null }
    // Before the installation has said who is there, there is nothing to change.
    if (!people) return { code: 'not there', field: 'body.person', what: 'person' }
    const leads = people.filter((each) => each.role === 'lead' && each.id !== person)
    return role !== 'lead' && leads.length === 0 ? { code: 'no lead left', field: 'body.role' } : null
  },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, people: withRole(state.people ?? [], body) }) },
}

function withRole(
  people: NonNullable<KitchenState['people']>,
  { person, role }: { person: Id; role: Role | null },
): NonNullable<KitchenState['people']> {
  const others = people.filter(({ id: known }) => known !== person)
  return role === null ? others : [...others, { id: person, role }]
}
