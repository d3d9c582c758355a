// A tablet for the benches: a server over a busy kitchen, and Chromium with an open shift on it.
import { spawn } from 'node:child_process'
import { join } from 'node:path'
import { CHROMIUM, ensureChromium } from './chromium.mjs'
import { ROOT, run, Told } from './run.mjs'

const PORT = 4390
export const URL = `http://127.0.0.1:${PORT}`

/**
 * Fills a kitchen, serves it, opens a shift, and takes it all down after.
 * @param copies how often over the demo's batches are in it: each is some twelve on the Line
 * @returns what `use` returns
 */
export async function withTablet(env, copies, use) {
  if ((await run(process.execPath, ['benchmarks/dist/busyKitchen.js', String(copies)], { env })) !== 0)
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
  await ensureChromium()
  const browser = await chromium.launch({ executablePath: CHROMIUM })
  try {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } })
    const page = await context.newPage()
    await page.goto(URL)
    await page.getByRole('button', { name: 'Mina Osk' }).click()
    for (const key of [...'1182'.split(''), 'Enter']) await page.keyboard.press(key)
    await page.getByText('logging as').waitFor()
    return await use({ browser, context, page })
  } finally {
    await browser.close()
    server.kill('SIGTERM')
  }
}

/** Prints a figure beside what it may be at most; false where it is more. */
export function atMost(name, value, most) {
  const ok = value <= most
  console.log(
    `${name.padEnd(60)} ${value.toFixed(2).padStart(9)}   at most ${String(most).padEnd(6)} ${ok ? 'ok' : 'MISSED'}`,
  )
  return ok
}

/** What the page's main thread has worked since it opened, ms. */
export async function taskMs(session) {
  const { metrics } = await session.send('Performance.getMetrics')
  return 1000 * metrics.find(({ name }) => name === 'TaskDuration').value
}

/** The 95th of a hundred. */
export function p95(values) {
  return [...values].sort((a, b) => a - b)[Math.ceil(values.length * 0.95) - 1]
}
