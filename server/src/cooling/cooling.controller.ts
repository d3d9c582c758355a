import { Controller, Get } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { coolingRecord, judgeBatch, learnedFrom, type BatchState } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { clock } from '../clock/clock'

/** How far back the kitchen learns: vessels are dented, fans wear. */
const LAST_BATCHES = 300

@ApiTags('cooling')
@Controller('cooling')
export class CoolingController {
  constructor(private readonly scope: KitchenScope) {}

  /** What the kitchen's own finished coolings say, also of batches that are long eaten. */
  @Get('learned')
  @Needs('read')
  learned(@OfShift() { kitchenId }: Shift) {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const { zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const rows = await em.execute<{ state: BatchState }[]>(
        'select state from batch where kitchen_id = ? order by seq desc limit ?',
        [kitchenId, LAST_BATCHES],
      )
      const now = clock.now()
      const records = rows.flatMap(({ state }) => coolingRecord(state, judgeBatch(state, { zone }, now)) ?? [])
      return { learned: learnedFrom(records) }
    })
  }
}
