import { Module } from '@nestjs/common'
import { LogModule } from '../log/log.module'
import { ProofModule } from '../proof/proof.module'
import { ListFacts } from './lists/listFacts'
import { ListsController } from './lists/lists.controller'
import { RecordFacts } from './recordFacts'
import { RecordsController } from './records.controller'

@Module({
  imports: [LogModule, ProofModule],
  controllers: [RecordsController, ListsController],
  providers: [RecordFacts, ListFacts],
  exports: [RecordFacts, ListFacts],
})
export class RecordsModule {}
