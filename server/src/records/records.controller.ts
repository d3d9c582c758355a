import { Controller, Get, Param, ParseUUIDPipe, Query, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import type { Id } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Answers, AnswersFile } from '../http/answers.decorator'
import { Problem } from '../http/problem'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { fileOf } from '../proof/ndjson'
import { Proofs } from '../proof/proofs.service'
import { Heads } from '../sealing/heads.service'
import { Workers, type Work } from '../workers/workers.service'
import { RecordFacts } from './recordFacts'
import type * as RecordsWork from './records.work'
import { ReaderQuery } from '../people/readerQuery'
import { sendPdf } from './sendPdf'

export const WORK: Work<typeof RecordsWork> = { file: require.resolve('./records.work') }

/** Records to be printed, or read by another program. */
@ApiTags('records')
@Controller('records')
@Needs('read')
export class RecordsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly facts: RecordFacts,
    private readonly proofs: Proofs,
    private readonly heads: Heads,
    private readonly workers: Workers,
  ) {}

  /** The record of a batch on paper. */
  @Get('batch/:id.pdf')
  @AnswersFile('application/pdf')
  async pdf(
    @OfShift() shift: Shift,
    @Param('id', ParseUUIDPipe) id: Id,
    @Query() reads: ReaderQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { batch, ...asked } = await this.asked(shift, id, reads)
    const title = `${asked.kitchen} ${batch.code}`
    const pdf = await this.workers.run(WORK, 'batchesPdf', { ...asked, title, batches: [batch] })
    sendPdf(response, `batch-${fileOf(batch.code)}.pdf`, pdf)
  }

  /** The same for another program: docs/record.schema.json says how it is written. */
  @Get('batch/:id.json')
  @Answers('Record')
  async json(
    @OfShift() shift: Shift,
    @Param('id', ParseUUIDPipe) id: Id,
    @Query() reads: ReaderQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { batch, ...asked } = await this.asked(shift, id, reads)
    const [record] = await this.workers.run(WORK, 'batchRecords', { ...asked, batches: [batch] })
    response.setHeader('Content-Disposition', `attachment; filename="batch-${fileOf(batch.code)}.json"`)
    response.type('json').send(JSON.stringify(record, null, 2))
  }

  /** Its readings as they were typed, a line each, to the millisecond: what this file says is read back as it was. */
  @Get('batch/:id.csv')
  @AnswersFile('text/csv')
  async csv(@OfShift() shift: Shift, @Param('id', ParseUUIDPipe) id: Id, @Res() response: Response): Promise<void> {
    const { batch, ...asked } = await this.asked(shift, id, {})
    const csv = await this.workers.run(WORK, 'traceCsv', { ...asked, state: batch.state })
    response.setHeader('Content-Disposition', `attachment; filename="batch-${fileOf(batch.code)}.csv"`)
    response.type('text/csv; charset=utf-8').send(csv)
  }

  /** The key that everything is signed with, to hang up. */
  @Get('key.pdf')
  @AnswersFile('application/pdf')
  async key(@OfShift() { kitchenId, personId }: Shift, @Res() response: Response): Promise<void> {
    const key = this.heads.publicKeys().at(-1)
    if (!key)
      throw new Problem(
        404,
        'not there',
        'This installation signs nothing: it has no folder for its keys. Set LT_DATA_FOLDER.',
      )
    const shared = await this.scope.inKitchen(kitchenId, (em) => this.facts.shared(em, kitchenId, clock.now(), {}))
    const pdf = await this.workers.run(WORK, 'keySheet', {
      ...shared,
      maker: shared.people[personId] ?? '',
      proved: null,
      key,
    })
    sendPdf(response, 'key.pdf', pdf)
  }

  /** Sheets to write on by hand where everything else fails: printed beforehand. */
  @Get('paper.pdf')
  @AnswersFile('application/pdf')
  async paper(
    @OfShift() { kitchenId, personId }: Shift,
    @Query() reads: ReaderQuery,
    @Res() response: Response,
  ): Promise<void> {
    const asked = await this.scope.inKitchen(kitchenId, async (em) => ({
      ...(await this.facts.shared(em, kitchenId, clock.now(), reads)),
      ...(await this.facts.running(em, kitchenId)),
    }))
    const pdf = await this.workers.run(WORK, 'blankSheets', {
      ...asked,
      maker: asked.people[personId] ?? '',
      proved: null,
    })
    sendPdf(response, 'sheets.pdf', pdf)
  }

  private async asked({ kitchenId, personId }: Shift, id: Id, reads: ReaderQuery) {
    const head = await this.proofs.head(kitchenId)
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const [batch] = await this.facts.batches(em, kitchenId, [id])
      if (!batch) throw new Problem(404, 'not there', 'There is no such batch in this kitchen.', 'id')
      const shared = await this.facts.shared(em, kitchenId, clock.now(), reads)
      const signed = await this.proofs.signedHead(em, kitchenId, head)
      const proved = signed && { head: signed, file: `batch-${fileOf(batch.code)}.proof` }
      return { ...shared, maker: shared.people[personId] ?? '', proved, batch }
    })
  }
}
