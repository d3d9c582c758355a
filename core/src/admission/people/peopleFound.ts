import { ROLES, type Id, type Role } from '../../ledger/subject'
import { FieldError, id, list, object, oneOf } from '../../ground/field'
import type { KindOf } from '../guard/kindOf'

/** As many people as one kitchen has at most. */
const MOST = 500

declare module '../../ledger/entry' {
  interface Bodies {
    /** Never a name: that is no fact of the logbook, and may have to be forgotten. */
    'people-found': { people: { id: Id; role: Role }[] }
  }
}

/** Who is there with which role, sealed once by the installation: from then on the logbook says who may do what. */
export const peopleFound: KindOf<'people-found'> = {
  kind: 'people-found',
  v: 1,
  about: 'kitchen',
  may: ['installation'],
  signed: false,
  parse(body) {
    const { people } = object(body, ['people'])
    const found = list(
      people,
      (field) => {
        const { id: person, role } = object(field, ['id', 'role'])
        return { id: id(person), role: oneOf(role, ROLES) }
      },
      MOST,
    )
    if (new Set(found.map((person) => person.id)).size < found.length)
      throw new FieldError(people.path, { code: 'twice' })
    return { people: found }
  },
  writes: ({ about }) => [about],
  reads: () => [],
  refuse({ about, kitchen }, read) {
    if (about.id !== kitchen) return { code: 'not there', field: 'about.id', what: 'kitchen' }
    return read('kitchen', kitchen)?.people
      ? { code: 'already there', field: 'about.id', what: 'list of people' }
      : null
  },
  folds: { kitchen: (state, { claim: { body } }) => ({ ...state, people: body.people }) },
}
