// npm run ledger -- verify | rebuild: over DATABASE_URL, else over the private cluster (the running one, or one started for it).
import { join, resolve } from 'node:path'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { ROOT, run, tell } from './run.mjs'

async function ledger() {
  await ensureInstalled()
  await ensureBuilt()
  const cluster = process.env.DATABASE_URL
    ? null
    : await openCluster(resolve(process.env.LT_DATA ?? join(ROOT, '.data')), { adopt: true })
  try {
    const env = {
      ...process.env,
      ...(cluster ? { DATABASE_URL: cluster.appUrl, DATABASE_OWNER_URL: cluster.ownerUrl } : {}),
    }
    process.exitCode = await run(process.execPath, ['server/dist/commands/ledger.js', ...process.argv.slice(2)], {
      env,
    })
  } finally {
    cluster?.stop()
  }
}

ledger().catch(tell)
