import { Module } from '@nestjs/common'
import { CoolingController } from './cooling.controller'

@Module({ controllers: [CoolingController] })
export class CoolingModule {}
