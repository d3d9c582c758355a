import { Controller, Get, Header, Query, Res } from '@nestjs/common'
import { ApiOperation, ApiTags } from '@nestjs/swagger'
import { IsInt, IsOptional, IsString, Length, Min } from 'class-validator'
import { Type } from 'class-transformer'
import type { Response } from 'express'
import { stringify } from 'csv-stringify/sync'
import { type ItemCard, dayOf } from '@logged-thermal/core'
import { clock as timeOfDay, dayName, heatStatusWord, measureWords } from '@logged-thermal/wording'
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
import { clock } from '../clock/clock'
import { Answers, AnswersFile } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

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
  stock(@OfShift() { kitchenId }: Shift) {
    return this.scope.asOfOneMoment(kitchenId, async (em) => {
      const kitchen = await em.findOneOrFail(Kitchen, { id: kitchenId })
      const { zone } = kitchen
      const items = (await this.held.items(em, kitchenId)).map(({ card }) => JSON.parse(card) as ItemCard)
      const units = await this.held.units(em, kitchenId)
      const reader = readerOf(kitchen)
      const nameOf = (id: string | null) => units.find((each) => each.id === id)?.name ?? 'out'
      const lines = items.map((card) => ({
        code: card.code,
        name: card.name,
        left: measureWords(card.left),
        where: nameOf(card.unit),
        shelf: card.shelf ?? '',
        made: `${dayOf(card.made, zone)} ${timeOfDay(card.made, reader)}`,
        'last day': card.lastDay ?? (card.frozenDays === null ? '' : `frozen, ${card.frozenDays} days left`),
        weekday: card.lastDay ? dayName(card.lastDay, reader) : '',
        'set by': card.ruledBy,
        heat: heatStatusWord[card.heat],
        allergens: card.allergens.join(' '),
        claims: card.claims.join('; '),
        advisory: card.advisory ? 'yes' : '',
        held: card.held ? 'yes' : '',
      }))
      return stringify(lines.map(plainCells), { header: true, bom: true })
    })
  }
}

/** A cell that a spreadsheet would run as a formula is text there too. */
function plainCells<T extends Record<string, string | number>>(line: T): Record<string, string | number> {
  return Object.fromEntries(
    Object.entries(line).map(([name, value]) => [
      name,
      typeof value === 'string' && /^[=+\-@\t]/.test(value) ? `'${value}` : value,
    ]),
  )
}
