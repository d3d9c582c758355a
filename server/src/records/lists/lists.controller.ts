import { Controller, Get, Param, Query, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { IsOptional, IsUUID, Matches } from 'class-validator'
import type { Response } from 'express'
import { addDays, startOfDay, type Day, type Id } from '@logged-thermal/core'
import { LISTS, type ListName, type ListRecord } from '@logged-thermal/wording'
import { clock } from '../../clock/clock'
import { KitchenScope } from '../../database/kitchenScope'
import { Answers, AnswersFile } from '../../http/answers.decorator'
import { requireDays } from '../../http/days'
import { Problem } from '../../http/problem'
import { LogRows } from '../../log/logRows.service'
import { Needs, OfShift } from '../../people/shift.guard'
import type { Shift } from '../../people/shifts.service'
import { fileOf } from '../../proof/ndjson'
import { Workers, type Work } from '../../workers/workers.service'
import { RecordFacts } from '../recordFacts'
import type { RecordsAsked } from '../records.work'
import { ReaderQuery } from '../../people/readerQuery'
import { sendPdf } from '../sendPdf'
import { ListFacts } from './listFacts'
import type * as ListsWork from './lists.work'

const WORK: Work<typeof ListsWork> = { file: require.resolve('./lists.work') }

/** A list is of so many lines at most: more is asked for in pieces, or as the packet of a period. */
const MOST_LINES = 5_000

class ListQuery extends ReaderQuery {
  /** Of this one thing alone: an instrument, a unit, a lot, a batch, an item. */
  @IsOptional()
  @IsUUID(undefined, { message: 'There is no such thing in this kitchen.' })
  of?: Id

  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Say from which day.' })
  from?: Day

  @IsOptional()
  @Matches(/^\d{4}-\d{2}-\d{2}$/, { message: 'Say to which day.' })
  to?: Day
}

/** Checks of instruments, air of units, lots, labels and what happened: of one thing or of all, of a period or of all time. */
@ApiTags('records')
@Controller('records/list')
@Needs('read')
export class ListsController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly facts: RecordFacts,
    private readonly lists: ListFacts,
    private readonly rows: LogRows,
    private readonly workers: Workers,
  ) {}

  /** On paper. */
  @Get(':list.pdf')
  @AnswersFile('application/pdf')
  async pdf(
    @OfShift() shift: Shift,
    @Param('list') list: string,
    @Query() asked: ListQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { record, ...shared } = await this.read(shift, list, asked)
    sendPdf(response, `${nameOf(record)}.pdf`, await this.workers.run(WORK, 'listPdf', { ...shared, record }))
  }

  /** As a table. */
  @Get(':list.csv')
  @AnswersFile('text/csv')
  async csv(
    @OfShift() shift: Shift,
    @Param('list') list: string,
    @Query() asked: ListQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { record, reader } = await this.read(shift, list, asked)
    const text = await this.workers.run(WORK, 'listCsv', { list: record.list, lines: record.lines, reader })
    response.setHeader('Content-Disposition', `attachment; filename="${nameOf(record)}.csv"`)
    response.type('csv').send(text)
  }

  /** For another program: docs/list.schema.json says how it is written. */
  @Get(':list.json')
  @Answers('List')
  async json(
    @OfShift() shift: Shift,
    @Param('list') list: string,
    @Query() asked: ListQuery,
    @Res() response: Response,
  ): Promise<void> {
    const { record } = await this.read(shift, list, asked)
    response.setHeader('Content-Disposition', `attachment; filename="${nameOf(record)}.json"`)
    response.type('json').send(JSON.stringify(record, null, 2))
  }

  private async read(
    { kitchenId, personId }: Shift,
    list: string,
    { scale, language, ...asked }: ListQuery,
  ): Promise<RecordsAsked & { record: ListRecord }> {
    if (!isList(list)) throw new Problem(404, 'not there', `There is no list of that name. Lists: ${LISTS.join(', ')}.`)
    requireDays(asked)
    // What a lot went into stands in the rows of the Log.
    await this.rows.current(kitchenId)
    const [of, from, to] = [asked.of ?? null, asked.from ?? null, asked.to ?? null]
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const shared = await this.facts.shared(em, kitchenId, clock.now(), { scale, language })
      const name = of === null ? null : await this.lists.nameOf(em, kitchenId, of, shared)
      if (of !== null && name === null)
        throw new Problem(404, 'not there', 'There is no such thing in this kitchen.', 'of')
      const { zone } = shared.reader
      const period = {
        from: from === null ? null : startOfDay(from, zone),
        to: to === null ? null : startOfDay(addDays(to, 1), zone),
      }
      const lines = await this.lists.lines(em, kitchenId, { list, of, ...period }, shared, MOST_LINES + 1)
      if (lines.length > MOST_LINES)
        throw new Problem(422, 'too many', `These are more than ${MOST_LINES} lines. Ask for a shorter period.`, 'from')
      const record = { kitchen: shared.kitchen, list, of: name, from, to, made: shared.now, lines }
      return { ...shared, maker: shared.people[personId] ?? '', proved: null, record }
    })
  }
}

function isList(list: string): list is ListName {
  return (LISTS as readonly string[]).includes(list)
}

function nameOf({ list, of }: ListRecord): string {
  return fileOf(of === null ? list : `${list} ${of}`)
}
