// npm test: lint and types, Jest in every part, Playwright. Its last line counts everything: 'N passed, N failed'.
// With names (core wording repertoire checker server demo web e2e lint) only those. --full: every property ten times over, and the
// histories of the model test too, from other seeds than each day's. --at 2027-03-28T01:30+01:00: as if it were then.
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { parseArgs } from 'node:util'
import { aheadOf } from './at.mjs'
import { ensureBuilt, ensureInstalled, LIBRARIES } from './install.mjs'
import { ensureChromium } from './chromium.mjs'
import { ROOT, run, tell } from './run.mjs'

const PARTS = [...LIBRARIES, 'web'].map((part) => `${part}/src`)
const JEST = ['core', 'wording', 'repertoire', 'checker', 'server', 'demo', 'web']
const ALL = ['lint', ...JEST, 'e2e']

async function test(names) {
  await ensureInstalled()
  const total = { passed: 0, failed: 0 }
  const times = []
  const add = async (name, run) => {
    const began = Date.now()
    const part = await run()
    total.passed += part.passed
    total.failed += part.failed
    times.push(`${name} ${Math.round((Date.now() - began) / 1000)} s`)
  }
  const units = JEST.filter((name) => names.includes(name))
  // Side by side: lint works on one thing at a time, and would leave every other CPU idle.
  await Promise.all([
    ...(names.includes('lint') ? [add('types and lint', lint)] : []),
    ...(units.length ? [add('jest', () => jest(units))] : []),
  ])
  if (names.includes('e2e')) await add('in the browser', e2e)
  console.log(times.join(', '))
  console.log(`${total.passed} passed, ${total.failed} failed`)
  process.exitCode = total.failed === 0 ? 0 : 1
}

/** Types in every part, lint over all of it, and the format. Each counts as one. */
async function lint() {
  const node = (...args) => run(process.execPath, args)
  const compiled = [
    ['libraries compile', () => node('node_modules/typescript7/bin/tsc', '-b', ...LIBRARIES)],
    ['answers as in the OpenAPI document', () => node('scripts/openapi.mjs', '--check')],
  ]
  const read = [
    ['types and lint', () => node('node_modules/oxlint/bin/oxlint', '--type-check', '--deny-warnings')],
    ['floors', () => node('node_modules/dependency-cruiser/bin/dependency-cruise.mjs', ...PARTS)],
    ['floors as drawn', () => node('scripts/floors.mjs', '--check')],
    ['format', () => node('node_modules/prettier/bin/prettier.cjs', '--check', '--log-level', 'warn', '.')],
  ]
  const result = { passed: 0, failed: 0 }
  const inOrder = async (lane) => {
    for (const [name, step] of lane) {
      const ok = (await step()) === 0
      console.log(`${ok ? 'ok    ' : 'FAILED'} ${name}`)
      result[ok ? 'passed' : 'failed']++
    }
  }
  // Side by side: neither lane asks for what the other makes.
  await Promise.all([inOrder(compiled), inOrder(read)])
  return result
}

async function jest(projects) {
  return counted(
    'jest.json',
    async (file) => {
      const args = ['--selectProjects', ...projects, '--json', `--outputFile=${file}`, '--testLocationInResults=false']
      return run(process.execPath, ['node_modules/jest/bin/jest.js', ...args], {
        stdio: ['ignore', 'ignore', 'inherit'],
      })
    },
    ({ numPassedTests, numFailedTests, numFailedTestSuites, testResults }) => {
      // A suite that could not even run has no failed test to count.
      const unrun = testResults.filter(
        ({ status, assertionResults }) => status === 'failed' && assertionResults.length === 0,
      ).length
      return { passed: numPassedTests, failed: Math.max(numFailedTests + unrun, Math.sign(numFailedTestSuites)) }
    },
  )
}

async function e2e() {
  await ensureChromium()
  await ensureBuilt()
  return counted(
    'playwright.json',
    async (file) => {
      const env = { ...process.env, PLAYWRIGHT_JSON_OUTPUT_NAME: file }
      return run(process.execPath, ['node_modules/@playwright/test/cli.js', 'test'], { env })
    },
    ({ stats, suites }) => {
      for (const title of flakyIn(suites)) console.log(`only on the second try: ${title}`)
      return { passed: stats.expected + stats.flaky, failed: stats.unexpected }
    },
  )
}

function flakyIn(suites) {
  return suites.flatMap(({ file, specs = [], suites: inner = [] }) => [
    ...specs
      .filter(({ tests }) => tests.some(({ status }) => status === 'flaky'))
      .map(({ title }) => `${file}: ${title}`),
    ...flakyIn(inner),
  ])
}

/** Runs a test program that writes its results to a file; a failing exit without a failed test counts as one. */
async function counted(name, program, read) {
  const folder = mkdtempSync(join(tmpdir(), 'lt-results-'))
  try {
    const file = join(folder, name)
    const code = await program(file)
    const result = existsSync(file) ? read(JSON.parse(readFileSync(file, 'utf8'))) : { passed: 0, failed: 1 }
    return { ...result, failed: code !== 0 && result.failed === 0 ? 1 : result.failed }
  } finally {
    rmSync(folder, { recursive: true, force: true })
  }
}

process.chdir(ROOT)
const { values, positionals: names } = parseArgs({
  options: { at: { type: 'string' }, full: { type: 'boolean', default: false } },
  allowPositionals: true,
})
const unknown = names.filter((name) => !ALL.includes(name))
if (unknown.length) tell(new Error(`No such part: ${unknown.join(', ')}. Parts: ${ALL.join(', ')}.`))
else {
  try {
    const ahead = aheadOf(values.at)
    if (ahead !== null) process.env.LT_CLOCK_AHEAD_MS = String(ahead)
    if (values.full) Object.assign(process.env, { LT_TIMES: '10', LT_FUZZ_HISTORIES: '3000' })
    test(names.length ? names : ALL).catch(tell)
  } catch (error) {
    tell(error)
  }
}
