import { expect, test, type Page } from '@playwright/test'
import { RunningKitchen, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen

/** Counts every touch of a tablet, from the Line on. */
async function counted(page: Page): Promise<() => Promise<number>> {
  await page.evaluate(() => {
    const counting = window as unknown as { taps: number }
    counting.taps = 0
    window.addEventListener('pointerdown', () => counting.taps++, { capture: true })
  })
  return () => page.evaluate(() => (window as unknown as { taps: number }).taps)
}

async function start(page: Page, method: RegExp) {
  await tap(page, 'Start a batch')
  await page.getByRole('radio', { name: method }).click()
  await tap(page, /^Start \d/)
}

/** Eggs by their shell lot, as many as the method says; what is left over is kept or goes. */
async function cracks(page: Page, left: 'Keep it, dated' | 'Into the bin') {
  await tap(page, 'Choose the lot')
  await tap(page, /T-2207/)
  await tap(page, /^Good: \d+, as the method says$/)
  await tap(page, left)
  await tap(page, 'Every lot is named. Back to the pot')
}

/** Somebody is at the tablet now and then: it does not lock. */
async function waits(page: Page, minutes: number) {
  for (let left = minutes; left > 0; left -= 50) await kitchen.passes(Math.min(left, 50), page)
}

async function reads(page: Page, ...readings: [after: number, celsius: number][]) {
  for (const [after, celsius] of readings) {
    await waits(page, after)
    await tapReading(page, celsius)
  }
}

/** All of it, to where it belongs, with its label. */
async function putAway(page: Page) {
  await tap(page, 'Put it away')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^All \d+ portions/ })
    .click()
  const label = page.getByRole('region', { name: 'Label', exact: true })
  const printed = page.waitForEvent('popup')
  await label.getByRole('button', { name: 'Print labels' }).click()
  await (await printed).close()
  await expect(label).toContainText('1 printed')
}

const stories: { name: string; most: number; made: (page: Page) => Promise<void> }[] = [
  {
    name: 'a custard',
    most: 35,
    async made(page) {
      await start(page, /Lemon-thyme pouring/)
      await reads(page, [6, 82.1])
      await tap(page, 'It is hot')
      await cracks(page, 'Into the bin')
      await tap(page, 'All clean')
      await tap(page, 'All combined')
      await reads(page, [4, 71.2])
      await tap(page, 'Off the heat')
      await tap(page, 'All clean')
      await tap(page, 'Strained')
      await tap(page, /^Ice bath \+ stir/)
      await tap(page, 'Film on the surface')
      await reads(page, [6, 56.9], [40, 20.4], [120, 4.6])
    },
  },
  {
    name: 'a set cream',
    most: 20,
    async made(page) {
      await start(page, /Buttermilk panna cotta/)
      await kitchen.passes(6, page)
      await tap(page, 'It is ready')
      await reads(page, [8, 61.4])
      await tap(page, 'It is hot')
      await tap(page, /^Ice bath \+ stir/)
      await reads(page, [18, 19.2], [200, 4.1])
      await waits(page, 60)
      await tap(page, 'It is ready')
    },
  },
  {
    name: 'a raw mousse',
    most: 22,
    async made(page) {
      await start(page, /Bitter-orange mousse/)
      await tap(page, 'It is ready')
      await tap(page, 'Whipped')
      await cracks(page, 'Keep it, dated')
      await tap(page, 'All clean')
      await tap(page, 'Folded together')
      await tap(page, /^Ice bath/)
      await tap(page, 'Film on the surface')
      await reads(page, [150, 4.4])
    },
  },
  {
    name: 'a posset',
    most: 22,
    async made(page) {
      await start(page, /Elderflower posset/)
      await reads(page, [8, 88.4])
      await tap(page, 'It is hot')
      await tap(page, 'All in')
      await tap(page, /^Ice bath \+ stir/)
      await tap(page, 'Film on the surface')
      await reads(page, [8, 56.8], [40, 20.2], [120, 4.4])
    },
  },
  {
    name: 'a curd',
    most: 32,
    async made(page) {
      await start(page, /Quince-skin curd/)
      await cracks(page, 'Into the bin')
      await tap(page, 'All combined')
      await reads(page, [8, 71.6])
      await tap(page, 'Off the heat')
      await tap(page, 'All clean')
      await tap(page, 'All in')
      await tap(page, /^Ice bath \+ stir/)
      await tap(page, 'Film on the surface')
      await reads(page, [6, 56.9], [40, 20.4], [120, 4.6])
    },
  },
  {
    name: 'a churned base',
    most: 40,
    async made(page) {
      await start(page, /Buttermilk-fig churned base/)
      await reads(page, [8, 82.2])
      await tap(page, 'It is hot')
      await cracks(page, 'Into the bin')
      await tap(page, 'All clean')
      await tap(page, 'All combined')
      await reads(page, [4, 82.1])
      await tap(page, 'Off the heat')
      await tap(page, 'All clean')
      await tap(page, /^Ice bath \+ stir/)
      await tap(page, 'Film on the surface')
      await reads(page, [6, 56.9], [40, 20.4], [120, 4.6])
      await waits(page, 600)
      await tap(page, 'It is ready')
      await tap(page, 'Washed since')
      await tap(page, 'Churned')
    },
  },
]

// Eggs are taken before hours pass in which nobody looks at their refrigerator: then they are read first.
for (const some of [stories.slice(0, 2), stories.slice(2, 4), stories.slice(4, 5), stories.slice(5)])
  test.describe(some.map(({ name }) => name).join(', '), () => {
    test.beforeAll(async () => {
      kitchen = await RunningKitchen.open()
    })
    test.afterAll(() => kitchen.close())
    for (const { name, most, made } of some)
      test(`${name}, from its start to its label, in at most ${most} taps`, async ({ browser }) => {
        const page = await kitchen.person(browser, 'Mina Osk')
        const taps = await counted(page)
        await made(page)
        await putAway(page)
        const count = await taps()
        console.log(`${name}: ${count} taps of at most ${most}`)
        expect(count).toBeLessThanOrEqual(most)
        await page.context().close()
      })
  })
