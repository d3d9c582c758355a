import { Controller, Get, Param, ParseUUIDPipe } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import {
  ancestorsOf,
  batchStanding,
  isCleared,
  itemStanding,
  judgeBatch,
  withLineage,
  type Subject,
} from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { Problem } from '../http/problem'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { StatesRepository } from '../ledger/states.repository'
import { BarredRepository } from './barred.repository'
import { LineageRepository } from './lineage.repository'
import { HeldStore } from './heldStore'
import { clock } from '../clock/clock'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

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
    private readonly states: StatesRepository,
    private readonly bars: BarredRepository,
    private readonly lineages: LineageRepository,
  ) {}

  @Get('items/:id')
  @Answers('Item')
  item(@OfShift() { kitchenId }: Shift, @Param('id', subjectId) id: string): Promise<Answer['Item']> {
    const now = clock.now()
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const item = await this.states.one(em, kitchenId, 'item', id)
      if (!item) throw new Problem(404, 'not there', 'This kitchen holds nothing by that number.', 'id')
      const store = await this.held.judgedBy(em, kitchenId, now)
      const bar = (await this.bars.items(em, kitchenId)).get(id) ?? null
      const { batches, lots } = ancestorsOf(item)
      const batch = batches[0] ? await this.states.one(em, kitchenId, 'batch', batches[0]) : null
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
        lots: await this.states.some(em, kitchenId, 'lot', lots),
      }
    })
  }

  /** Everything it was made of, and everything that became of it. */
  @Get('lineage/:type/:id')
  @Answers('Lineage')
  lineage(
    @OfShift() { kitchenId }: Shift,
    @Param('type') type: string,
    @Param('id', subjectId) id: string,
  ): Promise<Answer['Lineage']> {
    if (type !== 'lot' && type !== 'batch' && type !== 'item')
      throw new Problem(404, 'not there', 'A lineage is that of a lot, a batch or an item.', 'type')
    const of: Subject = { type, id }
    return this.scope.asOfOneMoment(kitchenId, (em) => this.lineages.of(em, kitchenId, of))
  }
}
