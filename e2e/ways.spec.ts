import { expect, test } from '@playwright/test'
import { begin, type } from './guidedBench'
import { choose, RunningKitchen, signAs, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('a chef says which school the kitchen follows and reads what that changes; the Bench asks the way it was said', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/methods`)
  await page
    .getByRole('link', { name: /Quince-skin curd/ })
    .last()
    .click()
  const ways = page.getByRole('region', { name: 'How it is made here, and what that changes' })
  await expect(ways).toContainText('On the counter first or cold at once: asked each time.')
  await page.locator('[data-step="cool"]').getByRole('button').first().click()
  await choose(page, 'Off the heat', 'On the counter first')
  await choose(page, 'Covered', 'When set')
  await tap(page, 'Change it')
  await expect(ways).toContainText('Those minutes count in its first clock and are shown')
  await tap(page, 'Save as version 2')
  await tap(page, 'Put version 2 in force')
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Version 2, in force')

  await begin(page, kitchen.url, 'Quince-skin curd')
  await page.keyboard.press('Escape')
  const todo = page.getByRole('region', { name: 'Do this now' })
  await tap(page, 'All combined')
  await expect(todo).toContainText('Read the mixture')
  await type(page, 71.4)
  await tap(page, 'Off the heat')
  await tap(page, 'All clean')
  await tap(page, 'All in')
  await expect(todo).toContainText('On the counter first, as the method says.')
  await tap(page, /^Counter/)
  await kitchen.passes(6, page)
  await type(page, 60.2)
  await tap(page, 'More')
  await tap(page, /^Cooling/)
  await expect(page.getByRole('dialog')).toContainText('6 min on the counter so far: they count in its first clock.')
  await page.context().close()
})
