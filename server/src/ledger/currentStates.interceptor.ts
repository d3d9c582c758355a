import { CallHandler, ExecutionContext, Injectable, NestInterceptor } from '@nestjs/common'
import type { Request } from 'express'
import type { Observable } from 'rxjs'
import type { Shift } from '../people/shifts.service'
import { Refold } from './refold'

/** After an upgrade an answer waits until what it is put together from is folded by the code that reads it. */
@Injectable()
export class CurrentStates implements NestInterceptor {
  constructor(private readonly refold: Refold) {}

  async intercept(context: ExecutionContext, next: CallHandler): Promise<Observable<unknown>> {
    const { shift, method } = context.switchToHttp().getRequest<Request & { shift?: Shift }>()
    if (shift && method === 'GET') await this.refold.whole(shift.kitchenId)
    return next.handle()
  }
}
