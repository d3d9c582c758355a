import { Global, Module, type DynamicModule, type OnApplicationBootstrap } from '@nestjs/common'
import { APP_INTERCEPTOR } from '@nestjs/core'
import { EntityManager } from '@mikro-orm/postgresql'
import { Latency } from './latency.interceptor'
import { Metrics } from './metrics'
import { METRICS_TOKEN, MetricsController } from './metrics.controller'

@Global()
@Module({})
export class MetricsModule implements OnApplicationBootstrap {
  constructor(
    private readonly metrics: Metrics,
    private readonly em: EntityManager,
  ) {}

  static for(token: string | null): DynamicModule {
    return {
      module: MetricsModule,
      controllers: [MetricsController],
      providers: [
        Metrics,
        { provide: METRICS_TOKEN, useValue: token },
        { provide: APP_INTERCEPTOR, useClass: Latency },
      ],
      exports: [Metrics],
    }
  }

  onApplicationBootstrap(): void {
    this.metrics.watchPool(this.em.getConnection().getKnex().client)
  }
}
