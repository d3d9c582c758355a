import { Injectable } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'

/** Every access to a kitchen's rows goes through here: a transaction that row-level security confines to the kitchen. */
@Injectable()
export class KitchenScope {
  constructor(private readonly em: EntityManager) {}

  /** Read committed: each statement sees what was committed before it. For appending and other writes. */
  inKitchen<T>(kitchenId: string, work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.run(kitchenId, 'read committed', work)
  }

  /** One moment for all statements: for answers put together from several tables. */
  asOfOneMoment<T>(kitchenId: string, work: (em: EntityManager) => Promise<T>): Promise<T> {
    return this.run(kitchenId, 'repeatable read', work)
  }

  private run<T>(
    kitchenId: string,
    isolationLevel: 'read committed' | 'repeatable read',
    work: (em: EntityManager) => Promise<T>,
  ): Promise<T> {
    return this.em.fork().transactional(
      async (em) => {
        await em.execute(`select set_config('lt.kitchen', ?, true)`, [kitchenId])
        return work(em)
      },
      { isolationLevel: isolationLevel as never },
    )
  }
}
