import { Module } from '@nestjs/common'
import { PeopleController } from './people.controller'
import { TabletsController } from './tablets.controller'

/** How people get in: who works here with which PIN, and the tablets that belong to the kitchen. */
@Module({ controllers: [TabletsController, PeopleController] })
export class AccessModule {}
