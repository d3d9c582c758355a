// npm start: installs, builds, starts PostgreSQL, migrates, fills an empty database, serves. Ctrl-C stops all of it.
import { spawn } from 'node:child_process'
import { rmSync } from 'node:fs'
import { join, resolve } from 'node:path'
import { createServer } from 'node:net'
import { addressesOf, namesOf } from './addresses.mjs'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { requireDemoOrName } from './resetDemo.mjs'
import { ROOT, run, tell, Told } from './run.mjs'
import { spawnServer } from './server.mjs'
import { startOptions } from './startOptions.mjs'

async function start() {
  const options = startOptions()
  const folder = resolve(process.env.LT_DATA ?? join(ROOT, '.data'))
  await requireFree(options.port, options.host)
  if (options.tls) await requireFree(options.port + 1, options.host)
  await ensureInstalled()
  await ensureBuilt()

  const database = await openDatabase(folder, options)
  const secure = options.tls || options.cert !== undefined
  const addresses = addressesOf({ ...options, secure })
  const env = {
    ...process.env,
    DATABASE_URL: database.appUrl,
    DATABASE_OWNER_URL: database.ownerUrl,
    LT_DATA_FOLDER: folder,
    LT_PORT: String(options.port),
    LT_HOST: options.host,
    LT_ADDRESS: options.address ?? process.env.LT_ADDRESS ?? addresses[0],
    LT_WEB_ROOT: process.env.LT_WEB_ROOT ?? join(ROOT, 'web/dist'),
    LT_LOG_LEVEL: process.env.LT_LOG_LEVEL ?? 'warn',
    ...(options.aheadMs === null ? {} : { LT_CLOCK_AHEAD_MS: String(options.aheadMs) }),
    ...(options.cert ? { LT_CERT: options.cert, LT_KEY: options.key } : {}),
    ...(options.tls ? { LT_TLS_FOLDER: join(folder, 'tls'), LT_TLS_NAMES: namesOf(options.host).join() } : {}),
  }
  if (options.mail) Object.assign(env, await keepLetters(join(folder, 'mail')))
  try {
    await prepare(env, options, database)
  } catch (error) {
    database.stop()
    throw error
  }
  serve(env, options, database, addresses)
}

/** The demo's own mail server; it ends with this process. */
function keepLetters(folder) {
  const server = spawn(process.execPath, ['demo/dist/mail.js', folder], {
    cwd: ROOT,
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
    detached: true,
  })
  server.unref()
  return new Promise((ready, failed) => {
    server.once('message', (url) => {
      console.log(`Letters are kept in ${folder}`)
      ready({ LT_SMTP_URL: url, LT_MAIL_FROM: 'Logged Thermal <kitchen@demo.example>' })
    })
    server.once('exit', (code) => failed(new Told(`The mail server of the demo ended with ${code}.`)))
  })
}

async function prepare(env, { empty, reset }, database) {
  const command = (file, ...args) => run(process.execPath, [file, ...args], { env })
  if (reset) {
    await requireDemoOrName(env)
    database.reset()
    // What was signed of a kitchen that is gone vouches for nothing.
    rmSync(join(env.LT_DATA_FOLDER, 'signed-heads.json'), { force: true })
  }
  const prepared = await (empty ? command('server/dist/commands/prepare.js', '--empty') : command('demo/dist/fill.js'))
  if (prepared !== 0) throw new Told('The database could not be prepared: see above.')
}

function serve(env, { tls, port }, database, addresses) {
  const server = spawnServer(env, { detached: true })
  server.on('message', () => {
    console.log(`\nLogged Thermal is at ${addresses.join('  or  ')}   (Ctrl-C stops it)`)
    if (tls) console.log(`A tablet installs its certificate once, from ${http(env.LT_ADDRESS, port + 1)}`)
    console.log(database.data ? `The logbook is kept in ${database.data}` : 'The logbook is kept in your own database.')
  })
  let stopping = false
  const stop = () => {
    if (stopping) return
    stopping = true
    server.kill('SIGTERM')
    setTimeout(() => server.kill('SIGKILL'), 8000).unref()
  }
  database.watch(() => {
    console.error('PostgreSQL does not start any more, so the program ends. Its log is beside its data; see above.')
    process.exitCode = 1
    stop()
  })
  for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) process.on(signal, stop)
  server.on('exit', (code) => {
    database.stop()
    if (!stopping) console.error('The server ended by itself: see above.')
    process.exit(stopping ? (process.exitCode ?? 0) : (code ?? 1))
  })
}

function http(address, port) {
  const url = new URL(address)
  return `http://${url.hostname}:${port}`
}

/** The user's database when DATABASE_URL is set, else our private cluster. */
async function openDatabase(folder, { reset }) {
  const { DATABASE_URL: given, DATABASE_OWNER_URL: owner } = process.env
  if (!given) return openCluster(folder)
  if (reset)
    throw new Told(
      '--reset-demo only ever throws away the private database. Unset DATABASE_URL, or empty yours by hand.',
    )
  return { data: null, appUrl: given, ownerUrl: owner ?? given, stop() {}, watch() {} }
}

/** A server that was told to end, or whose starter was killed, has the port for a moment yet. */
async function requireFree(port, host) {
  for (let left = 50; ; left--) {
    const code = await whyTaken(port, host)
    if (code === null) return
    if (code !== 'EADDRINUSE' || left === 0)
      throw new Told(`${host}:${port} cannot be used (${code}). Another one:  npm start -- --port ${port + 1}`)
    await new Promise((done) => setTimeout(done, 100))
  }
}

function whyTaken(port, host) {
  return new Promise((done) => {
    const probe = createServer()
    probe.once('error', (error) => done(error.code))
    probe.listen(port, host, () => probe.close(() => done(null)))
  })
}

start().catch(tell)
