import { Module } from '@nestjs/common'
import { LogController } from './log.controller'
import { LogRepository } from './log.repository'
import { LogRows } from './logRows.service'

@Module({ controllers: [LogController], providers: [LogRepository, LogRows], exports: [LogRepository, LogRows] })
export class LogModule {}
