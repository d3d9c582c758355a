import { Module } from '@nestjs/common'
import { SetUp } from '../kitchens/setUp.service'
import { AccountController } from './account.controller'
import { KitchenController } from './kitchen.controller'
import { PasswordController } from './password.controller'
import { PeopleController } from './people.controller'
import { SetUpController } from './setUp.controller'
import { TabletsController } from './tablets.controller'

/** How people get in: who works here with which PIN, and the tablets that belong to the kitchen. */
@Module({
  controllers: [
    TabletsController,
    PeopleController,
    PasswordController,
    AccountController,
    KitchenController,
    SetUpController,
  ],
  providers: [SetUp],
})
export class AccessModule {}
