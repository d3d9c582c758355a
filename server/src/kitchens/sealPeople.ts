import type { Id, KitchenState, Role } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Refold } from '../ledger/refold'
import { enterAsInstallation } from '../ledger/installation'

/** Seals who is there with which role, in every kitchen whose logbook does not say so yet. */
export async function sealPeople(scope: KitchenScope): Promise<void> {
  for (const { id } of await scope.kitchens()) {
    await new Refold(scope).whole(id)
    const people = await unsealed(scope, id)
    if (people) await enterAsInstallation(scope, id, 'people-found', { people })
  }
}

/** The people of a kitchen whose logbook does not name them; null where it does. */
function unsealed(scope: KitchenScope, kitchenId: Id): Promise<{ id: Id; role: Role }[] | null> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [kept] = await query<{ state: KitchenState }>(em, {
      sql: 'select state from kitchen_state where kitchen_id = ? and id = ?',
      params: [kitchenId, kitchenId],
    })
    if (kept?.state.people) return null
    return query<{ id: Id; role: Role }>(em, {
      sql: 'select id, role from person where kitchen_id = ? order by id',
      params: [kitchenId],
    })
  })
}
