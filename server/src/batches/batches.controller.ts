import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { batchStanding, judgeBatch } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Problem } from '../http/problem'
import { Entries } from '../ledger/entries.service'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { clock } from '../clock/clock'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const batchId = new ParseUUIDPipe({
  exceptionFactory: () => new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id'),
})

@ApiTags('batches')
@Controller('batches')
@Needs('read')
export class BatchesController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly entries: Entries,
  ) {}

  /** A batch's facts, and how each of its checks stands now. */
  @Get(':id')
  @Answers('Batch')
  async batch(@OfShift() { kitchenId }: Shift, @Param('id', batchId) id: string): Promise<Answer['Batch']> {
    const { zone, state } = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      return { zone: kitchen.zone, state: await this.states.one(em, kitchenId, 'batch', id) }
    })
    if (!state) throw new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id')
    const now = clock.now()
    const findings = judgeBatch(state, { zone }, now)
    return { now, batch: state, standing: batchStanding(findings), findings }
  }

  /** Everything that was entered about it, as sealed. */
  @Get(':id/entries')
  @Answers('BatchEntries')
  async log(@OfShift() { kitchenId }: Shift, @Param('id', batchId) id: string): Promise<Answer['BatchEntries']> {
    const entries = await this.entries.ofBatch(kitchenId, id)
    if (entries.length === 0) throw new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id')
    return { entries }
  }
}
