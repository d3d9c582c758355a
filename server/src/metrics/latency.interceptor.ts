import { CallHandler, ExecutionContext, Injectable, NestInterceptor } from '@nestjs/common'
import type { Request, Response } from 'express'
import type { Observable } from 'rxjs'
import { Metrics } from './metrics'

/** How long each request took, by its route and not its address: addresses have ids in them. */
@Injectable()
export class Latency implements NestInterceptor {
  constructor(private readonly metrics: Metrics) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const http = context.switchToHttp()
    const request = http.getRequest<Request>()
    const response = http.getResponse<Response>()
    const { path: route = 'unknown' } = (request.route ?? {}) as { path?: string }
    if (request.headers.accept !== 'text/event-stream') {
      const end = this.metrics.latency.startTimer({ method: request.method, route })
      response.once('finish', () => end({ status: response.statusCode }))
    }
    return next.handle()
  }
}
