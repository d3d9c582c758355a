import { Controller, Get } from '@nestjs/common'
import { EntityManager } from '@mikro-orm/postgresql'
import { Needs } from '../people/shift.guard'
import { ApiTags } from '@nestjs/swagger'

@ApiTags('health')
@Controller('health')
@Needs('nothing')
export class HealthController {
  constructor(private readonly em: EntityManager) {}

  /** The process runs. */
  @Get('live')
  live() {
    return { live: true }
  }

  /** The logbook answers. 503 while it does not. */
  @Get('ready')
  async ready() {
    await this.em.fork().execute('select 1')
    return { ready: true }
  }
}
