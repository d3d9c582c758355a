import { Module } from '@nestjs/common'
import { DoubtedRepository } from './doubted.repository'
import { InstrumentsController } from './instruments.controller'

@Module({ controllers: [InstrumentsController], providers: [DoubtedRepository] })
export class InstrumentsModule {}
