import { Module, type DynamicModule } from '@nestjs/common'
import type { MailConfig } from '../config'
import { KitchenScope } from '../database/kitchenScope'
import { Jobs } from '../jobs/jobs.service'
import { StatesRepository } from '../ledger/states.repository'
import { Listener } from '../live/listener'
import { MattersModule } from '../matters/matters.module'
import { Unresolved } from '../matters/unresolved.service'
import { Mailer } from './mailer'
import { NoticesController } from './notices.controller'
import { NoticesRepository } from './notices.repository'
import { Noticing } from './noticing.service'

@Module({})
export class NoticesModule {
  /** @param mail by which server; null: none, and nothing is sent */
  static for(mail: MailConfig | null, address: string): DynamicModule {
    return {
      module: NoticesModule,
      imports: [MattersModule],
      controllers: [NoticesController],
      providers: [
        NoticesRepository,
        {
          provide: Noticing,
          inject: [KitchenScope, StatesRepository, Unresolved, NoticesRepository, Jobs, Listener],
          useFactory: (
            scope: KitchenScope,
            states: StatesRepository,
            unresolved: Unresolved,
            notices: NoticesRepository,
            jobs: Jobs,
            listener: Listener,
          ) => new Noticing(scope, states, unresolved, notices, jobs, listener, mail && new Mailer(mail), address),
        },
      ],
    }
  }
}
