// npm start: installs, builds, starts PostgreSQL, migrates, fills an empty database, serves. Ctrl-C stops all of it.
import { spawn } from 'node:child_process'
import { existsSync, mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { createServer } from 'node:net'
import { join, resolve } from 'node:path'
import { parseArgs } from 'node:util'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { aheadOf } from './at.mjs'
import { ROOT, run, tell, Told } from './run.mjs'

const HELP = `npm start -- [options]
  --port N       where to serve (4310)
  --host H       address to serve on (127.0.0.1; 0.0.0.0 for tablets in the kitchen)
  --cert F --key F   PEM files: serve over TLS
  --at T         begin at another time, as 2027-03-28T01:30+01:00
  --empty        a new database gets a kitchen without the demo
  --reset-demo   throw the private database away and begin the demo anew`

async function start() {
  const options = readOptions()
  const folder = resolve(process.env.LT_DATA ?? join(ROOT, '.data'))
  mkdirSync(folder, { recursive: true })
  claimFolder(folder)
  await requireFree(options.port, options.host)
  await ensureInstalled()
  await ensureBuilt()

  const database = await openDatabase(folder, options)
  const env = {
    ...process.env,
    DATABASE_URL: database.appUrl,
    DATABASE_OWNER_URL: database.ownerUrl,
    LT_PORT: String(options.port),
    LT_HOST: options.host,
    LT_WEB_ROOT: join(ROOT, 'web/dist'),
    LT_LOG_LEVEL: process.env.LT_LOG_LEVEL ?? 'warn',
    ...(options.aheadMs === null ? {} : { LT_CLOCK_AHEAD_MS: String(options.aheadMs) }),
    ...(options.cert ? { LT_CERT: resolve(options.cert), LT_KEY: resolve(options.key) } : {}),
  }
  const stopAll = () => {
    database.stop()
    rmSync(join(folder, 'start.pid'), { force: true })
  }
  try {
    const prepared = await run(
      process.execPath,
      ['server/dist/commands/prepare.js', ...(options.empty ? ['--empty'] : [])],
      { env },
    )
    const filled = prepared || options.empty ? 0 : await run(process.execPath, ['demo/dist/fill.js'], { env })
    if (prepared !== 0 || filled !== 0) throw new Told('The database could not be prepared: see above.')
  } catch (error) {
    stopAll()
    throw error
  }

  const server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  })
  server.on('message', () => {
    console.log(
      `\nLogged Thermal is at ${options.cert ? 'https' : 'http'}://${options.host}:${options.port}   (Ctrl-C stops it)`,
    )
  })
  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    server.kill('SIGTERM')
    setTimeout(() => server.kill('SIGKILL'), 8000).unref()
  }
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)
  server.on('exit', (code) => {
    stopAll()
    if (!stopping) console.error('The server ended by itself: see above.')
    process.exit(stopping ? 0 : (code ?? 1))
  })
}

function readOptions() {
  let values
  try {
    const options = {
      port: { type: 'string' },
      host: { type: 'string' },
      cert: { type: 'string' },
      key: { type: 'string' },
      at: { type: 'string' },
    }
    const flags = { empty: { type: 'boolean' }, 'reset-demo': { type: 'boolean' }, help: { type: 'boolean' } }
    values = parseArgs({ options: { ...options, ...flags } }).values
  } catch (error) {
    throw new Told(`${error.message}\n${HELP}`)
  }
  if (values.help) {
    console.log(HELP)
    process.exit(0)
  }
  const port = Number(values.port ?? 4310)
  if (!Number.isInteger(port) || port < 1 || port > 65535)
    throw new Told(`--port ${values.port} is not a port, 1 to 65535.`)
  if (Boolean(values.cert) !== Boolean(values.key)) throw new Told('--cert and --key belong together.')
  for (const file of [values.cert, values.key]) if (file && !existsSync(file)) throw new Told(`${file} is not there.`)
  return {
    port,
    aheadMs: aheadOf(values.at),
    host: values.host ?? '127.0.0.1',
    cert: values.cert,
    key: values.key,
    empty: values.empty,
    reset: values['reset-demo'],
  }
}

/** The user's database when DATABASE_URL is set, else our private cluster. */
async function openDatabase(folder, { reset }) {
  const { DATABASE_URL: given, DATABASE_OWNER_URL: owner } = process.env
  if (given) {
    if (reset)
      throw new Told(
        '--reset-demo only ever throws away the private database. Unset DATABASE_URL, or empty yours by hand.',
      )
    return { appUrl: given, ownerUrl: owner ?? given, stop() {} }
  }
  const cluster = await openCluster(folder)
  if (reset) cluster.reset()
  return cluster
}

/** Two starts over one data folder would stop each other's database. */
function claimFolder(folder) {
  const file = join(folder, 'start.pid')
  if (existsSync(file)) {
    const pid = Number(readFileSync(file, 'utf8'))
    const command = `/proc/${pid}/cmdline`
    if (pid !== process.pid && existsSync(command) && readFileSync(command, 'utf8').includes('start.mjs')) {
      throw new Told(
        `It is already running (process ${pid}). Stop that one first, or use another folder: LT_DATA=… npm start`,
      )
    }
  }
  writeFileSync(file, String(process.pid))
}

function requireFree(port, host) {
  return new Promise((done, failed) => {
    const probe = createServer()
    probe.once('error', (error) =>
      failed(new Told(`${host}:${port} cannot be used (${error.code}). Another one:  npm start -- --port ${port + 1}`)),
    )
    probe.listen(port, host, () => probe.close(done))
  })
}

start().catch(tell)
