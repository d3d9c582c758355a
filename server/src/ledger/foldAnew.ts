import type { SqlEntityManager } from '@mikro-orm/postgresql'
import { FOLD_VERSION } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Kitchen } from '../people/kitchen.entity'
import { rebuild } from './rebuild'

/** Folds kitchens anew whose kept states are of an earlier version of core. Returns how many there were. */
export async function foldAnew(em: SqlEntityManager): Promise<number> {
  const behind = (await em.find(Kitchen, {})).filter(({ foldVersion }) => foldVersion !== FOLD_VERSION)
  for (const { id } of behind) {
    await rebuild(new KitchenScope(em.fork()), id)
    await em.execute('update kitchen set fold_version = ? where id = ?', [FOLD_VERSION, id])
  }
  return behind.length
}
