import { Controller, Get } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Unresolved } from './unresolved.service'

/** What is unresolved in the kitchen. */
@ApiTags('matters')
@Controller('matters')
@Needs('read')
export class MattersController {
  constructor(private readonly unresolved: Unresolved) {}

  /** Every cause with all that follows from it, the most urgent first. */
  @Get()
  @Answers('Matters')
  matters(@OfShift() { kitchenId }: Shift): Promise<Answer['Matters']> {
    return this.unresolved.of(kitchenId)
  }
}
