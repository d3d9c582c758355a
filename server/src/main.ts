import 'reflect-metadata'
import { clockFrom } from './clock/clock'
import { configFrom } from './config'
import { createApp } from './createApp'

async function main(): Promise<void> {
  clockFrom(process.env)
  const config = configFrom(process.env)
  const app = await createApp(config)
  await app.listen(config.port, config.host)
  // The start command waits for this; when it dies without a word, we end too.
  process.send?.('ready')
  process.once('disconnect', () => void app.close().finally(() => process.exit()))
}

void main().catch((error: unknown) => {
  console.error(error instanceof Error ? error.message : error)
  process.exitCode = 1
})
