import type { Role } from '@logged-thermal/core'
import { peopleMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(peopleMessages)

/** As they are offered: the most usual first. */
export const ROLES_GIVEN: readonly Role[] = ['cook', 'chef', 'lead', 'inspector']

export function roleWord(role: Role): string {
  return say(`role_${role}`)
}
