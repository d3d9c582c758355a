import { randomInt } from 'node:crypto'
import type { Id, Role } from '@logged-thermal/core'
import { refusalSentence } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { appendGroup, readPost } from '../ledger/appendGroup'
import { claimMaker } from '../ledger/claims'
import { hashPin, isGoodPin, LEADS_DIGITS } from '../people/pins.service'

/**
 * Gives somebody a new PIN, forgets the wrong ones that were tried, and enters that it changed, as the installation. Returns
 * the PIN; null where nobody of that name works in the kitchen.
 */
export async function newPin(scope: KitchenScope, kitchenId: Id, name: string): Promise<string | null> {
  const [person] = await scope.inKitchen(kitchenId, (em) =>
    query<{ id: Id; role: Role }>(em, {
      sql: `select id, role_here(kitchen_id, id) as role from person
        where kitchen_id = ? and lower(name) = lower(?) and works_here(kitchen_id, id)`,
      params: [kitchenId, name.trim()],
    }),
  )
  if (!person) return null
  const pin = randomPin()
  const hash = await hashPin(pin)
  const claim = claimMaker(kitchenId)('pin-changed', kitchenId, clock.now(), kitchenId, { person: person.id })
  await scope.inKitchen(kitchenId, async (em) => {
    const post = { kitchenId, postedBy: kitchenId, signedBy: kitchenId, clockAheadMs: 0, claims: [claim] }
    const [outcomes] = await appendGroup(em, [readPost(post)])
    const [outcome] = outcomes!
    if (outcome?.outcome === 'refused')
      throw new Error(
        refusalSentence(outcome.refusal, { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }),
      )
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
