import { Module } from '@nestjs/common'
import { ProofController } from './proof.controller'
import { Proofs } from './proofs.service'

@Module({ controllers: [ProofController], providers: [Proofs], exports: [Proofs] })
export class ProofModule {}
