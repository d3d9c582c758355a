import { Global, Module } from '@nestjs/common'
import { Append } from './append.service'
import { Entries } from './entries.service'
import { EntriesController } from './entries.controller'

@Global()
@Module({ controllers: [EntriesController], providers: [Append, Entries], exports: [Append, Entries] })
export class LedgerModule {}
