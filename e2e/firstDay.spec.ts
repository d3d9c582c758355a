import { expect, test, type Page } from '@playwright/test'
import { goTo, RunningKitchen, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open(undefined, ['--empty'])
})
test.afterAll(() => kitchen.close())

/** Types the PIN that the console told once. */
async function sign(page: Page): Promise<void> {
  const [, pin] = /PIN (\d+)/.exec(kitchen.printed)!
  for (const digit of pin!)
    await page.getByRole('region', { name: 'PIN' }).getByRole('button', { name: digit, exact: true }).click()
}

test('an empty kitchen holds nothing that nobody has, and comes to its first proven floor', async ({ browser }) => {
  const page = await (await browser.newContext()).newPage()
  await page.goto(kitchen.url)
  await page.getByRole('button', { name: 'Food-safety lead' }).click()
  await sign(page)
  await tap(page, 'Done')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing on the stove yet.')

  // No eggs, no units, nothing to read with, and no method in force.
  await goTo(page, 'Stock list')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('0 things are held.')
  await page.goto(`${kitchen.url}/start`)
  await expect(page.getByText('This kitchen has no method to start yet.')).toBeVisible()
  await goTo(page, 'Instruments')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Without a probe no reading proves a core.')

  // A code is asked for once, and the lead's PIN; a wrong one registers nothing.
  await tap(page, 'Register it')
  await expect(page.getByRole('alert')).toHaveText('Enter the code written on it, such as P3.')
  await page.getByLabel('Code written on it').fill('P3')
  await tap(page, 'Register it')
  for (const digit of '111222')
    await page.getByRole('region', { name: 'PIN' }).getByRole('button', { name: digit, exact: true }).click()
  await expect(page.getByRole('dialog')).toContainText('Wrong PIN')
  await sign(page)
  await expect(page.getByRole('region', { name: 'Registered' })).toContainText('P3Penetration probe')
  await page.getByLabel('Code written on it').fill('P3')
  await tap(page, 'Register it')
  await expect(page.getByRole('alert')).toHaveText('P3 is registered already.')

  await page.goto(`${kitchen.url}/methods`)
  await page.getByRole('link', { name: 'Rye-malt custard' }).click()
  await tap(page, 'Put version 1 in force')
  await sign(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Version 1, in force')
  await page.goto(`${kitchen.url}/start`)
  await page.getByRole('radio', { name: /Rye-malt/ }).click()
  await tap(page, /^Start \d/)
  await tap(page, 'It is hot')
  await tap(page, 'All combined')
  await tapReading(page, 80.3)
  await expect(page.locator('[data-check="egg"]')).toHaveAttribute('data-standing', 'proven')
  await page.context().close()
})
