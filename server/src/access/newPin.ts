import { randomInt } from 'node:crypto'
import type { Id } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { enterAsInstallation } from '../ledger/installation'
import { isGoodPin, LEADS_DIGITS } from '../people/pins.service'
import { hashSecret } from '../people/secretHash'

/**
 * Gives somebody a new PIN, forgets the wrong ones that were tried, and enters that it changed, as the installation. Returns
 * the PIN; null where nobody of that name works in the kitchen.
 */
export async function newPin(scope: KitchenScope, kitchenId: Id, name: string): Promise<string | null> {
  const [person] = await scope.inKitchen(kitchenId, (em) =>
    query<{ id: Id }>(em, {
      sql: 'select id from person where kitchen_id = ? and lower(name) = lower(?) and works_here(kitchen_id, id)',
      params: [kitchenId, name.trim()],
    }),
  )
  if (!person) return null
  const pin = randomPin()
  const hash = await hashSecret(pin)
  await enterAsInstallation(scope, kitchenId, 'pin-changed', { person: person.id }, async (em) => {
    await query(em, {
      sql: 'update person set pin_hash = ?, pin_digits = ? where kitchen_id = ? and id = ?',
      params: [hash, pin.length, kitchenId, person.id],
    })
    await query(em, {
      sql: 'delete from pin_try where kitchen_id = ? and person_id = ?',
      params: [kitchenId, person.id],
    })
  })
  return pin
}

/** Long enough for a lead, and none of those that anybody tries first. */
function randomPin(): string {
  for (;;) {
    const pin = String(randomInt(10 ** LEADS_DIGITS)).padStart(LEADS_DIGITS, '0')
    if (isGoodPin(pin)) return pin
  }
}
