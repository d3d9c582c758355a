import { expect, test } from '@playwright/test'
import { begin, slab } from './guidedBench'
import { choose, goTo, RunningKitchen, signAs, tap, typeTime } from './kitchen'

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

test('a trace is tried both ways by the clock: begun, ticked, counted and found whole; a complaint walks the same way', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await goTo(page, 'Traces and samples')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/traces? (is|are) due|traced within/)
  await page
    .getByRole('region', { name: /From a thing in the store/ })
    .getByRole('link')
    .first()
    .click()
  const item = page.url()
  await tap(page, 'Try a trace')
  const running = page.getByRole('region', { name: 'Try a trace' })
  await expect(running.getByRole('status')).toContainText('of 60')
  for (const box of await running.getByRole('checkbox').all()) await box.check()
  // What the records say is in the table below; the count itself is asked for without it.
  const row = await page.getByRole('row', { name: /this$/ }).innerText()
  const [, amount, unit] = /([\d.]+) (kg|g|ml|l|portion|piece)/.exec(row.replace(/\d+-\S+|\d+ %/g, ''))!
  const left = String(Number(amount) * (unit === 'kg' || unit === 'l' ? 1000 : 1))
  // Without a count it is shut, and says why.
  await expect(running.getByRole('button', { name: /^End it/ })).toHaveAttribute('aria-disabled', 'true')
  await running.getByLabel(/counted$/).fill(left)
  await running.getByRole('button', { name: /^End it/ }).click()
  await expect(page.getByText(/Found whole in/)).toBeVisible()
  await goTo(page, 'Traces and samples')
  await expect(page.getByRole('row', { name: /found whole/ }).filter({ hasText: '100 %' })).toHaveCount(1)

  // What a guest says of it holds the rest, and is a matter for the lead.
  await page.goto(item)
  await tap(page, 'A complaint about it')
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('In a few words').fill('tasted sour at table 4')
  await typeTime(sheet, 'Time', '12:10')
  await sheet.getByLabel('How many people').fill('2')
  await sheet.getByRole('button', { name: 'Tell it' }).click()
  await expect(sheet).toBeHidden()
  await page.goto(`${kitchen.url}/log/review`)
  const matter = page
    .getByRole('article', { name: /Complaint: tasted sour/ })
    .or(page.getByText(/Complaint: tasted sour/))
  await expect(matter.first()).toBeVisible()
  await expect(page.getByText(/2 people ate it .*12:10/)).toBeVisible()
  await page.context().close()
})
