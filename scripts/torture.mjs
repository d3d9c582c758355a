// npm run torture -- --server 200 --database 50: kills both so often while tablets log over a network that is cut at random,
// then looks whether all that was acknowledged is there once. npm test does a little of it.
import { parseArgs } from 'node:util'
import { ensureChromium } from './chromium.mjs'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { run, Told, tell } from './run.mjs'

async function torture() {
  const { values } = parseArgs({
    options: { server: { type: 'string', default: '200' }, database: { type: 'string', default: '50' } },
  })
  for (const name of ['server', 'database'])
    if (!/^\d{1,4}$/.test(values[name])) throw new Told(`--${name} ${values[name]} is no such number.`)
  await ensureInstalled()
  await ensureChromium()
  await ensureBuilt()
  const env = { ...process.env, LT_TORTURE_SERVER: values.server, LT_TORTURE_DATABASE: values.database }
  const args = ['node_modules/@playwright/test/cli.js', 'test', 'e2e/torture.spec.ts', '--reporter=list']
  process.exitCode = await run(process.execPath, args, { env })
}

torture().catch(tell)
