import { kinds, type AnyClaim, type Bodies, type Id, type Kind } from '@logged-thermal/core'
import { refusalSentence } from '@logged-thermal/wording'
import { v7 as uuid } from 'uuid'
import { clock } from '../clock/clock'
import type { KitchenScope } from '../database/kitchenScope'
import { appendGroup, readPost } from './appendGroup'

/** What the program itself enters is made on no tablet. */
const NO_TABLET = '00000000-0000-7000-8000-000000000002'

/** An entry of the program itself about a kitchen, with the kitchen's own id for a name. Throws an Error where it is refused. */
export async function enterAsInstallation<K extends Kind>(
  scope: KitchenScope,
  kitchen: Id,
  kind: K,
  body: Bodies[K],
): Promise<void> {
  const at = clock.now()
  const claim = {
    id: uuid(),
    kitchen,
    kind,
    v: kinds[kind].v,
    about: { type: kinds[kind].about, id: kitchen },
    at,
    madeAt: at,
    by: kitchen,
    device: NO_TABLET,
    body,
  } as unknown as AnyClaim
  const post = { kitchenId: kitchen, postedBy: kitchen, signedBy: null, clockAheadMs: 0, claims: [claim] }
  const [outcomes] = await scope.inKitchen(kitchen, (em) => appendGroup(em, [readPost(post)]))
  const [outcome] = outcomes!
  if (outcome?.outcome === 'refused')
    throw new Error(refusalSentence(outcome.refusal, { scale: 'C', zone: 'UTC', locale: 'en-GB' }))
}
