import { Controller, Get } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import { Needs } from '../people/shift.guard'
import { ApiTags } from '@nestjs/swagger'
import { Answers } from '../http/answers.decorator'
import type { Answers as Answer } from '../http/answers'

@ApiTags('health')
@Controller('health')
@Needs('nothing')
export class HealthController {
  constructor(private readonly em: EntityManager) {}

  /** The process runs. */
  @Get('live')
  @Answers('Live')
  live(): Answer['Live'] {
    return { live: true }
  }

  /** The logbook answers. 503 while it does not. */
  @Get('ready')
  @Answers('Ready')
  async ready(): Promise<Answer['Ready']> {
    await this.em.fork().execute('select 1')
    return { ready: true }
  }
}
