import { Controller, Get, Header, Query, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { EntityManager } from '@mikro-orm/postgresql'
import type { Response } from 'express'
import { limitsAt, type Id, type Instant } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { KitchenScope } from '../database/kitchenScope'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Problem } from '../http/problem'
import { StatesRepository } from '../ledger/states.repository'
import { Kitchen } from '../people/kitchen.entity'
import { Person } from '../people/person.entity'
import { readerOf } from '../people/reader'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Workers } from '../workers/workers.service'
import { LogPeriod, LogQuery, requirePeriod, TrendQuery } from './log.dto'
import { LogRepository } from './log.repository'
import { LogRows, WORK } from './logRows.service'

/** Batches in one answer; the next ask goes on from there. */
const PAGE = 200
/** Lines of a file at most: more is asked for in shorter periods. */
const MOST_LINES = 20_000
/** Batches that a trend is made of at most: the latest. */
const MOST_TRENDED = 5000
/** Batches of which changes are told at once. */
const MOST_CHANGED = 500
/** Coolings of old logs in one answer: the latest. */
const MOST_TRANSCRIBED_ROWS = 2000
/** What happened in the kitchen in a period: its batches as they stand, and what happened between. */
@ApiTags('log')
@Controller('log')
@Needs('read')
export class LogController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly states: StatesRepository,
    private readonly rows: LogRows,
    private readonly repository: LogRepository,
    private readonly workers: Workers,
  ) {}

  /** Batches that something happened to in a period, the latest first, 200 at a time or as many as are asked for. */
  @Get()
  @Answers('Log')
  async log(@OfShift() { kitchenId }: Shift, @Query() asked: LogQuery, @Res() response: Response): Promise<void> {
    requirePeriod(asked)
    await this.rows.current(kitchenId)
    const now = clock.now()
    const text = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const seq = await this.states.lastSeq(em, kitchenId)
      const counts = await this.repository.counts(em, kitchenId, asked, now)
      const most = asked.most ?? PAGE
      const found = await this.repository.batches(em, kitchenId, asked, now, most + 1)
      const more = found.length > most
      const head = JSON.stringify({ now, seq, counts, more }).slice(0, -1)
      return `${head},"batches":[${found.slice(0, most).join()}]}`
    })
    response.type('json').send(text)
  }

  /** The same as a file for a spreadsheet. */
  @Get('batches.csv')
  @AnswersFile('text/csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="batches.csv"')
  async csv(@OfShift() { kitchenId }: Shift, @Query() asked: LogQuery): Promise<string> {
    requirePeriod(asked)
    await this.rows.current(kitchenId)
    const now = clock.now()
    const listed = await this.scope.asOfOneMoment(kitchenId, async (em) => ({
      now,
      reader: await this.reader(em, kitchenId, now),
      people: Object.fromEntries((await em.find(Person, { kitchenId })).map(({ id, name }) => [id, name])),
      batches: await this.repository.batches(em, kitchenId, asked, now, MOST_LINES + 1),
    }))
    if (listed.batches.length > MOST_LINES)
      throw new Problem(422, 'too many', `These are more than ${MOST_LINES} batches. Ask for a shorter period.`, 'from')
    return this.workers.run(WORK, 'csvOf', listed)
  }

  /** What was late, put right or taken back in a period, what stood before, and what the lead decided of it. */
  @Get('changes')
  @Answers('Changes')
  async changes(@OfShift() { kitchenId }: Shift, @Query() asked: LogPeriod): Promise<Answer['Changes']> {
    requirePeriod(asked)
    await this.rows.current(kitchenId)
    const { from, to } = asked
    const { batches, takenBack, names } = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const struck = await this.repository.takenBack(em, kitchenId, from, to)
      return {
        batches: await this.repository.changed(em, kitchenId, from, to, MOST_CHANGED + 1),
        takenBack: struck,
        names: await this.repository.names(
          em,
          kitchenId,
          struck.map(({ entry }) => entry),
        ),
      }
    })
    const more = batches.length > MOST_CHANGED
    const changes = await this.workers.run(WORK, 'changesOf', { batches: batches.slice(0, MOST_CHANGED), from, to })
    return { changes, takenBack, names, more }
  }

  /** How the batches of a period went that are settled by now: what they had to spare, and how many of each kind are proven. */
  @Get('trends')
  @Answers('Trends')
  async trends(@OfShift() { kitchenId }: Shift, @Query() asked: TrendQuery): Promise<Answer['Trends']> {
    requirePeriod(asked)
    await this.rows.current(kitchenId)
    const now = clock.now()
    const batches = await this.scope.asOfOneMoment(kitchenId, (em) =>
      this.repository.trended(em, kitchenId, asked, MOST_TRENDED + 1),
    )
    const { pace, gate } = asked
    const measure = pace ? { of: pace } : gate ? { of: 'gate' as const, key: gate } : null
    const more = batches.length > MOST_TRENDED
    const trend = await this.workers.run(WORK, 'trendIn', { batches: batches.slice(0, MOST_TRENDED), measure, now })
    return { now, trend, more }
  }

  /** How each method went in a period: the one that failed most first, with what would have held it. */
  @Get('week')
  @Answers('Week')
  async week(@OfShift() { kitchenId }: Shift, @Query() asked: LogPeriod): Promise<Answer['Week']> {
    requirePeriod(asked)
    await this.rows.current(kitchenId)
    const now = clock.now()
    const batches = await this.scope.asOfOneMoment(kitchenId, (em) =>
      this.repository.trended(em, kitchenId, asked, MOST_TRENDED + 1),
    )
    const more = batches.length > MOST_TRENDED
    const methods = await this.workers.run(WORK, 'weekIn', { batches: batches.slice(0, MOST_TRENDED), now })
    return { now, methods, more }
  }

  /** Coolings of a period out of logs that were kept elsewhere, the latest first: history, of which nothing is ever proven. */
  @Get('transcribed')
  @Answers('Transcribed')
  async transcribed(@OfShift() { kitchenId }: Shift, @Query() asked: LogPeriod): Promise<Answer['Transcribed']> {
    requirePeriod(asked)
    const found = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const { limitsId, zone } = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const limits = await this.states.one(em, kitchenId, 'limits', limitsId)
      return { entries: await this.repository.transcribed(em, kitchenId), versions: limits?.versions ?? [], zone }
    })
    return this.workers.run(WORK, 'transcribedIn', {
      ...found,
      from: asked.from,
      to: asked.to,
      most: MOST_TRANSCRIBED_ROWS,
    })
  }

  /** What happened between the batches, in order. */
  @Get('events')
  @Answers('LogEvents')
  events(@OfShift() { kitchenId }: Shift, @Query() asked: LogPeriod): Promise<Answer['LogEvents']> {
    requirePeriod(asked)
    return this.scope.asOfOneMoment(kitchenId, (em) => this.repository.events(em, kitchenId, asked.from, asked.to))
  }

  private async reader(em: EntityManager, kitchenId: Id, now: Instant) {
    const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
    const limits = await this.states.one(em, kitchenId, 'limits', kitchen.limitsId)
    return readerOf(kitchen, limitsAt(limits?.versions ?? [], now)?.practice.clock ?? 24)
  }
}
