import { Global, Module } from '@nestjs/common'
import { Workers } from './workers.service'

@Global()
@Module({ providers: [Workers], exports: [Workers] })
export class WorkersModule {}
