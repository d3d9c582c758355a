import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { batchStanding, judgeBatch, type BatchState } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Problem } from '../http/problem'
import { Entries } from '../ledger/entries.service'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { clock } from '../clock/clock'

const batchId = new ParseUUIDPipe({
  exceptionFactory: () => new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id'),
})

@ApiTags('batches')
@Controller('batches')
@Needs('read')
export class BatchesController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly entries: Entries,
  ) {}

  /** A batch's facts, and how each of its checks stands now. */
  @Get(':id')
  async batch(@OfShift() { kitchenId }: Shift, @Param('id', batchId) id: string) {
    const { zone, state } = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const rows = await em.execute<{ state: BatchState }[]>(
        'select state from batch where kitchen_id = ? and id = ?',
        [kitchenId, id],
      )
      return { zone: kitchen.zone, state: rows[0]?.state }
    })
    if (!state) throw new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id')
    const now = clock.now()
    const findings = judgeBatch(state, { zone }, now)
    return { now, batch: state, standing: batchStanding(findings), findings }
  }

  /** Everything that was entered about it, as sealed. */
  @Get(':id/entries')
  async log(@OfShift() { kitchenId }: Shift, @Param('id', batchId) id: string) {
    const entries = await this.entries.ofBatch(kitchenId, id)
    if (entries.length === 0) throw new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id')
    return { entries }
  }
}
