import 'reflect-metadata'
import type { Server } from 'node:https'
import { setFlagsFromString } from 'node:v8'
import { clockFrom } from './clock/clock'
import { configFrom } from './config'
import { createApp } from './createApp'
import { keepCertificate, withCertificate } from './tls/serveTls'

// What is made in the background leaves much behind it: collected once the heap has grown by half, it stays under 512 MB with
// the packet of a year (`npm run bench -- packet`); left to itself it grows to four times what is in use.
setFlagsFromString('--heap-growing-percent=50')

async function main(): Promise<void> {
  clockFrom(process.env)
  const config = await withCertificate(configFrom(process.env))
  const app = await createApp(config)
  await app.listen(config.port, config.host)
  const endCertificate = await keepCertificate(app.getHttpServer() as Server, config)
  // The start command waits for this; when it dies without a word, we end too.
  process.send?.('ready')
  process.once('disconnect', () => {
    endCertificate()
    void app.close().finally(() => process.exit())
  })
}

void main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exit(1)
})
