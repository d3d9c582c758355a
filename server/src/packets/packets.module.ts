import { Module, type DynamicModule } from '@nestjs/common'
import { KitchenScope } from '../database/kitchenScope'
import { Jobs } from '../jobs/jobs.service'
import { LogModule } from '../log/log.module'
import { ProofModule } from '../proof/proof.module'
import { RecordsModule } from '../records/records.module'
import { DayRecordController } from './dayRecord.controller'
import { PacketFacts } from './packetFacts'
import { PacketMaker } from './packetMaker.service'
import { PacketsController } from './packets.controller'
import { PacketsRepository } from './packets.repository'
import { PlanRecordController } from './planRecord.controller'
import { Packets, type PacketPlace } from './packets.service'

@Module({})
export class PacketsModule {
  static for(place: PacketPlace): DynamicModule {
    return {
      module: PacketsModule,
      imports: [LogModule, ProofModule, RecordsModule],
      controllers: [PacketsController, DayRecordController, PlanRecordController],
      providers: [
        PacketFacts,
        PacketMaker,
        PacketsRepository,
        {
          provide: Packets,
          inject: [KitchenScope, PacketsRepository, PacketMaker, Jobs],
          useFactory: (scope: KitchenScope, repository: PacketsRepository, maker: PacketMaker, jobs: Jobs) =>
            new Packets(place, scope, repository, maker, jobs),
        },
      ],
    }
  }
}
