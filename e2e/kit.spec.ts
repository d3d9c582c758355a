import { spawn, type ChildProcess } from 'node:child_process'
import { once } from 'node:events'
import { expect, test } from '@playwright/test'
import { freePort } from '../scripts/freePort.mjs'
import { expectAccessible } from './accessible'
import { faults } from './views'

/** Every piece of the kit in all its states, as the page for developers shows them: by day, at night and in forced colours. */

let server: ChildProcess
let url: string
test.beforeAll(async () => {
  const port = await freePort()
  url = `http://127.0.0.1:${port}/kit`
  const asked = ['node_modules/vite/bin/vite.js', 'web', '--host', '127.0.0.1', '--port', `${port}`, '--strictPort']
  server = spawn(process.execPath, asked, { stdio: ['ignore', 'pipe', 'ignore'] })
  // It tells its address once it answers.
  await once(server.stdout!, 'data')
})
test.afterAll(async () => {
  server.kill('SIGTERM')
  await once(server, 'exit')
})

const LOOKS = [
  { name: 'day', theme: 'light', forced: false },
  { name: 'night', theme: 'dark', forced: false },
  { name: 'forced colours', theme: 'light', forced: true },
]

for (const { name, theme, forced } of LOOKS)
  test(`the kit by ${name} has nothing cut, covered or too small to tap, and is accessible`, async ({ page }, info) => {
    test.setTimeout(180_000)
    if (forced) await page.emulateMedia({ forcedColors: 'active' })
    await page.goto(url)
    // The first time its parts are put together while it opens.
    await expect(page.getByRole('heading', { name: 'Kit', exact: true })).toBeVisible({ timeout: 120_000 })
    await page.evaluate((chosen) => document.documentElement.setAttribute('data-theme', chosen), theme)
    for (const [width, height] of [
      [390, 844],
      [1280, 800],
    ] as const) {
      await page.setViewportSize({ width, height })
      expect(await faults(page)).toEqual([])
    }
    // The colours that are forced are the reader's own, and no rule of ours holds for them.
    if (!forced) await expectAccessible(page)
    const picture = async (of: string) =>
      info.attach(`${of} by ${name}`, { body: await page.screenshot(), contentType: 'image/png' })
    await page.setViewportSize({ width: 1280, height: 2700 })
    await picture('kit')
    await page.setViewportSize({ width: 1280, height: 800 })
    await page.getByRole('button', { name: 'A toast' }).click()
    await picture('toast')
    await page.getByRole('button', { name: 'A sheet' }).click()
    await picture('sheet')
    if (!forced) await expectAccessible(page)
  })
