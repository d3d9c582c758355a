import { Global, Module } from '@nestjs/common'
import { BackgroundWorker, Workers } from './workers.service'

@Global()
@Module({ providers: [Workers, BackgroundWorker], exports: [Workers, BackgroundWorker] })
export class WorkersModule {}
