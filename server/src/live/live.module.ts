import { Global, Module } from '@nestjs/common'
import { LiveController } from './live.controller'
import { Live } from './live.service'
import { Listener } from './listener'

@Global()
@Module({})
export class LiveModule {
  static for(databaseUrl: string) {
    return {
      module: LiveModule,
      controllers: [LiveController],
      providers: [Live, { provide: Listener, useFactory: () => new Listener(databaseUrl) }],
      exports: [Listener],
    }
  }
}
