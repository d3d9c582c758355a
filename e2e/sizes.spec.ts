import { expect, test } from '@playwright/test'
import { RunningKitchen } from './kitchen'
import { faults, openView, PATHS } from './views'

/** Every view, on a tablet and a phone each day; on every size in a full run. 640 by 400 is a small screen at twice the zoom. */
const DAILY = [
  [1280, 800],
  [390, 844],
] as const
const ALL = [...DAILY, [800, 1280], [1600, 1000], [640, 400]] as const
const SIZES = Number(process.env.LT_TIMES ?? 1) > 1 ? ALL : DAILY

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('on every view and size nothing is off the side, covered, or too small to tap', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  const found: string[] = []
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    for (const path of PATHS) {
      await openView(page, `${kitchen.url}${path}`)
      for (const fault of await faults(page)) found.push(`${width}x${height} ${path}: ${fault}`)
    }
  }
  expect(found).toEqual([])
  await page.context().close()
})
