// npm run bench: ratios of what we do to the bare work under it, over a database of its own.
import { mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { output, ROOT, run, tell } from './run.mjs'

async function bench() {
  await ensureInstalled()
  await ensureBuilt()
  const cluster = await openCluster(mkdtempSync(join(tmpdir(), 'lt-bench-')))
  const env = {
    ...process.env,
    DATABASE_URL: cluster.appUrl,
    DATABASE_OWNER_URL: cluster.ownerUrl,
    LT_WEB_ROOT: join(ROOT, 'web/dist'),
  }
  try {
    output(process.execPath, ['server/dist/commands/prepare.js', '--empty'], { env })
    process.exitCode = await run(process.execPath, ['server/dist/bench/bench.js'], { env })
  } finally {
    cluster.destroy()
  }
}

bench().catch(tell)
