import { expect, test } from '@playwright/test'
import { begin, slab } from './guidedBench'
import { choose, RunningKitchen, signAs, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('what goes in at a step is named with its lots in one tap, the same next time, and a recall finds the batch', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await begin(page, kitchen.url, 'Buttermilk-fig churned base')
  const goesIn = page.getByRole('region', { name: 'Goes in now' })
  await expect(goesIn).toContainText('Whole milk')
  await expect(goesIn).toContainText('2 200 g')
  await tap(page, 'From MK-087, CR-311')
  await expect(goesIn).toContainText('lot MK-087')
  await expect(page.getByText('From lots: Whole milk MK-087, Whipping cream 36 % CR-311').first()).toBeVisible()
  // Another thing in its place says what that brings along.
  await tap(page, 'Name the lots')
  const sheet = page.getByRole('dialog')
  await choose(sheet, /^Glucose syrup/, /^Whole milk MK-087/)
  await expect(sheet).toContainText('That is not what the method names. Its allergens count.')
  await sheet.getByRole('button', { name: 'Not now' }).click()

  // The next batch is offered the same.
  await begin(page, kitchen.url, 'Bay-leaf pouring custard')
  await tap(page, /^From .*MK-087/)
  await expect(goesIn).toContainText('lot MK-087')

  await page.goto(`${kitchen.url}/store/receive`)
  await page.locator('[data-lot="MK-087"] a').click()
  await expect(page.getByRole('table').getByRole('row', { name: /Buttermilk-fig churned base/ })).toHaveCount(1)
  await page.context().close()
})

test('the house may ask for them: then the step waits for no memory', async ({ browser }) => {
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/limits`)
  await tap(lead, 'House practice')
  await tap(lead, 'What needs the cold')
  await tap(lead, 'Put it in force')
  await signAs(lead, 'Ilse Varrow')
  await expect(lead.getByRole('dialog')).toHaveCount(0)
  await begin(lead, kitchen.url, 'Burnt-honey churned base')
  await expect(slab(lead)).toContainText('From which lots does it come?')
  await tap(lead, 'Name the lots')
  await tap(lead, 'In, from these lots')
  await expect(slab(lead)).toContainText('Warm the dairy')
  await lead.context().close()
})
