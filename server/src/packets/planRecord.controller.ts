import { Controller, Get, Param, ParseUUIDPipe, Query, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import { approvedOf, limitsAt, type Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { AnswersFile } from '../http/answers.decorator'
import { Problem } from '../http/problem'
import { StatesRepository } from '../ledger/states.repository'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { RecordFacts } from '../records/recordFacts'
import { ReaderQuery } from '../people/readerQuery'
import { sendPdf } from '../records/sendPdf'
import { Workers } from '../workers/workers.service'
import { WORK } from './packetMaker.service'

/** The written plan of a method on paper, as it lies in a packet. */
@ApiTags('records')
@Controller('records/plan')
@Needs('read')
export class PlanRecordController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly records: RecordFacts,
    private readonly states: StatesRepository,
    private readonly workers: Workers,
  ) {}

  @Get(':id.pdf')
  @AnswersFile('application/pdf')
  async pdf(
    @OfShift() { kitchenId, personId }: Shift,
    @Param('id', ParseUUIDPipe) id: Id,
    @Query() reads: ReaderQuery,
    @Res() response: Response,
  ): Promise<void> {
    const now = clock.now()
    const asked = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const methods = await this.states.all(em, kitchenId, 'method')
      const [sets] = await this.states.all(em, kitchenId, 'limits')
      const limits = limitsAt(sets?.versions ?? [], now)
      const method = methods.find((each) => each.id === id)
      if (!method || !limits) throw new Problem(404, 'not there', 'There is no such method in this kitchen.', 'id')
      if (!approvedOf(method))
        throw new Problem(409, 'not in force', 'No version of it is in force, so there is no written plan yet.', 'id')
      const shared = await this.records.shared(em, kitchenId, now, reads)
      return { ...shared, maker: shared.people[personId] ?? '', proved: null, methods, limits, only: id }
    })
    const { pdf } = await this.workers.run(WORK, 'plansOfPacket', asked)
    sendPdf(response, `plan-${id}.pdf`, pdf)
  }
}
