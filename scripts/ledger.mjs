// npm run ledger -- COMMAND: over DATABASE_URL, else over the private cluster (the running one, or one started for it).
import { existsSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join, resolve } from 'node:path'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { ROOT, run, tell, Told } from './run.mjs'

/** What these are told is a name and no file. */
const NAMING = ['new-pin', 'new-password', 'new-kitchen', 'forget-name']

/** These begin a database where there is none. */
const BEGINNING = ['restore', 'take-in']

async function ledger() {
  await ensureInstalled()
  await ensureBuilt()
  const folder = resolve(process.env.LT_DATA ?? join(ROOT, '.data'))
  const [command, ...rest] = process.argv.slice(2)
  if (command === 'try-backup') {
    process.exitCode = await tryBackup(rest[0] && resolve(process.env.INIT_CWD ?? process.cwd(), rest[0]))
    return
  }
  const isNew = !existsSync(join(folder, 'cluster.json'))
  // What is brought in begins a database; whoever looks at one that is not there is told so.
  if (!process.env.DATABASE_URL && isNew && !BEGINNING.includes(command))
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
    if (
      BEGINNING.includes(command) &&
      (await run(process.execPath, ['server/dist/commands/prepare.js'], { env })) !== 0
    )
      throw new Told('The database could not be prepared: see above.')
    // A file is where whoever asks stands, and not where the program is; a name is a name.
    const isFile = (i) => i === 0 && !NAMING.includes(command)
    const args = rest.map((each, i) => (isFile(i) ? resolve(process.env.INIT_CWD ?? process.cwd(), each) : each))
    process.exitCode = await run(
      process.execPath,
      ['server/dist/commands/ledger.js', command, ...args].filter(Boolean),
      { env },
    )
  } finally {
    cluster?.stop()
  }
}

/** Brings a backup into a database of its own, goes through every record of it there, and throws that database away. */
async function tryBackup(file) {
  if (!file) throw new Told('Say which: npm run ledger -- try-backup FILE')
  const folder = mkdtempSync(join(tmpdir(), 'lt-try-'))
  const cluster = await openCluster(folder)
  const env = {
    ...process.env,
    DATABASE_URL: cluster.appUrl,
    DATABASE_OWNER_URL: cluster.ownerUrl,
    LT_DATA_FOLDER: folder,
  }
  try {
    for (const [script, ...args] of [['prepare'], ['ledger', 'restore', file], ['ledger', 'verify']]) {
      const code = await run(process.execPath, [`server/dist/commands/${script}.js`, ...args], { env })
      if (code !== 0) return code
    }
    console.log(`${file} can be restored: it was, and every record of it checks out.`)
    return 0
  } finally {
    cluster.destroy()
  }
}

ledger().catch(tell)
