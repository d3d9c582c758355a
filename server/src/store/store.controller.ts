import { Controller, Get, Header, Query, Res } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { IsInt, IsOptional, IsString, Length, Min } from 'class-validator'
import { Type } from 'class-transformer'
import type { Response } from 'express'
import { KitchenScope } from '../database/kitchenScope'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Kitchen } from '../people/kitchen.entity'
import { readerOf } from '../people/reader'
import { StatesRepository } from '../ledger/states.repository'
import { BarredRepository } from './barred.repository'
import { dueToday } from './dueToday'
import { StoreRepository } from './store.repository'
import { HeldStore } from './heldStore'
import { Workers, type Work } from '../workers/workers.service'
import type * as StockWork from './stock.work'
import { clock } from '../clock/clock'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

const WORK: Work<typeof StockWork> = { file: require.resolve('./stock.work') }

class FindQuery {
  @IsString()
  @Length(1, 40)
  code: string
}

class PeriodQuery {
  @Type(() => Number)
  @IsInt()
  @Min(0)
  from: number

  @Type(() => Number)
  @IsInt()
  @Min(0)
  to: number
}

class SearchQuery {
  @IsOptional()
  @IsString()
  @Length(0, 80)
  text?: string
}

/** The cold store: what is where, what goes today, what was thrown away. */
@ApiTags('store')
@Controller('store')
@Needs('read')
export class StoreController {
  constructor(
    private readonly scope: KitchenScope,
    private readonly held: HeldStore,
    private readonly states: StatesRepository,
    private readonly bars: BarredRepository,
    private readonly repository: StoreRepository,
    private readonly workers: Workers,
  ) {}

  @Get()
  @Answers('Store')
  @ApiOperation({ summary: 'Every item that is held, in short, what ends first on top; and the units.' })
  async store(@OfShift() { kitchenId }: Shift, @Res() response: Response) {
    const now = clock.now()
    const text = await this.scope.asOfOneMoment(kitchenId, async (em) => {
      const seq = await this.states.lastSeq(em, kitchenId)
      const units = JSON.stringify(await this.held.units(em, kitchenId))
      const items = (await this.held.items(em, kitchenId)).map(({ card }) => card)
      return `{"now":${now},"seq":${seq},"units":${units},"items":[${items.join(',')}]}`
    })
    response.type('json').send(text)
  }

  @Get('discards')
  @Answers('DueToday')
  @ApiOperation({ summary: 'What goes today, and why, the most urgent first.' })
  async discards(@OfShift() { kitchenId }: Shift, @Res() response: Response) {
    const now = clock.now()
    const due = await this.scope.asOfOneMoment(kitchenId, async (em) =>
      dueToday(
        await this.held.items(em, kitchenId),
        await this.bars.items(em, kitchenId),
        await this.held.judgedBy(em, kitchenId, now),
        now,
      ),
    )
    response.type('json').send(`{"now":${now},"due":[${due.join(',')}]}`)
  }

  @Get('barred')
  @Answers('Barred')
  @ApiOperation({ summary: 'What is held because of what it was made of, however far back, and by what.' })
  barred(@OfShift() { kitchenId }: Shift): Promise<Answer['Barred']> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => ({
      bars: Object.fromEntries(await this.bars.items(em, kitchenId)),
    }))
  }

  @Get('discarded')
  @Answers('Discarded')
  @ApiOperation({ summary: 'What was thrown away in a period, by reason, with weight and cost.' })
  discarded(@OfShift() { kitchenId }: Shift, @Query() { from, to }: PeriodQuery): Promise<Answer['Discarded']> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => ({
      totals: await this.repository.discarded(em, kitchenId, from, to),
    }))
  }

  /** By the code that is said or read off a label: what is held first. */
  @Get('find')
  @Answers('Found')
  find(@OfShift() { kitchenId }: Shift, @Query() { code }: FindQuery): Promise<Answer['Found']> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => ({
      found: await this.repository.byCode(em, kitchenId, code),
    }))
  }

  /** Also what is long gone: by name or code. */
  @Get('search')
  @Answers('Search')
  search(@OfShift() { kitchenId }: Shift, @Query() { text = '' }: SearchQuery): Promise<Answer['Search']> {
    return this.scope.asOfOneMoment(kitchenId, async (em) => ({
      items: await this.repository.byText(em, kitchenId, text),
    }))
  }

  @Get('stock.csv')
  @AnswersFile('text/csv')
  @Header('Content-Type', 'text/csv; charset=utf-8')
  @Header('Content-Disposition', 'attachment; filename="stock.csv"')
  async stock(@OfShift() { kitchenId }: Shift) {
    const stock = await this.scope.asOfOneMoment(kitchenId, async (em) => ({
      reader: readerOf(
        await em.findOneOrFail(Kitchen, { id: kitchenId }),
        (await this.held.judgedBy(em, kitchenId, clock.now())).limits.practice.clock ?? 24,
      ),
      cards: (await this.held.items(em, kitchenId)).map(({ card }) => card),
      units: (await this.held.units(em, kitchenId)).map(({ id, name }) => ({ id, name })),
    }))
    return this.workers.run(WORK, 'stock', stock)
  }
}
