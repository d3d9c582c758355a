// npm run dev: the server restarts and the web application reloads as files change. Web on 4311, API on 4310.
import { spawn } from 'node:child_process'
import { watch } from 'node:fs'
import { join, resolve } from 'node:path'
import { ensureBuilt, ensureInstalled, LIBRARIES } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { ROOT, run, tell, Told } from './run.mjs'
import { spawnServer } from './server.mjs'

async function dev() {
  await ensureInstalled()
  await ensureBuilt()
  // Data of its own: a kitchen that runs beside it keeps its database.
  const folder = resolve(process.env.LT_DATA ?? join(ROOT, '.data/dev'))
  const cluster = process.env.DATABASE_URL ? null : await openCluster(folder)
  const env = {
    LT_LOG_LEVEL: 'info',
    NODE_ENV: 'development',
    LT_DATA_FOLDER: folder,
    // The page comes from 4311: what it sends is from there.
    LT_ADDRESS: 'http://localhost:4311',
    ...process.env,
    ...(cluster ? { DATABASE_URL: cluster.appUrl, DATABASE_OWNER_URL: cluster.ownerUrl } : {}),
  }
  if ((await run(process.execPath, ['demo/dist/fill.js'], { env })) !== 0)
    throw new Told('The database could not be prepared.')

  const children = [
    spawn(
      process.execPath,
      ['node_modules/typescript7/bin/tsc', '-b', '--watch', '--preserveWatchOutput', ...LIBRARIES],
      { cwd: ROOT, stdio: 'inherit' },
    ),
    spawn(process.execPath, ['node_modules/vite/bin/vite.js', 'web'], { cwd: ROOT, stdio: 'inherit' }),
  ]
  let server = null
  const serve = () => {
    server?.kill('SIGTERM')
    server = spawnServer(env)
  }
  serve()
  let timer = null
  for (const part of ['core', 'wording', 'server']) {
    watch(join(ROOT, part, 'dist'), { recursive: true }, () => {
      clearTimeout(timer)
      timer = setTimeout(serve, 400)
    })
  }
  for (const signal of ['SIGINT', 'SIGTERM']) {
    process.on(signal, () => {
      for (const child of [...children, server]) child?.kill('SIGTERM')
      cluster?.stop()
      process.exit(0)
    })
  }
}

dev().catch(tell)
