import { Module } from '@nestjs/common'
import { LineModule } from '../line/line.module'
import { GroupController } from './group.controller'

/** Several kitchens beside each other, for whoever leads or audits them. */
@Module({ imports: [LineModule], controllers: [GroupController] })
export class GroupModule {}
