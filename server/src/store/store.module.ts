import { Module } from '@nestjs/common'
import { StoreController } from './store.controller'
import { ItemsController } from './items.controller'
import { CalendarController } from './calendar.controller'
import { HeldStore } from './heldStore'
import { StoreRepository } from './store.repository'
import { BarredRepository } from './barred.repository'
import { LineageRepository } from './lineage.repository'
import { CalendarRepository } from './calendar.repository'

@Module({
  controllers: [StoreController, ItemsController, CalendarController],
  providers: [HeldStore, StoreRepository, BarredRepository, LineageRepository, CalendarRepository],
  exports: [BarredRepository, HeldStore],
})
export class StoreModule {}
