// npm run bench -- idle: what a tablet's main thread does in a second while nobody touches it, with some 25 batches at the stove
// and 500 items in the cold. Chromium counts it (TaskDuration of its performance metrics, over half a minute a view).
import { atMost, taskMs, URL, withTablet } from './tablet.mjs'

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
  return withTablet(env, 2, async ({ page }) => {
    const metrics = await page.context().newCDPSession(page)
    await metrics.send('Performance.enable', { timeDomain: 'threadTicks' })
    let met = true
    for (const [name, path] of VIEWS) {
      await page.goto(`${URL}${path ?? ''}`)
      if (path === null) await page.locator('.line-name').first().click()
      await page.waitForTimeout(SETTLES)
      const before = await taskMs(metrics)
      await page.waitForTimeout(SECONDS * 1000)
      met = atMost(`idle: ${name}, ms of each second`, ((await taskMs(metrics)) - before) / SECONDS, MOST) && met
    }
    return met ? 0 : 1
  })
}
