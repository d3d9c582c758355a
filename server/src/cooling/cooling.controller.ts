import { Controller, Get } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { coolingRecord, judgeBatch, learnedFrom } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { clock } from '../clock/clock'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

/** How far back the kitchen learns: vessels are dented, fans wear. */
const LAST_BATCHES = 300

@ApiTags('cooling')
@Controller('cooling')
export class CoolingController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
  ) {}

  /** What the kitchen's own finished coolings say, also of batches that are long eaten. */
  @Get('learned')
  @Needs('read')
  @Answers('Learned')
  learned(@OfShift() { kitchenId }: Shift): Promise<Answer['Learned']> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const { zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const batches = await this.states.lastBatches(em, kitchenId, LAST_BATCHES)
      const now = clock.now()
      const records = batches.flatMap((batch) => coolingRecord(batch, judgeBatch(batch, { zone }, now)) ?? [])
      return { learned: learnedFrom(records) }
    })
  }
}
