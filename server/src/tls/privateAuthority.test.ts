import { X509Certificate } from 'node:crypto'
import { mkdtempSync, readFileSync, statSync } from 'node:fs'
import { createServer, get, type Server } from 'node:https'
import type { AddressInfo } from 'node:net'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { DAY } from '@logged-thermal/core'
import { certificatesIn } from './privateAuthority'

const NOW = Date.now()
const folder = mkdtempSync(join(tmpdir(), 'lt-tls-'))
const certOf = (path: string) => new X509Certificate(readFileSync(path))
let server: Server | null = null
afterAll(() => server?.close())

it('lets whoever has installed the root open the program by its name and by its address', async () => {
  const { root, cert, key } = await certificatesIn(folder, ['localhost', '127.0.0.1'], NOW)
  server = createServer({ cert: readFileSync(cert), key: readFileSync(key) }, (_, answer) => answer.end('here'))
  await new Promise<void>((ready) => server!.listen(0, '127.0.0.1', ready))
  const { port } = server.address() as AddressInfo
  const open = (host: string, ca?: Buffer) =>
    new Promise<number>((done, failed) => {
      get({ host, port, ...(ca ? { ca } : {}), family: 4, agent: false }, (answer) =>
        done(answer.resume().statusCode!),
      ).on('error', failed)
    })
  expect(await open('localhost', readFileSync(root))).toBe(200)
  expect(await open('127.0.0.1', readFileSync(root))).toBe(200)
  await expect(open('localhost')).rejects.toMatchObject({ code: 'UNABLE_TO_VERIFY_LEAF_SIGNATURE' })
})

it('keeps the root, and makes the short-lived one anew before it is over or when a name is new', async () => {
  const names = ['localhost', '127.0.0.1']
  const first = await certificatesIn(folder, names, NOW)
  const [root, cert] = [readFileSync(first.root, 'utf8'), readFileSync(first.cert, 'utf8')]
  expect(readFileSync((await certificatesIn(folder, names, NOW + 19 * DAY)).cert, 'utf8')).toBe(cert)
  await certificatesIn(folder, names, NOW + 21 * DAY)
  expect(readFileSync(first.cert, 'utf8')).not.toBe(cert)
  expect(Date.parse(certOf(first.cert).validTo)).toBeGreaterThan(NOW + 45 * DAY)
  await certificatesIn(folder, [...names, 'pastry.example'], NOW + 21 * DAY)
  expect(certOf(first.cert).subjectAltName).toContain('DNS:pastry.example')
  expect(readFileSync(first.root, 'utf8')).toBe(root)
  expect(certOf(first.cert).checkIssued(certOf(first.root))).toBe(true)
})

it('shows its keys to nobody', () => {
  for (const name of ['root.key', 'server.key']) expect(statSync(join(folder, name)).mode & 0o777).toBe(0o600)
  expect(statSync(folder).mode & 0o777).toBe(0o700)
})
