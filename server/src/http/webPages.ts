import { existsSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import type { NestExpressApplication } from '@nestjs/platform-express'
import express, { type NextFunction, type Request, type Response } from 'express'
import compressed from 'express-static-gzip'

/** Built files are named by their content and never change; every other path is the application's page. */
export function serveWeb(app: NestExpressApplication, root: string): void {
  const page = join(root, 'index.html')
  if (!existsSync(page)) throw new Error(`no built web application in ${root}`)
  const [, build] = /name="lt-build" content="(\w+)"/.exec(readFileSync(page, 'utf8')) ?? []
  // With every answer: a tablet that runs another build sends what it has and loads this one.
  app.use((_: Request, response: Response, next: NextFunction) => {
    if (build) response.set('Lt-Build', build)
    next()
  })
  app.use(
    '/assets',
    compressed(join(root, 'assets'), {
      enableBrotli: true,
      orderPreference: ['br'],
      index: false,
      serveStatic: { immutable: true, maxAge: '365d', fallthrough: false },
    }),
  )
  app.use('/check.html', savedToBeOpened)
  app.use(express.static(root, { index: false, maxAge: 0 }))
  app.use((request: Request, response: Response, next: NextFunction) => {
    const ours = /^\/(api|health|metrics)(\/|$)/.test(request.path)
    if (ours || !['GET', 'HEAD'].includes(request.method)) next()
    else response.sendFile(page, { cacheControl: false, headers: { 'Cache-Control': 'no-cache' } })
  })
}

/** The checker is one file with all in it: it is saved and opened from there, where this server has no word. */
function savedToBeOpened(_: Request, response: Response, next: NextFunction): void {
  response.set('Content-Disposition', 'attachment; filename="check.html"')
  next()
}
