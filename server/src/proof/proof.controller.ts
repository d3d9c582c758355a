import { Readable } from 'node:stream'
import { pipeline } from 'node:stream/promises'
import { Controller, Get, Param, ParseUUIDPipe, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import { addDays, startOfDay, type Day, type Id } from '@logged-thermal/core'
import { KitchenScope } from '../database/kitchenScope'
import { query } from '../database/query'
import { AnswersFile } from '../http/answers.decorator'
import { requireDays } from '../http/days'
import { Problem } from '../http/problem'
import { Kitchen } from '../people/kitchen.entity'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { fileOf, ndjson } from './ndjson'
import { Proofs } from './proofs.service'

/** Files that prove themselves, to be taken away. */
@ApiTags('proof')
@Controller('proof')
@Needs('read')
export class ProofController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly proofs: Proofs,
  ) {}

  /** All that the record of a batch rests on, and of the rest of the logbook only hashes. */
  @Get('batch/:id')
  @AnswersFile('application/x-ndjson')
  async batch(
    @OfShift() { kitchenId }: Shift,
    @Param('id', ParseUUIDPipe) id: Id,
    @Res() response: Response,
  ): Promise<void> {
    const code = await this.codeOf(kitchenId, id)
    const head = await this.proofs.head(kitchenId)
    response.setHeader('Content-Type', 'application/x-ndjson; charset=utf-8')
    response.setHeader('Content-Disposition', `attachment; filename="batch-${code}.proof"`)
    await pipeline(Readable.from(ndjson(this.proofs.lines(kitchenId, head, { batches: [id] }))), response)
  }

  /** The same of all batches that began on a day, and of what happened on it. */
  @Get('day/:day')
  @AnswersFile('application/x-ndjson')
  async day(@OfShift() { kitchenId }: Shift, @Param('day') day: Day, @Res() response: Response): Promise<void> {
    requireDays({ from: day })
    const { from, to, batches } = await this.scope.inKitchen(kitchenId, async (em) => {
      const { zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const [from, to] = [startOfDay(day, zone), startOfDay(addDays(day, 1), zone)]
      const rows = await query<{ id: Id }>(em, {
        sql: `select id from batch where kitchen_id = ? and (state ->> 'startedAt')::bigint >= ?
          and (state ->> 'startedAt')::bigint < ?`,
        params: [kitchenId, from, to],
      })
      return { from, to, batches: rows.map(({ id }) => id) }
    })
    const head = await this.proofs.head(kitchenId)
    response.setHeader('Content-Type', 'application/x-ndjson; charset=utf-8')
    response.setHeader('Content-Disposition', `attachment; filename="day-${day}.proof"`)
    await pipeline(Readable.from(ndjson(this.proofs.lines(kitchenId, head, { batches, from, to }))), response)
  }

  private async codeOf(kitchenId: Id, id: Id): Promise<string> {
    const [batch] = await this.scope.inKitchen(kitchenId, (em) =>
      query<{ code: string }>(em, {
        sql: 'select code from batch where kitchen_id = ? and id = ?',
        params: [kitchenId, id],
      }),
    )
    if (!batch) throw new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id')
    return fileOf(batch.code)
  }
}
