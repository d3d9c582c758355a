import { Global, Module } from '@nestjs/common'
import { APP_GUARD } from '@nestjs/core'
import { Accounts } from './accounts.service'
import { Contacts } from './contacts.service'
import { IdleLock } from './idleLock'
import { LoginRepository } from './login.repository'
import { Pins } from './pins.service'
import { ShiftController } from './shift.controller'
import { ShiftGuard } from './shift.guard'
import { Shifts } from './shifts.service'
import { Tablets } from './tablets.service'

@Global()
@Module({
  controllers: [ShiftController],
  providers: [
    Accounts,
    Contacts,
    IdleLock,
    LoginRepository,
    Pins,
    Shifts,
    Tablets,
    { provide: APP_GUARD, useClass: ShiftGuard },
  ],
  exports: [Accounts, Contacts, Pins, Shifts, Tablets],
})
export class PeopleModule {}
