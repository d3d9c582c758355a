import type { Request, RequestHandler } from 'express'
import { ipKeyGenerator, rateLimit } from 'express-rate-limit'
import type { Rates } from '../../config'
import { Problem } from '../problem'

const MINUTE = 60_000

/** Two lines, so that a stranger who asks without end holds up no tablet, not even one behind the same address. */
export function rates({ strangers, tablets }: Rates, shiftOf: (request: Request) => string | null): RequestHandler[] {
  const limit = (most: number, key: (request: Request) => string | null): RequestHandler =>
    rateLimit({
      windowMs: MINUTE,
      limit: most,
      standardHeaders: false,
      legacyHeaders: false,
      skip: (request) => key(request) === null,
      keyGenerator: (request) => key(request)!,
      handler: (_request, response, next) => {
        response.set('Retry-After', '60')
        next(new Problem(429, 'too often', 'That was asked too often. Wait a minute.'))
      },
    })
  return [
    limit(strangers, (request) => (shiftOf(request) === null ? ipKeyGenerator(request.ip ?? '') : null)),
    limit(tablets, shiftOf),
  ]
}
