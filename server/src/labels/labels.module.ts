import { Module, type DynamicModule } from '@nestjs/common'
import { StoreModule } from '../store/store.module'
import { LabelsController, SERVER_ADDRESS } from './labels.controller'

@Module({})
export class LabelsModule {
  /** @param address where tablets open the program: the codes on labels lead there */
  static for(address: string): DynamicModule {
    return {
      module: LabelsModule,
      imports: [StoreModule],
      controllers: [LabelsController],
      providers: [{ provide: SERVER_ADDRESS, useValue: address }],
    }
  }
}
