import { Module } from '@nestjs/common'
import { LogModule } from '../log/log.module'
import { StoreModule } from '../store/store.module'
import { MattersController } from './matters.controller'
import { Unresolved } from './unresolved.service'

@Module({
  imports: [LogModule, StoreModule],
  controllers: [MattersController],
  providers: [Unresolved],
  exports: [Unresolved],
})
export class MattersModule {}
