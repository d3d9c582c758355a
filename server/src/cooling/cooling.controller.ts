import { Controller, Get } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { KitchenScope } from '../database/kitchenScope'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Workers, type Work } from '../workers/workers.service'
import type * as LearnedWork from './learned.work'
import { clock } from '../clock/clock'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

/** How far back the kitchen learns: vessels are dented, fans wear. */
const LAST_BATCHES = 300

const WORK: Work<typeof LearnedWork> = { file: require.resolve('./learned.work') }

@ApiTags('cooling')
@Controller('cooling')
export class CoolingController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly workers: Workers,
  ) {}

  /** What the kitchen's own finished coolings say, also of batches that are long eaten. */
  @Get('learned')
  @Needs('read')
  @Answers('Learned')
  async learned(@OfShift() { kitchenId }: Shift): Promise<Answer['Learned']> {
    const { zone, batches } = await this.scope.asOfOneMoment(kitchenId, async (em) => ({
      zone: (await em.findOneOrFail(Kitchen, { id: kitchenId })).zone,
      batches: await this.states.lastBatches(em, kitchenId, LAST_BATCHES),
    }))
    return this.workers.run(WORK, 'learned', { batches, zone, now: clock.now() })
  }
}
