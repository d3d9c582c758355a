import { dayOf, limitsAt, monthsKept, USUAL_MONTHS_KEPT, type Day, type Id, type Instant } from '@logged-thermal/core'
import type { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { StatesRepository } from '../ledger/states.repository'

/** What became of a name. */
export interface Forgotten {
  /** What stands in its place from now on. */
  code: string
  /** The last day with an entry of theirs; null: they made none. */
  last: Day | null
}

/**
 * Puts a code in the place of the name of somebody who left, once the time is over for which the kitchen keeps it.
 * Entries hold ids and no names, so that nothing of the logbook changes and every proof of it holds. Null where nobody of that name is
 * listed; throws an Error with a sentence where it is too soon, or they work here.
 */
export async function forgetName(
  scope: KitchenScope,
  kitchenId: Id,
  name: string,
  now: Instant,
): Promise<Forgotten | null> {
  return scope.inKitchen(kitchenId, async (em) => {
    const [person] = await query<{ id: Id; works: boolean }>(em, {
      sql: 'select id, works_here(kitchen_id, id) as works from person where kitchen_id = ? and lower(name) = lower(?) order by works limit 1',
      params: [kitchenId, name.trim()],
    })
    if (!person) return null
    if (person.works) throw new Error(`${name} works here. The lead takes the role away first, under People.`)
    const [kitchen] = await query<{ zone: string; limits: Id }>(em, {
      sql: 'select zone, limits_id as limits from kitchen where id = ?',
      params: [kitchenId],
    })
    const limits = await new StatesRepository().one(em, kitchenId, 'limits', kitchen!.limits)
    const inForce = limitsAt(limits?.versions ?? [], now)
    const months = inForce ? monthsKept(inForce, dayOf(now, kitchen!.zone)) : USUAL_MONTHS_KEPT
    const [told] = await query<{ last: string | null }>(em, {
      sql: `select max(((canon::jsonb) #>> '{claim,at}')::bigint) as last from entry
        where kitchen_id = ? and (canon::jsonb) #>> '{claim,by}' = ?`,
      params: [kitchenId, person.id],
    })
    const last = told?.last == null ? null : Number(told.last)
    if (last !== null && monthsLater(last, months) > now)
      throw new Error(
        `${name} made an entry on ${dayOf(last, kitchen!.zone)}. Names stay ${months} months with what they made: until ${dayOf(monthsLater(last, months), kitchen!.zone)}.`,
      )
    const code = `Person ${person.id.slice(-6)}`
    await query(em, {
      sql: `update person set name = ?, job = '' where kitchen_id = ? and id = ?`,
      params: [code, kitchenId, person.id],
    })
    return { code, last: last === null ? null : dayOf(last, kitchen!.zone) }
  })
}

/** The same moment so many calendar months later. */
function monthsLater(at: Instant, months: number): Instant {
  const date = new Date(at)
  return date.setUTCMonth(date.getUTCMonth() + months)
}
