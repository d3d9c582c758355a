import { Module } from '@nestjs/common'
import { LogModule } from '../log/log.module'
import { StoreModule } from '../store/store.module'
import { MattersController } from './matters.controller'

@Module({ imports: [LogModule, StoreModule], controllers: [MattersController] })
export class MattersModule {}
