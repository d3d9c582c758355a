import { Controller, Get, Param, Req, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Request, Response } from 'express'
import { Needs, OfShift } from '../people/shift.guard'
import type { Shift } from '../people/shifts.service'
import { Answers } from '../http/answers.decorator'
import { Problem } from '../http/problem'
import { KeptLines } from './keptLines.service'
import { sendPacked } from './sendPacked'

/** All that a tablet needs to show the Line and go on by itself: facts as of entry `seq`. Judging is core's. */
@ApiTags('line')
@Controller('line')
@Needs('read')
export class LineController {
  constructor(private readonly lines: KeptLines) {}

  /** Without the time: it is kept from one entry to the next. */
  @Get()
  @Answers('Line')
  async line(@OfShift() { kitchenId }: Shift, @Req() request: Request, @Res() response: Response): Promise<void> {
    sendPacked(request, response, await this.lines.of(kitchenId))
  }

  /** A piece of a long trace that the Line named: a list of facts. What has another hash is another piece. */
  @Get('traces/:hash')
  @Answers('TracePiece')
  piece(
    @OfShift() { kitchenId }: Shift,
    @Param('hash') hash: string,
    @Req() request: Request,
    @Res() response: Response,
  ): void {
    const piece = this.lines.piece(kitchenId, hash)
    if (!piece) throw new Problem(404, 'not there', 'The Line has gone on. Ask for it again.', 'hash')
    response.set('Cache-Control', 'private, max-age=86400, immutable')
    sendPacked(request, response, piece)
  }
}
