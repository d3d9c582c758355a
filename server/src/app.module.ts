import { MikroOrmModule } from '@mikro-orm/nestjs'
import { Module, type DynamicModule } from '@nestjs/common'
import { LoggerModule } from 'nestjs-pino'
import { BatchesController } from './batches/batches.controller'
import { CoolingController } from './cooling/cooling.controller'
import type { Config } from './config'
import { ormConfig } from './ormConfig'
import { HealthController } from './health/health.controller'
import { LedgerModule } from './ledger/ledger.module'
import { LineController } from './line/line.controller'
import { LabelsController } from './labels/labels.controller'
import { LiveModule } from './live/live.module'
import { MetricsModule } from './metrics/metrics.module'
import { MethodsController } from './methods/methods.controller'
import { PeopleModule } from './people/people.module'
import { FeedController } from './store/feed.controller'
import { HeldStore } from './store/heldStore'
import { ItemsController } from './store/items.controller'
import { StoreController } from './store/store.controller'

@Module({})
export class AppModule {
  static for({ databaseUrl, pool, logLevel, metricsToken }: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        LoggerModule.forRoot({
          forRoutes: ['{*path}'],
          pinoHttp: {
            level: logLevel,
            autoLogging: { ignore: ({ url }) => url?.startsWith('/assets/') === true },
            redact: ['req.headers.cookie', 'res.headers["set-cookie"]', 'req.headers.authorization'],
          },
        }),
        MikroOrmModule.forRoot({ ...ormConfig(databaseUrl, pool), registerRequestContext: false }),
        PeopleModule,
        LedgerModule,
        LiveModule.for(databaseUrl),
        MetricsModule.for(metricsToken),
      ],
      providers: [HeldStore],
      controllers: [
        LineController,
        BatchesController,
        MethodsController,
        CoolingController,
        StoreController,
        ItemsController,
        FeedController,
        LabelsController,
        HealthController,
      ],
    }
  }
}
