import { join } from 'node:path'
import { Module, type DynamicModule } from '@nestjs/common'
import { LoggerModule } from 'nestjs-pino'
import { BatchesModule } from './batches/batches.module'
import { CoolingModule } from './cooling/cooling.module'
import type { Config } from './config'
import { DatabaseModule } from './database/database.module'
import { HealthModule } from './health/health.module'
import { LedgerModule } from './ledger/ledger.module'
import { AccessModule } from './access/access.module'
import { FitnessModule } from './fitness/fitness.module'
import { GroupModule } from './group/group.module'
import { InstrumentsModule } from './instruments/instruments.module'
import { LineModule } from './line/line.module'
import { LogModule } from './log/log.module'
import { SealingModule } from './sealing/sealing.module'
import { WorkersModule } from './workers/workers.module'
import { LabelsModule } from './labels/labels.module'
import { LiveModule } from './live/live.module'
import { MattersModule } from './matters/matters.module'
import { JobsModule } from './jobs/jobs.module'
import { NoticesModule } from './notices/notices.module'
import { MetricsModule } from './metrics/metrics.module'
import { MethodsModule } from './methods/methods.module'
import { PhotosModule } from './photos/photos.module'
import { PeopleModule } from './people/people.module'
import { PacketsModule } from './packets/packets.module'
import { ProofModule } from './proof/proof.module'
import { RecordsModule } from './records/records.module'
import { StoreModule } from './store/store.module'

@Module({})
export class AppModule {
  static for(config: Config): DynamicModule {
    const { databaseUrl, logLevel, metricsToken, address, dataFolder, mail, webRoot } = config
    return {
      module: AppModule,
      imports: [
        LoggerModule.forRoot({
          forRoutes: ['{*path}'],
          pinoHttp: {
            level: logLevel,
            autoLogging: { ignore: ({ url }) => url?.startsWith('/assets/') === true },
            redact: ['req.headers.cookie', 'res.headers["set-cookie"]', 'req.headers.authorization'],
          },
        }),
        DatabaseModule.for(config),
        PeopleModule,
        LedgerModule,
        LiveModule.for(databaseUrl),
        MetricsModule.for(metricsToken),
        AccessModule,
        LineModule,
        LogModule,
        MattersModule,
        FitnessModule,
        PhotosModule,
        JobsModule.for(databaseUrl),
        NoticesModule.for(mail, address),
        GroupModule,
        BatchesModule,
        MethodsModule,
        CoolingModule,
        InstrumentsModule,
        StoreModule,
        ProofModule,
        RecordsModule,
        PacketsModule.for({ folder: dataFolder, checker: webRoot && join(webRoot, 'check.html') }),
        SealingModule.for(dataFolder),
        WorkersModule,
        LabelsModule.for(address),
        HealthModule.for(dataFolder),
      ],
    }
  }
}
