import { ROLES, type Id, type Role } from '../../ledger/subject'
import { flag, id, object, oneOf } from '../../ground/field'
import { ADMINISTERS_BESIDE, type Member } from '../../state/members'
import type { KindOf } from '../guard/kindOf'

declare module '../../ledger/entry' {
  interface Bodies {
    /**
     * role null: that person works here no more.
     * administers: looks after people, tablets and passwords too.
     */
    'role-given': { person: Id; role: Role | null; administers: boolean }
  }
}

/**
 * Somebody gets a role, another one, or none any more. The lead gives every role; whoever looks after people gives those
 * of cooks, chefs and auditors, never their own, and neither makes nor unmakes a lead or somebody like themselves.
 */
export const roleGiven: KindOf<'role-given'> = {
  kind: 'role-given',
  v: 2,
  // Before v 2 nobody but the lead looked after people.
  upcast: (body) => ({ ...body, administers: false }),
  about: 'kitchen',
  may: ['lead'],
  administered: true,
  signed: true,
  parse(body) {
    const fields = object(body, ['person', 'role', 'administers'])
    const { person, role } = fields
    return {
      person: id(person),
      role: role.value === null ? null : oneOf(role, ROLES),
      administers: flag(fields.administers),
    }
  },
  writes: ({ about }) => [about],
  reads: ({ about }) => [about],
  refuse({ about, kitchen, by, kind, body: { person, role, administers } }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    const { people } = read('kitchen', kitchen) ?? { people: null }
    // Before the installation has said who is there, there is nothing to change.
    if (!people) return { code: 'not there', field: 'body.person', what: 'person' }
    if (administers && !ADMINISTERS_BESIDE.some((each) => each === role))
      return { code: 'no role for it', field: 'body.administers' }
    const roleOf = new Map(people.map((each) => [each.id, each]))
    if (roleOf.get(by)?.role !== 'lead') {
      const now = roleOf.get(person)
      const theLeads = role === 'lead' || now?.role === 'lead' || administers || now?.administers === true
      return theLeads || person === by ? { code: 'may not', field: 'by', kind } : null
    }
    const leads = people.filter((each) => each.role === 'lead' && each.id !== person)
    return role !== 'lead' && leads.length === 0 ? { code: 'no lead left', field: 'body.role' } : null
  },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, people: withRole(state.people ?? [], body) }) },
}

function withRole(
  people: readonly Member[],
  { person, role, administers }: { person: Id; role: Role | null; administers: boolean },
): Member[] {
  const others = people.filter(({ id: known }) => known !== person)
  if (role === null) return others
  return [...others, administers ? { id: person, role, administers } : { id: person, role }]
}
