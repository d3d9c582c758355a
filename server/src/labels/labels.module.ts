import { Module } from '@nestjs/common'
import { LabelsController } from './labels.controller'
import { StoreModule } from '../store/store.module'

@Module({ imports: [StoreModule], controllers: [LabelsController] })
export class LabelsModule {}
