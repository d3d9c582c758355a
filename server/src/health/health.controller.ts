import { Controller, Get, HttpStatus, Res } from '@nestjs/common'
import { ApiTags } from '@nestjs/swagger'
import type { Response } from 'express'
import { Needs } from '../people/shift.guard'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'
import { Readiness } from './readiness.service'

@ApiTags('health')
@Controller('health')
@Needs('nothing')
export class HealthController {
  constructor(private readonly readiness: Readiness) {}

  /** The process runs. */
  @Get('live')
  @Answers('Live')
  live(): Answer['Live'] {
    return { live: true }
  }

  /** The logbook can be read and written; 503 while it cannot, with the part that is to blame. */
  @Get('ready')
  @Answers('Ready')
  async ready(@Res({ passthrough: true }) response: Response): Promise<Answer['Ready']> {
    const found = await this.readiness.look()
    if (!found.ready) response.status(HttpStatus.SERVICE_UNAVAILABLE)
    return found
  }
}
