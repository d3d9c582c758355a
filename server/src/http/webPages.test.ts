import { mkdirSync, mkdtempSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { brotliCompressSync } from 'node:zlib'
import type { NestExpressApplication } from '@nestjs/platform-express'
import request from 'supertest'
import { configFrom } from '../config'
import { createApp } from '../createApp'
import { APP_URL, migrated } from '../test/kitchen'

const PROGRAM = 'export const program = 1\n'.repeat(100)

let app: NestExpressApplication
beforeAll(async () => {
  await migrated()
  const root = mkdtempSync(join(tmpdir(), 'lt-web-'))
  mkdirSync(join(root, 'assets'))
  writeFileSync(join(root, 'index.html'), '<meta name="lt-build" content="abc123"><div id="root"></div>')
  writeFileSync(join(root, 'assets/program-1.js'), PROGRAM)
  writeFileSync(join(root, 'assets/program-1.js.br'), brotliCompressSync(PROGRAM))
  app = await createApp(configFrom({ DATABASE_URL: APP_URL(), LT_LOG_LEVEL: 'silent', LT_WEB_ROOT: root }))
  await app.init()
})
afterAll(() => app.close())

const get = (path: string) => request(app.getHttpServer()).get(path)

it('serves the program as it was made small, for ever, to whoever can read that', async () => {
  const small = await get('/assets/program-1.js').set('Accept-Encoding', 'gzip, br')
  expect(small.headers).toMatchObject({ 'content-encoding': 'br', 'lt-build': 'abc123' })
  expect(small.headers['cache-control']).toContain('immutable')
  expect(small.headers['content-type']).toContain('javascript')
  const plain = await get('/assets/program-1.js').set('Accept-Encoding', 'identity')
  expect(plain.headers['content-encoding']).toBeUndefined()
  expect(plain.text).toBe(PROGRAM)
  await get('/assets/program-2.js').expect(404)
  // Every other address is the application's page.
  expect((await get('/store').expect(200)).text).toContain('id="root"')
})
