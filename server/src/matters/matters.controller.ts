import { Controller, Get, Query } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { LogPeriod, requirePeriod } from '../log/log.dto'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { RaisedByDays } from './raised.service'
import { Unresolved } from './unresolved.service'

/** What is unresolved in the kitchen. */
@ApiTags('matters')
@Controller('matters')
@Needs('read')
export class MattersController {
  constructor(
    private readonly unresolved: Unresolved,
    private readonly raised: RaisedByDays,
  ) {}

  /** Every cause with all that follows from it, the most urgent first. */
  @Get()
  @Answers('Matters')
  matters(@OfShift() { kitchenId }: Shift): Promise<Answer['Matters']> {
    return this.unresolved.of(kitchenId)
  }

  /** How much of each kind came up on each day of a period, settled since or not, and where its cause may lie. */
  @Get('raised')
  @Answers('Raised')
  async byDay(@OfShift() { kitchenId }: Shift, @Query() asked: LogPeriod): Promise<Answer['Raised']> {
    requirePeriod(asked)
    return this.raised.of(kitchenId, asked)
  }
}
