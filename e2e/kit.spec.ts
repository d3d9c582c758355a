import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { createServer, type ViteDevServer } from 'vite'
import { expectAccessible } from './accessible'
import { faults } from './views'

/** Every piece of the kit in all its states, as the page for developers shows them: by day, at night and in forced colours. */

let server: ViteDevServer
test.beforeAll(async () => {
  const web = join(import.meta.dirname, '../web')
  server = await createServer({
    configFile: join(web, 'vite.config.ts'),
    root: web,
    server: { port: 0, host: '127.0.0.1' },
  })
  await server.listen()
})
test.afterAll(() => server.close())

for (const [name, media] of [
  ['day', { colorScheme: 'light' }],
  ['night', { colorScheme: 'dark' }],
  ['forced colours', { forcedColors: 'active' }],
] as const)
  test(`the kit by ${name} has nothing cut, covered or too small to tap, and is accessible`, async ({ page }, info) => {
    test.setTimeout(180_000)
    await page.emulateMedia(media)
    await page.goto(`${server.resolvedUrls!.local[0]}kit`)
    await expect(page.getByRole('heading', { name: 'Kit', exact: true })).toBeVisible({ timeout: 120_000 })
    for (const [width, height] of [
      [1280, 800],
      [390, 844],
    ] as const) {
      await page.setViewportSize({ width, height })
      expect(await faults(page)).toEqual([])
    }
    await page.getByRole('button', { name: 'A toast' }).click()
    await page.getByRole('button', { name: 'A sheet' }).click()
    await expectAccessible(page)
    await info.attach(`kit by ${name}`, { body: await page.screenshot({ fullPage: true }), contentType: 'image/png' })
  })
