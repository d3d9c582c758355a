// npm run bench -- idle: what a tablet's main thread does in a second while nobody touches it, with some 25 batches at the stove
// and 500 items in the cold. Chromium counts it (TaskDuration of its performance metrics, over half a minute a view).
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { ROOT, run, Told } from './run.mjs'

const PORT = 4390
const SECONDS = 30
/** What was loaded is collected by then, ms. */
const SETTLES = 20_000
/** At most so much of each second, ms. */
const MOST = 10
const VIEWS = [
  ['the Line', '/'],
  ['the cold store', '/store'],
  ['the Bench of a batch', null],
]

export async function benchIdle(env) {
  if ((await run(process.execPath, ['benchmarks/dist/busyKitchen.js'], { env })) !== 0)
    throw new Told('The busy kitchen could not be filled: see above.')
  const server = spawn(process.execPath, ['server/dist/main.js'], {
    cwd: ROOT,
    env: {
      ...env,
      LT_PORT: String(PORT),
      LT_HOST: '127.0.0.1',
      LT_LOG_LEVEL: 'warn',
      LT_WEB_ROOT: join(ROOT, 'web/dist'),
    },
    stdio: ['ignore', 'inherit', 'inherit', 'ipc'],
  })
  await new Promise((ready) => server.once('message', ready))
  const { chromium } = await import('@playwright/test')
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
  try {
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
    await page.goto(`http://127.0.0.1:${PORT}`)
    await page.getByRole('button', { name: 'Mina Osk' }).click()
    for (const key of [...'1182', 'Enter']) await page.keyboard.press(key)
    await page.getByText('logging as').waitFor()
    const metrics = await page.context().newCDPSession(page)
    await metrics.send('Performance.enable', { timeDomain: 'threadTicks' })
    let missed = false
    for (const [name, path] of VIEWS) {
      if (path !== null) await page.goto(`http://127.0.0.1:${PORT}${path}`)
      else {
        await page.goto(`http://127.0.0.1:${PORT}`)
        await page.locator('.line-name').first().click()
      }
      await page.waitForTimeout(SETTLES)
      const before = await taskMs(metrics)
      await page.waitForTimeout(SECONDS * 1000)
      const perSecond = ((await taskMs(metrics)) - before) / SECONDS
      missed ||= perSecond > MOST
      console.log(
        `${`idle: ${name}, ms of each second`.padEnd(52)} ${perSecond.toFixed(2).padStart(9)}   at most ${String(MOST).padEnd(6)} ${perSecond > MOST ? 'MISSED' : 'ok'}`,
      )
    }
    return missed ? 1 : 0
  } finally {
    await browser.close()
    server.kill('SIGTERM')
  }
}

async function taskMs(session) {
  const { metrics } = await session.send('Performance.getMetrics')
  return 1000 * metrics.find(({ name }) => name === 'TaskDuration').value
}
