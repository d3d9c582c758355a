import { Module } from '@nestjs/common'
import { PinsController } from './pins.controller'
import { TabletsController } from './tablets.controller'

/** How people get in: their PINs, and the tablets that belong to the kitchen. */
@Module({ controllers: [TabletsController, PinsController] })
export class AccessModule {}
