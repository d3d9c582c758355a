// npm run ledger -- COMMAND: over DATABASE_URL, else over the private cluster (the running one, or one started for it).
import { existsSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { ROOT, run, tell, Told } from './run.mjs'

async function ledger() {
  await ensureInstalled()
  await ensureBuilt()
  const folder = resolve(process.env.LT_DATA ?? join(ROOT, '.data'))
  const [command, ...rest] = process.argv.slice(2)
  const isNew = !existsSync(join(folder, 'cluster.json'))
  // Only a restore begins a database; whoever looks at one that is not there is told so.
  if (!process.env.DATABASE_URL && isNew && command !== 'restore')
    throw new Told(
      `There is no logbook in ${folder}. Another folder: LT_DATA=… npm run ledger -- ${command ?? 'verify'}`,
    )
  const cluster = process.env.DATABASE_URL ? null : await openCluster(folder, { adopt: true })
  try {
    const env = {
      ...process.env,
      LT_DATA_FOLDER: folder,
      ...(cluster ? { DATABASE_URL: cluster.appUrl, DATABASE_OWNER_URL: cluster.ownerUrl } : {}),
    }
    if (command === 'restore' && (await run(process.execPath, ['server/dist/commands/prepare.js'], { env })) !== 0)
      throw new Told('The database could not be prepared: see above.')
    // A file is where whoever asks stands, and not where the program is; a name is a name.
    const args = command === 'new-pin' ? rest : rest.map((file) => resolve(process.env.INIT_CWD ?? process.cwd(), file))
    process.exitCode = await run(
      process.execPath,
      ['server/dist/commands/ledger.js', command, ...args].filter(Boolean),
      { env },
    )
  } finally {
    cluster?.stop()
  }
}

ledger().catch(tell)
