import { AsyncLocalStorage } from 'node:async_hooks'
import { Injectable } from '@nestjs/common'
import { EntityManager, IsolationLevel } from '@mikro-orm/postgresql'
import { query } from './query'

/**
 * Every access to a kitchen's rows goes through here: a transaction that row-level security confines to the kitchen. Work in one
 * scope asks for no other: as many at once as there are connections would each hold one and wait for ever for a second.
 */
@Injectable()
export class KitchenScope {
  /** Where a transaction of these connections is open. */
  private readonly open = new AsyncLocalStorage<true>()

  constructor(private readonly em: EntityManager) {}

  /** Every kitchen there is. */
  kitchens(): Promise<{ id: string; name: string }[]> {
    return this.em.fork().execute<{ id: string; name: string }[]>('select id, name from kitchen order by name, id')
  }

  /** What belongs to the installation, and to no kitchen: sign-ins. It sees no row of any kitchen. */
  inNone<T>(work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.em.fork().transactional(work)
  }

  /** Read committed, the database's default: each statement sees what was committed before it. For appending and other writes. */
  inKitchen<T>(kitchenId: string, work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.run(kitchenId, {}, work)
  }

  /** One moment for all statements: for answers put together from several tables. */
  asOfOneMoment<T>(kitchenId: string, work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.run(kitchenId, { isolationLevel: IsolationLevel.REPEATABLE_READ }, work)
  }

  private run<T>(
    kitchenId: string,
    options: { isolationLevel?: IsolationLevel },
    work: (em: EntityManager) => Promise<T>,
  ): Promise<T> {
    if (this.open.getStore()) throw new Error('This work has a transaction already: it takes no second connection.')
    return this.open.run(true, () =>
      this.em.fork().transactional(async (em) => {
        await query(em, { sql: `select set_config('lt.kitchen', ?, true)`, params: [kitchenId] })
        return work(em)
      }, options),
    )
  }
}
