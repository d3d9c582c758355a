import { shellMessages } from '@logged-thermal/wording'
import { speaks } from '../kit/language'

const say = speaks(shellMessages)

/**
 * Why a key that writes does nothing on this tablet; null where it does what it says.
 * @param open whether a shift is open here
 * @param may whether whoever is logging has the role for it
 * @param whose who else does it
 */
export function shutUnless(open: boolean, may = true, whose: 'lead' | 'chef' = 'lead'): string | null {
  if (!open) return say('openShiftFirst')
  return may ? null : say(`only_${whose}`)
}
