import 'reflect-metadata'
import { readFileSync } from 'node:fs'
import { NestFactory } from '@nestjs/core'
import { NestExpressApplication } from '@nestjs/platform-express'
import { SwaggerModule } from '@nestjs/swagger'
import { Logger } from 'nestjs-pino'
import compression from 'compression'
import cookieParser from 'cookie-parser'
import type { NextFunction, Request, Response } from 'express'
import { AppModule } from './app.module'
import type { Config } from './config'
import { intake } from './http/intake/intake'
import { rates } from './http/intake/rates'
import { openApi } from './http/openApi'
import { ProblemFilter } from './http/problem.filter'
import { asOfNow, securityHeaders } from './http/securityHeaders'
import { validation } from './http/validation'
import { serveWeb } from './http/webPages'
import { Accounts } from './people/accounts.service'
import { cookieOf, requireAccount, requireShift } from './people/shift.guard'
import { Shifts } from './people/shifts.service'

/** A request whose headers, or whose body, have not come by then is given up, ms: nobody holds a connection by sending slowly. */
const HEADERS_WITHIN = 10_000
const REQUEST_WITHIN = 60_000

/** The application, ready to listen: API under /api, health under /health, the web application everywhere else. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const { tls } = config
  const httpsOptions = tls ? { httpsOptions: { cert: readFileSync(tls.cert), key: readFileSync(tls.key) } } : {}
  const app = await NestFactory.create<NestExpressApplication>(AppModule.for(config), {
    bufferLogs: true,
    bodyParser: false,
    forceCloseConnections: true,
    ...httpsOptions,
  })
  app.useLogger(app.get(Logger))
  const server = app.getHttpServer()
  server.headersTimeout = HEADERS_WITHIN
  server.requestTimeout = REQUEST_WITHIN
  // Answers change by the second: nobody asks for one again by its tag.
  app.disable('etag')
  app.use(...securityHeaders(tls !== null, config.authority === null))
  app.use(compression())
  app.use(cookieParser())
  app.use('/api', asOfNow)
  const shifts = app.get(Shifts)
  app.set('trust proxy', config.proxies)
  app.use('/api', ...rates(config.rates, (request) => seenShift(request, shifts)))
  const accounts = app.get(Accounts)
  const requireSender = (request: Request) =>
    request.path.startsWith('/api/account/')
      ? requireAccount(request, accounts)
      : requireShift(request, shifts, 'write')
  app.use(...intake(requireSender, config.address))
  app.setGlobalPrefix('api', { exclude: ['health/live', 'health/ready', 'metrics'] })
  app.useGlobalPipes(validation)
  app.useGlobalFilters(new ProblemFilter())
  if (!config.development) app.use(/^\/api\/docs/, forShifts(shifts))
  SwaggerModule.setup('api/docs', app, () => openApi(app))
  if (config.webRoot) serveWeb(app, config.webRoot)
  app.enableShutdownHooks()
  return app
}

/** The cookie of a tablet that has shown a good one before; null: a stranger. */
function seenShift(request: Request, shifts: Shifts): string | null {
  const cookie = cookieOf(request)
  return cookie !== null && shifts.isSeen(cookie) ? cookie : null
}

/** Only for who works here, where a route is not Nest's to guard. */
function forShifts(shifts: Shifts) {
  return (request: Request, _: Response, next: NextFunction) => {
    requireShift(request, shifts, 'read').then(() => next(), next)
  }
}
