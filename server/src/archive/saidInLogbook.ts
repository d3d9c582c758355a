import { entryIn, type Id, type Role } from '@logged-thermal/core'
import { rolesIn } from '../verify/readmission'

/** What a logbook says of the things that stand beside it, read as its entries come by. */
export class SaidInLogbook {
  /** The last role that each person was given. */
  readonly roles = new Map<Id, Role>()
  readonly limits = new Set<Id>()

  read(canon: string): void {
    // Few entries are of these kinds: the others need not be parsed once more.
    if (!KINDS.test(canon)) return
    const claim = entryIn(canon)?.claim
    if (claim?.kind === 'limits-set') this.limits.add(claim.about.id)
    for (const { id, role } of claim ? rolesIn(claim) : []) this.roles.set(id, role)
  }
}

const KINDS = /"kind":"(limits-set|people-found|role-given)"/
