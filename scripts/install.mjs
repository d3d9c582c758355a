// Makes sure that what the lock file names is installed and that nothing built is stale.
import { existsSync, mkdirSync, readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs'
import { createHash } from 'node:crypto'
import { join } from 'node:path'
import { ROOT, run, Told } from './run.mjs'

/** npm ci when node_modules is missing or was made from another lock file. */
export async function ensureInstalled() {
  const lock = createHash('sha256')
    .update(readFileSync(join(ROOT, 'package-lock.json')))
    .digest('hex')
  const mark = join(ROOT, 'node_modules', '.logged-thermal-lock')
  if (existsSync(mark) && readFileSync(mark, 'utf8') === lock && isWhole()) return
  console.log('Installing packages, about a minute …')
  if ((await run('npm', ['ci', '--loglevel=error'])) !== 0) throw new Told('npm ci failed: see above.')
  writeFileSync(mark, lock)
}

/** Whether every package that was installed is still there: half-deleted ones would fail somewhere in the middle. */
function isWhole() {
  const list = join(ROOT, 'node_modules/.package-lock.json')
  if (!existsSync(list)) return false
  const { packages } = JSON.parse(readFileSync(list, 'utf8'))
  return Object.entries(packages).every(
    ([path, { link, optional }]) => link || optional || existsSync(join(ROOT, path, 'package.json')),
  )
}

/** The parts that are built together, by one compiler. */
export const LIBRARIES = ['core', 'wording', 'repertoire', 'checker', 'server', 'demo', 'benchmarks']

const SOURCES = {
  libraries: [...LIBRARIES.map((part) => `${part}/src`), 'tsconfig.base.json', 'package-lock.json'],
  web: ['core/src', 'wording/src', 'web/src', 'web/index.html', 'web/vite.config.ts', 'package-lock.json'],
  check: [
    'core/src',
    'wording/src',
    'checker/src',
    'web/src/checker',
    'web/src/kit',
    'web/src/parts',
    'web/check.html',
    'web/check.config.ts',
    'package-lock.json',
  ],
}
const RESULTS = { libraries: 'benchmarks/dist/benchmarks.js', web: 'web/dist/index.html', check: 'web/dist/check.html' }

/** Builds what is older than its sources: all that runs in Node together, then the web application. */
export async function ensureBuilt() {
  await built('libraries', 'core and server', ['node_modules/typescript7/bin/tsc', '-b', ...LIBRARIES])
  const vite = ['node_modules/vite/bin/vite.js', 'build', 'web', '--logLevel', 'warn']
  await built('web', 'the web application', vite)
  await built('check', 'the checker', [...vite, '--config', 'web/check.config.ts'])
}

async function built(name, said, args) {
  const mark = join(ROOT, '.cache', `built-${name}`)
  const fingerprint = fingerprintOf(SOURCES[name])
  const fresh = existsSync(mark) && readFileSync(mark, 'utf8') === fingerprint && existsSync(join(ROOT, RESULTS[name]))
  if (fresh) return
  console.log(`Building ${said} …`)
  if ((await run(process.execPath, args)) !== 0) throw new Told('The build failed: see above.')
  mkdirSync(join(ROOT, '.cache'), { recursive: true })
  writeFileSync(mark, fingerprint)
}

/** Names, sizes and times of change of all files under the sources. */
function fingerprintOf(sources) {
  const hash = createHash('sha256')
  const walk = (path) => {
    const stat = statSync(path)
    if (stat.isDirectory()) for (const name of readdirSync(path).sort()) walk(join(path, name))
    else hash.update(`${path} ${stat.size} ${stat.mtimeMs}\n`)
  }
  for (const source of sources) walk(join(ROOT, source))
  return hash.digest('hex')
}
