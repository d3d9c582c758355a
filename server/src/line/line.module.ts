import { Module } from '@nestjs/common'
import { LineController } from './line.controller'
import { KeptLines } from './keptLines.service'

@Module({ controllers: [LineController], providers: [KeptLines], exports: [KeptLines] })
export class LineModule {}
