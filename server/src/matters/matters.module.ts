import { Module } from '@nestjs/common'
import { LogModule } from '../log/log.module'
import { StoreModule } from '../store/store.module'
import { MattersController } from './matters.controller'
import { RaisedByDays } from './raised.service'
import { Unresolved } from './unresolved.service'

@Module({
  imports: [LogModule, StoreModule],
  controllers: [MattersController],
  providers: [Unresolved, RaisedByDays],
  exports: [Unresolved],
})
export class MattersModule {}
