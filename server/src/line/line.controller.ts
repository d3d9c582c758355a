import { Controller, Get, Req, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Request, Response } from 'express'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Answers } from '../http/answers.decorator'
import { KeptLines } from './keptLines.service'

/** All that a tablet needs to show the Line and go on by itself: facts as of entry `seq`. Judging is core's. */
@ApiTags('line')
@Controller('line')
export class LineController {
  constructor(private readonly lines: KeptLines) {}

  /** Without the time: it is kept from one entry to the next. */
  @Get()
  @Needs('read')
  @Answers('Line')
  async line(@OfShift() { kitchenId }: Shift, @Req() request: Request, @Res() response: Response): Promise<void> {
    const { plain, gzip } = await this.lines.of(kitchenId)
    response.type('json').vary('Accept-Encoding')
    if (request.acceptsEncodings('gzip')) response.set('Content-Encoding', 'gzip').send(gzip)
    else response.send(plain)
  }
}
