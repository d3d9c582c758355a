import 'reflect-metadata'
import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { NestFactory } from '@nestjs/core'
import { NestExpressApplication } from '@nestjs/platform-express'
import { SwaggerModule } from '@nestjs/swagger'
import { Logger } from 'nestjs-pino'
import { AppModule } from './app.module'
import type { Config } from './config'
import { openApi } from './http/openApi'
import { ProblemFilter } from './http/problem.filter'
import { validation } from './http/validation'
import compression from 'compression'
import cookieParser from 'cookie-parser'
import express, { type NextFunction, type Request, type Response } from 'express'
import helmet from 'helmet'

/** The application, ready to listen: API under /api, health under /health, the web application everywhere else. */
export async function createApp(config: Config): Promise<NestExpressApplication> {
  const { tls } = config
  const httpsOptions = tls ? { httpsOptions: { cert: readFileSync(tls.cert), key: readFileSync(tls.key) } } : {}
  const app = await NestFactory.create<NestExpressApplication>(AppModule.for(config), {
    bufferLogs: true,
    forceCloseConnections: true,
    ...httpsOptions,
  })
  app.useLogger(app.get(Logger))
  // Answers change by the second: nobody asks for one again by its tag.
  app.disable('etag')
  app.use(securityHeaders(tls !== null))
  app.use(compression())
  app.use(cookieParser())
  app.useBodyParser('json', { limit: '1mb' })
  app.setGlobalPrefix('api', { exclude: ['health/live', 'health/ready', 'metrics'] })
  app.useGlobalPipes(validation)
  app.useGlobalFilters(new ProblemFilter())
  SwaggerModule.setup('api/docs', app, () => openApi(app))
  if (config.webRoot) serveWeb(app, config.webRoot)
  app.enableShutdownHooks()
  return app
}

function securityHeaders(tls: boolean) {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'self'"],
        // The style library adds its rules at run time; scripts stay our own files alone.
        'style-src': ["'self'", "'unsafe-inline'"],
        'img-src': ["'self'", 'data:'],
        'worker-src': ["'self'"],
        'object-src': ["'none'"],
        'base-uri': ["'none'"],
        'form-action': ["'self'"],
        'frame-ancestors': ["'none'"],
      },
    },
    strictTransportSecurity: tls,
    // Only a secure origin may be isolated; on plain HTTP the browser would complain about the header.
    crossOriginOpenerPolicy: tls,
    originAgentCluster: tls,
  })
}

/** Built files are named by their content and never change; every other path is the application's page. */
function serveWeb(app: NestExpressApplication, root: string): void {
  const page = join(root, 'index.html')
  if (!existsSync(page)) throw new Error(`no built web application in ${root}`)
  const [, build] = /name="lt-build" content="(\w+)"/.exec(readFileSync(page, 'utf8')) ?? []
  // With every answer: a tablet that runs another build sends what it has and loads this one.
  app.use((_: Request, response: Response, next: NextFunction) => {
    if (build) response.set('Lt-Build', build)
    next()
  })
  app.use('/assets', express.static(join(root, 'assets'), { immutable: true, maxAge: '365d', fallthrough: false }))
  app.use(express.static(root, { index: false, maxAge: 0 }))
  app.use((request: Request, response: Response, next: NextFunction) => {
    const ours = /^\/(api|health|metrics)(\/|$)/.test(request.path)
    if (ours || !['GET', 'HEAD'].includes(request.method)) next()
    else response.sendFile(page, { cacheControl: false, headers: { 'Cache-Control': 'no-cache' } })
  })
}
