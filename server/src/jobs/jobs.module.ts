import { Global, Module, type DynamicModule } from '@nestjs/common'
import { Jobs } from './jobs.service'

@Global()
@Module({})
export class JobsModule {
  static for(databaseUrl: string): DynamicModule {
    return {
      module: JobsModule,
      providers: [{ provide: Jobs, useFactory: () => new Jobs(databaseUrl) }],
      exports: [Jobs],
    }
  }
}
