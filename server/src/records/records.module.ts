import { Module } from '@nestjs/common'
import { ProofModule } from '../proof/proof.module'
import { RecordFacts } from './recordFacts'
import { RecordsController } from './records.controller'

@Module({ imports: [ProofModule], controllers: [RecordsController], providers: [RecordFacts], exports: [RecordFacts] })
export class RecordsModule {}
