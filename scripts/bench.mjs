// npm run bench: ratios of what we do to the bare work under it, over a database of its own.
import { mkdtempSync, rmSync } from 'node:fs'
import { createRequire } from 'node:module'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { setFlagsFromString } from 'node:v8'
import { runInNewContext } from 'node:vm'
import { benchIdle } from './idle.mjs'
import { benchFullLine, benchWeb } from './webBench.mjs'
import { ensureBuilt, ensureInstalled } from './install.mjs'
import { openCluster } from './postgres.mjs'
import { output, ROOT, run, tell } from './run.mjs'
import { SMALL } from './server.mjs'

async function bench() {
  await ensureInstalled()
  await ensureBuilt()
  // `npm run bench -- store` measures the cold store alone, over years of history: ten minutes.
  const storeAlone = process.argv.includes('store')
  // `npm run bench -- idle` measures a tablet that nobody touches: three minutes.
  const idleAlone = process.argv.includes('idle')
  // `npm run bench -- load` measures the server under fifty tablets: a minute.
  const loadAlone = process.argv.includes('load')
  // `npm run bench -- log` measures the Log over 20,000 batches: two minutes.
  const logAlone = process.argv.includes('log')
  // `npm run bench -- web` measures what a cook waits for, in a browser: five minutes.
  const webAlone = process.argv.includes('web')
  if (webAlone) {
    process.exitCode = Math.max(await overDatabase(benchWeb), await overDatabase(benchFullLine))
    return
  }
  // `npm run bench -- proof` measures how a proof file is checked: half a minute, or six for a year with LT_BENCH_BATCHES=20000.
  if (process.argv.includes('proof')) {
    process.exitCode = await run(process.execPath, ['benchmarks/dist/proof.js'])
    return
  }
  // `npm run bench -- packet` measures how the packet of a year is made while others log; LT_BENCH_BATCHES for fewer,
  // LT_BENCH_DAYS for as many a day in a shorter time.
  if (process.argv.includes('packet')) {
    const folder = mkdtempSync(join(tmpdir(), 'lt-packets-'))
    process.exitCode = await overDatabase(
      (env) =>
        run(process.execPath, ['benchmarks/dist/packets.js'], { env: { ...SMALL, ...env, LT_DATA_FOLDER: folder } }),
      ['--empty'],
    )
    rmSync(folder, { recursive: true, force: true })
    return
  }
  if (!storeAlone && !idleAlone && !loadAlone && !logAlone) benchCore()
  if (loadAlone)
    process.exitCode = await overDatabase((env) => run(process.execPath, ['benchmarks/dist/load.js'], { env }))
  else if (logAlone)
    process.exitCode = await overDatabase(
      (env) => run(process.execPath, ['benchmarks/dist/log.js'], { env }),
      ['--empty'],
    )
  else if (idleAlone) process.exitCode = await overDatabase(benchIdle)
  else process.exitCode = await overDatabase((env) => benchServer(env, storeAlone), ['--empty'])
}

async function benchServer(env, storeAlone) {
  const served = storeAlone ? 0 : await run(process.execPath, ['benchmarks/dist/benchmarks.js'], { env })
  const stored = await run(process.execPath, ['--max-old-space-size=3072', 'benchmarks/dist/store.js'], { env })
  return served || stored
}

/** Measures over a database of its own, which goes after. */
async function overDatabase(measure, prepared = []) {
  const cluster = await openCluster(mkdtempSync(join(tmpdir(), 'lt-bench-')))
  const env = {
    ...process.env,
    DATABASE_URL: cluster.appUrl,
    DATABASE_OWNER_URL: cluster.ownerUrl,
    LT_WEB_ROOT: join(ROOT, 'web/dist'),
  }
  try {
    output(process.execPath, ['server/dist/commands/prepare.js', ...prepared], { env })
    return await measure(env)
  } finally {
    cluster.destroy()
  }
}

/** Judging a day of readings, one more reading, and what a judge holds: the core alone. */
function benchCore() {
  const { benchJudging, judgeHolding } = createRequire(import.meta.url)('../benchmarks/dist/judging.js')
  const { checks, wholeMs, bareMs, addAt1000, addAt86400 } = benchJudging(() => performance.now())
  const { benchCooling } = createRequire(import.meta.url)('../benchmarks/dist/cooling.js')
  const row = (name, value, most, more) =>
    console.log(
      `${name.padEnd(52)} ${value.toFixed(2).padStart(9)}   at most ${String(most).padEnd(6)} ${value <= most ? 'ok' : 'MISSED'}   ${more}`,
    )
  console.log(`Judging 86,400 readings against ten checks: ${checks.join(', ')}`)
  row('judging the whole / one bare integral', wholeMs / bareMs, 5, `${wholeMs.toFixed(1)} and ${bareMs.toFixed(1)} ms`)
  row('one more reading on 86,400, microseconds', addAt86400, 2, `${addAt1000.toFixed(2)} on 1,000`)
  row('one more reading on 86,400 / on 1,000', addAt86400 / addAt1000, 1.25, 'noise apart, no slower')
  coolingRows(benchCooling, row)
  const { benchLookBack } = createRequire(import.meta.url)('../benchmarks/dist/lookBack.js')
  const { ms, batches, risky } = benchLookBack(() => performance.now())
  row(`looking back on ${batches} batches, s`, ms / 1000, 2, `three ways each, ${risky} of them at risk`)
  const before = weigh()
  const judge = judgeHolding(86_400)
  row('bytes a reading held by a judge', (weigh() - before) / 86_400, 64, `${judge.findings(0).length} checks`)
}

function coolingRows(benchCooling, row) {
  const { fortyCurvesMs, projectionMs, longTraceMs, simulationMs, refinement } = benchCooling(() => performance.now())
  row('one projection, ms', projectionMs, 5, 'six readings, two levels')
  row('one projection on 20,000 readings, ms', longTraceMs, 5, 'thinned to those that say something')
  row('a 2-D simulation of 6 h, ms', simulationMs, 60, 'properties from composition')
  row('forty such curves, s', fortyCurvesMs / 1000, 3, 'as the Cooldown view asks for in its worker')
  row('crossings moved by half the grid and step, %', 100 * refinement, 1, '57, 40 and 30 degrees')
}

/** Bytes in use after a full collection. */
function weigh() {
  setFlagsFromString('--expose-gc')
  const collect = runInNewContext('gc')
  collect()
  collect()
  const { heapUsed, arrayBuffers } = process.memoryUsage()
  return heapUsed + arrayBuffers
}

bench().catch(tell)
