import { Global, Logger, Module, type OnApplicationBootstrap } from '@nestjs/common'
import { APP_INTERCEPTOR } from '@nestjs/core'
import { EntityManager } from '@mikro-orm/postgresql'
import { Kitchen } from '../people/kitchen.entity'
import { Append } from './append.service'
import { CurrentStates } from './currentStates.interceptor'
import { Entries } from './entries.service'
import { EntriesController } from './entries.controller'
import { Metrics } from '../metrics/metrics'
import { Refold } from './refold'
import { StatesRepository } from './states.repository'

@Global()
@Module({
  controllers: [EntriesController],
  providers: [Append, Entries, Refold, StatesRepository, { provide: APP_INTERCEPTOR, useClass: CurrentStates }],
  exports: [Append, Entries, Refold, StatesRepository],
})
export class LedgerModule implements OnApplicationBootstrap {
  constructor(
    private readonly em: EntityManager,
    private readonly refold: Refold,
    append: Append,
    metrics: Metrics,
  ) {
    metrics.gauge('lt_posts_waiting', 'Posts that wait for the logbook.', () => append.waiting())
  }

  /** What older code folded is folded anew beside the work. */
  onApplicationBootstrap(): void {
    void this.refoldAll().catch((error: unknown) => new Logger('Refold').error(error))
  }

  private async refoldAll(): Promise<void> {
    for (const { id } of await this.em.fork().find(Kitchen, {})) await this.refold.whole(id)
  }
}
