// npm run fuzz -- --histories 5000: as many histories made by chance against the model of core. npm test runs 300.
import { parseArgs } from 'node:util'
import { ensureInstalled } from './install.mjs'
import { run, Told, tell } from './run.mjs'

async function fuzz() {
  const { values } = parseArgs({ options: { histories: { type: 'string', default: '5000' } } })
  if (!/^[1-9]\d{0,6}$/.test(values.histories))
    throw new Told(`--histories ${values.histories} is no number of histories.`)
  await ensureInstalled()
  const env = { ...process.env, LT_FUZZ_HISTORIES: values.histories }
  const args = ['--selectProjects', 'core', '--testPathPatterns', 'kitchen/model']
  process.exitCode = await run(process.execPath, ['node_modules/jest/bin/jest.js', ...args], { env })
}

fuzz().catch(tell)
