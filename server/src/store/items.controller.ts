import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import {
  ancestorsOf,
  batchStanding,
  isCleared,
  itemStanding,
  judgeBatch,
  withLineage,
  type ItemState,
  type LotState,
  type Subject,
} from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { Problem } from '../http/problem'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { barredItems } from './barred'
import { batchState, lineageOf } from './lineage'
import { HeldStore } from './heldStore'
import { clock } from '../clock/clock'

const subjectId = new ParseUUIDPipe({
  exceptionFactory: () => new Problem(404, 'not there', 'This kitchen holds nothing by that number.', 'id'),
})

/** One item, whether it is held or gone, and where things came from and went. */
@ApiTags('store')
@Controller()
@Needs('read')
export class ItemsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly held: HeldStore,
  ) {}

  @Get('items/:id')
  item(@OfShift() { kitchenId }: Shift, @Param('id', subjectId) id: string) {
    const now = clock.now()
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const [row] = await query<{ state: ItemState }>(em, {
        sql: 'select state from item where kitchen_id = ? and id = ?',
        params: [kitchenId, id],
      })
      if (!row) throw new Problem(404, 'not there', 'This kitchen holds nothing by that number.', 'id')
      const item = row.state
      const store = await this.held.judgedBy(em, kitchenId, now)
      const bar = (await barredItems(em, kitchenId)).get(id) ?? null
      const { batches, lots } = ancestorsOf(item)
      const batch = batches[0] ? await batchState(em, kitchenId, batches[0]) : null
      const known = await query<{ state: LotState }>(em, {
        sql: 'select state from lot where kitchen_id = ? and id = any(?::uuid[])',
        params: [kitchenId, `{${lots.join(',')}}`],
      })
      return {
        now,
        item,
        standing: withLineage(itemStanding(item, store, now), bar),
        bar,
        batch: batch && {
          state: batch,
          standing: batchStanding(judgeBatch(batch, { zone: store.zone }, now)),
          cleared: isCleared(batch, store.zone, now),
        },
        lots: known.map(({ state }) => state),
      }
    })
  }

  /** Everything it was made of, and everything that became of it. */
  @Get('lineage/:type/:id')
  lineage(@OfShift() { kitchenId }: Shift, @Param('type') type: string, @Param('id', subjectId) id: string) {
    if (type !== 'lot' && type !== 'batch' && type !== 'item')
      throw new Problem(404, 'not there', 'A lineage is that of a lot, a batch or an item.', 'type')
    const of: Subject = { type, id }
    return this.scope.asOfOneMoment(kitchenId, (em) => lineageOf(em, kitchenId, of))
  }
}
