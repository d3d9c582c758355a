import { Module, type DynamicModule } from '@nestjs/common'
import { HealthController } from './health.controller'
import { DATA_FOLDER, Readiness } from './readiness.service'

@Module({})
export class HealthModule {
  static for(dataFolder: string | null): DynamicModule {
    return {
      module: HealthModule,
      controllers: [HealthController],
      providers: [Readiness, { provide: DATA_FOLDER, useValue: dataFolder }],
    }
  }
}
