// npm run fuzz -- --histories 5000: as many histories made by chance against the model of core. npm test runs 300.
// npm run fuzz -- http --requests 20000: as many malformed requests against the server. npm test sends 1,200.
import { parseArgs } from 'node:util'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { run, Told, tell } from './run.mjs'

async function fuzz() {
  const number = (fallback) => ({ type: 'string', default: fallback })
  const { values, positionals } = parseArgs({
    options: { histories: number('5000'), requests: number('20000'), seed: number('20270303') },
    allowPositionals: true,
  })
  for (const name of ['histories', 'requests', 'seed'])
    if (!/^[1-9]\d{0,8}$/.test(values[name])) throw new Told(`--${name} ${values[name]} is no such number.`)
  await ensureInstalled()
  const overHttp = positionals[0] === 'http'
  if (overHttp) await ensureBuilt()
  const asked = overHttp
    ? { LT_FUZZ_REQUESTS: values.requests, LT_FUZZ_SEED: values.seed }
    : { LT_FUZZ_HISTORIES: values.histories }
  const [project, pattern] = overHttp ? ['server', 'http/fuzz'] : ['core', 'kitchen/model']
  const args = ['node_modules/jest/bin/jest.js', '--selectProjects', project, '--testPathPatterns', pattern]
  process.exitCode = await run(process.execPath, args, { env: { ...process.env, ...asked } })
}

fuzz().catch(tell)
