import { mkdtempSync, readFileSync } from 'node:fs'
import { createServer } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { connect } from 'node:tls'
import { DAY } from '@logged-thermal/core'
import { clock } from '../clock/clock'
import { configFrom, type Config } from '../config'
import { keepCertificate, renew, withCertificate } from './serveTls'

const authority = { folder: mkdtempSync(join(tmpdir(), 'lt-serve-')), names: ['localhost', '127.0.0.1'] }
const ends: (() => void)[] = []
afterAll(() => ends.forEach((end) => end()))

async function serving(): Promise<{ server: ReturnType<typeof createServer>; config: Config }> {
  const made = await withCertificate({ ...configFrom({ DATABASE_URL: 'postgres://127.0.0.1/none' }), authority })
  const server = createServer({ cert: readFileSync(made.tls!.cert), key: readFileSync(made.tls!.key) }, (_, answer) =>
    answer.end('here'),
  )
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready))
  ends.push(() => server.close())
  const { port } = server.address() as AddressInfo
  return { server, config: { ...made, host: '127.0.0.1', port, address: `https://127.0.0.1:${port}` } }
}

const served = (port: number) =>
  new Promise<string>((done, failed) => {
    // Made for a day that has not come by this machine's clock: which one is served is asked, not whether it holds today.
    const socket = connect({ port, host: '127.0.0.1', rejectUnauthorized: false }, () => {
      done(socket.getPeerCertificate().serialNumber)
      socket.end()
    }).on('error', failed)
  })

it('serves the renewed certificate without a new start', async () => {
  const { server, config } = await serving()
  const first = await served(config.port)
  clock.set(clock.now() + 21 * DAY)
  await renew(server, authority)
  expect(await served(config.port)).not.toBe(first)
})

it('hands tablets the root, the way to the program, and nothing else of the folder', async () => {
  const { server, config } = await serving()
  ends.push(await keepCertificate(server, config))
  const at = (path: string) => fetch(`http://127.0.0.1:${config.port + 1}${path}`)
  const page = await (await at('/')).text()
  expect(page).toContain(`href="${config.address}"`)
  expect(page).toContain('<svg')
  const root = await at('/root.crt')
  expect(root.headers.get('content-type')).toBe('application/x-x509-ca-cert')
  expect(await root.text()).toBe(readFileSync(join(authority.folder, 'root.crt'), 'utf8'))
  for (const path of ['/root.key', '/server.key', '/../root.key']) expect((await at(path)).status).toBe(404)
})
