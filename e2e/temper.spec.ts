import { expect, test } from '@playwright/test'
import { goTo, RunningKitchen } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('ladles without a batch, with a sentence for what is no number', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Noor Hallet')
  await goTo(page, 'Tempering')
  await expect(page.locator('.temper-verdict')).toContainText('All combined it comes to')
  await page.getByLabel('Hot liquid at, °C').fill('warm')
  await expect(page.getByRole('alert')).toContainText('Both temperatures are needed, in °C')
  await page.getByLabel('Hot liquid at, °C').fill('60')
  await expect(page.locator('.temper-verdict')).toContainText('This is not a kill step')
  await page.getByLabel('Yolk, g').fill('0')
  await expect(page.getByRole('alert')).toContainText('numbers above 0')
  await page.context().close()
})
