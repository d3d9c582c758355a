import { Module } from '@nestjs/common'
import { MethodsController } from './methods.controller'

@Module({ controllers: [MethodsController] })
export class MethodsModule {}
