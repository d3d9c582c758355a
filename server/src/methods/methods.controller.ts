import { Controller, Get, Header, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { methodSchema, shownBake, type BatchState } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'

/** Of the last so many batches of a method those are looked for that show its bake. */
const LAST_BATCHES = 60

@ApiTags('methods')
@Controller('methods')
export class MethodsController {
  constructor(private readonly scope: KitchenScope) {}

  /** The JSON Schema of the file in which methods are exchanged. */
  @Needs('nothing')
  @Get('schema.json')
  @Header('Content-Type', 'application/schema+json')
  schema() {
    return methodSchema
  }

  /** Bakes of a method that were read through in the middle: what the lead may validate it by, the latest first. */
  @Get(':id/bakes')
  @Needs('read')
  bakes(@OfShift() { kitchenId }: Shift, @Param('id', ParseUUIDPipe) id: string) {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const { zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const rows = await em.execute<{ state: BatchState }[]>(
        `select state from batch where kitchen_id = ? and state #>> '{method,id}' = ? order by seq desc limit ?`,
        [kitchenId, id, LAST_BATCHES],
      )
      const now = clock.now()
      return { bakes: rows.flatMap(({ state }) => shownBake(state, zone, now) ?? []) }
    })
  }
}
