import { timingSafeEqual } from 'node:crypto'
import { Controller, Get, Inject, Req, Res } from '@nestjs/common'
import { ApiExcludeController } from '@nestjs/swagger'
import type { Request, Response } from 'express'
import { Problem } from '../http/problem'
import { Needs } from '../people/shift.guard'
import { Metrics } from './metrics'

export const METRICS_TOKEN = Symbol('metrics token')

/** For Prometheus: from this machine, or from anywhere with the token. */
@ApiExcludeController()
@Controller('metrics')
export class MetricsController {
  constructor(
    private readonly metrics: Metrics,
    @Inject(METRICS_TOKEN) private readonly token: string | null,
  ) {}

  @Needs('nothing')
  @Get()
  async read(@Req() request: Request, @Res() response: Response): Promise<void> {
    if (!this.mayRead(request))
      throw new Problem(403, 'not yours', 'Metrics are read on this machine, or with the token.')
    response.type(this.metrics.registry.contentType).send(await this.metrics.registry.metrics())
  }

  private mayRead({ socket, headers }: Request): boolean {
    // Behind a proxy every request comes from this machine: with a token set, the token alone opens.
    if (this.token !== null) return isSame(headers.authorization ?? '', `Bearer ${this.token}`)
    return ['127.0.0.1', '::1', '::ffff:127.0.0.1'].includes(socket.remoteAddress ?? '')
  }
}

function isSame(a: string, b: string): boolean {
  const [left, right] = [Buffer.from(a), Buffer.from(b)]
  return left.length === right.length && timingSafeEqual(left, right)
}
