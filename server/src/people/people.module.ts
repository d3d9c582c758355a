import { Global, Module } from '@nestjs/common'
import { APP_GUARD } from '@nestjs/core'
import { LoginRepository } from './login.repository'
import { Pins } from './pins.service'
import { ShiftController } from './shift.controller'
import { ShiftGuard } from './shift.guard'
import { Shifts } from './shifts.service'

@Global()
@Module({
  controllers: [ShiftController],
  providers: [LoginRepository, Pins, Shifts, { provide: APP_GUARD, useClass: ShiftGuard }],
  exports: [Pins, Shifts],
})
export class PeopleModule {}
