import { Controller, Get, Header, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { methodSchema } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Workers, type Work } from '../workers/workers.service'
import type * as BakesWork from './bakes.work'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

/** Of the last so many batches of a method those are looked for that show its bake. */
const LAST_BATCHES = 60

const WORK: Work<typeof BakesWork> = { file: require.resolve('./bakes.work') }

@ApiTags('methods')
@Controller('methods')
export class MethodsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly workers: Workers,
  ) {}

  /** The JSON Schema of the file in which methods are exchanged. */
  @Needs('nothing')
  @Get('schema.json')
  @Header('Content-Type', 'application/schema+json')
  @AnswersFile('application/schema+json')
  schema() {
    return methodSchema
  }

  /** Bakes of a method that were read through in the middle: what the lead may validate it by, the latest first. */
  @Get(':id/bakes')
  @Needs('read')
  @Answers('Bakes')
  async bakes(@OfShift() { kitchenId }: Shift, @Param('id', ParseUUIDPipe) id: string): Promise<Answer['Bakes']> {
    const { zone, batches } = await this.scope.asOfOneMoment(kitchenId, async (em) => ({
      zone: (await em.findOneOrFail(Kitchen, { id: kitchenId })).zone,
      batches: await this.states.lastBatches(em, kitchenId, LAST_BATCHES, id),
    }))
    return this.workers.run(WORK, 'shown', { batches, zone, now: clock.now() })
  }
}
