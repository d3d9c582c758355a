import { Global, Module } from '@nestjs/common'
import { APP_GUARD } from '@nestjs/core'
import { LoginRepository } from './login.repository'
import { Pins } from './pins.service'
import { ShiftController } from './shift.controller'
import { ShiftGuard } from './shift.guard'
import { PinsController } from './pins.controller'
import { Shifts } from './shifts.service'
import { TabletsController } from './tablets.controller'
import { Tablets } from './tablets.service'

@Global()
@Module({
  controllers: [ShiftController, TabletsController, PinsController],
  providers: [LoginRepository, Pins, Shifts, Tablets, { provide: APP_GUARD, useClass: ShiftGuard }],
  exports: [Pins, Shifts, Tablets],
})
export class PeopleModule {}
