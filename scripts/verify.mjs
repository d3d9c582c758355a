// npm run verify -- FILE [KEY]: goes through a proof file, or a packet with one in it. Needs nothing but the file.
import { resolve } from 'node:path'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { run, tell } from './run.mjs'

async function verify() {
  await ensureInstalled()
  await ensureBuilt()
  const [file, ...key] = process.argv.slice(2)
  const path = file && resolve(process.env.INIT_CWD ?? process.cwd(), file)
  process.exitCode = await run(process.execPath, ['checker/dist/node/cli.js', path, ...key].filter(Boolean))
}

verify().catch(tell)
