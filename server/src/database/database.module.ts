import { Global, Inject, Module, type DynamicModule, type OnApplicationShutdown } from '@nestjs/common'
import { MikroOrmModule } from '@mikro-orm/nestjs'
import { MikroORM } from '@mikro-orm/postgresql'
import type { Config } from '../config'
import { ormConfig, WRITING_POOL } from '../ormConfig'
import { KitchenScope } from './kitchenScope'
import { WritingScope } from './writingScope'

const WRITING = Symbol('the connections that write the logbook')

/** Two pools: one for all that is asked, one for what is appended. */
@Global()
@Module({})
export class DatabaseModule implements OnApplicationShutdown {
  constructor(@Inject(WRITING) private readonly writing: MikroORM) {}

  static for({ databaseUrl, pool }: Config): DynamicModule {
    return {
      module: DatabaseModule,
      imports: [MikroOrmModule.forRoot({ ...ormConfig(databaseUrl, pool), registerRequestContext: false })],
      providers: [
        KitchenScope,
        { provide: WRITING, useFactory: () => MikroORM.init(ormConfig(databaseUrl, WRITING_POOL)) },
        { provide: WritingScope, inject: [WRITING], useFactory: ({ em }: MikroORM) => new WritingScope(em) },
      ],
      exports: [KitchenScope, WritingScope],
    }
  }

  async onApplicationShutdown(): Promise<void> {
    await this.writing.close()
  }
}
