import { Module } from '@nestjs/common'
import { FitnessController } from './fitness.controller'
import { UnfitRepository } from './unfit.repository'

@Module({ controllers: [FitnessController], providers: [UnfitRepository] })
export class FitnessModule {}
