import type { EntityManager } from '@mikro-orm/postgresql'
import type { Bodies, Id, Kind } from '@logged-thermal/core'
import { refusalSentence } from '@logged-thermal/wording'
import { clock } from '../clock/clock'
import type { KitchenScope } from '../database/kitchenScope'
import { claimMaker } from './claims'
import { appendGroup, readPost } from './appendGroup'

/** What the program itself enters is made on no tablet. */
const NO_TABLET = '00000000-0000-7000-8000-000000000002'

/**
 * An entry of the program itself about a kitchen, with the kitchen's own id for a name. Throws an Error where it is refused.
 * @param rows beside the logbook, in the same transaction
 */
export async function enterAsInstallation<K extends Kind>(
  scope: KitchenScope,
  kitchen: Id,
  kind: K,
  body: Bodies[K],
  rows: (em: EntityManager) => Promise<unknown> = () => Promise.resolve(),
): Promise<void> {
  const claim = claimMaker(kitchen, NO_TABLET)(kind, kitchen, clock.now(), kitchen, body)
  const post = { kitchenId: kitchen, postedBy: kitchen, signedBy: kitchen, clockAheadMs: 0, claims: [claim] }
  await scope.inKitchen(kitchen, async (em) => {
    const [outcomes] = await appendGroup(em, [readPost(post)])
    const [outcome] = outcomes!
    if (outcome?.outcome === 'refused')
      throw new Error(
        refusalSentence(outcome.refusal, { scale: 'C', zone: 'UTC', locale: 'en-GB', hours: 24, today: null }),
      )
    await rows(em)
  })
}
