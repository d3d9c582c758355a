import type { Id, Role } from '../ledger/subject'

/** Of somebody who may have left: then role is null. */
type Standing = Omit<Member, 'role'> & { role: Role | null }

/** Somebody who works here, as the logbook says. */
export interface Member {
  id: Id
  role: Role
  /** Looks after people, tablets and passwords beside their own work; the lead does so anyway. */
  administers?: true
}

/** Roles that can be given together with looking after people: the lead does so anyway, and an auditor enters nothing. */
export const ADMINISTERS_BESIDE: readonly Role[] = ['cook', 'chef']

/** Whether somebody looks after people, tablets and passwords. */
export function administers(people: readonly Standing[], id: Id): boolean {
  const member = people.find((each) => each.id === id)
  return (
    member?.role === 'lead' || (member?.administers === true && ADMINISTERS_BESIDE.some((role) => role === member.role))
  )
}

/** Who signs in with a password too: whoever decides, reads or looks after people away from the stove. */
export function signsIn(people: readonly Standing[], id: Id): boolean {
  return administers(people, id) || people.some((each) => each.id === id && each.role === 'inspector')
}
