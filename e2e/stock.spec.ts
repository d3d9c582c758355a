import { readFileSync } from 'node:fs'
import { expect, test, type Page } from '@playwright/test'
import { RunningKitchen, sent, signAs, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const heading = (page: Page) => page.getByRole('heading', { level: 1 })

test('the list answers what is held without an allergen, for a diet, by code, and what is gone', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.goto(`${kitchen.url}/store/list`)
  const rows = page.locator('[role="region"][aria-label="What is held"] tbody tr')
  await expect(heading(page)).toContainText('things are held')
  const all = await rows.count()
  await tap(page, 'no milk')
  await expect(heading(page)).toContainText(/^\d+ of \d+ things. Without milk/)
  expect(await rows.count()).toBeLessThan(all)
  await expect(rows.filter({ hasText: 'Whipping cream' })).toHaveCount(0)
  await expect(rows.filter({ hasText: 'Rhubarb jelly layer' })).toHaveCount(1)
  // Nobody knows what is in it: it is not shown as without anything.
  await expect(rows.filter({ hasText: 'Tub without a label' })).toHaveCount(0)
  await tap(page, 'no milk')
  await tap(page, 'vegan')
  await expect(rows.filter({ hasText: 'Chicory pastry cream' })).toHaveCount(0)
  await tap(page, 'vegan')
  await expect(rows).toHaveCount(all)

  // By its first word what goes first stands first; by its name it is in the order of names.
  await tap(page, 'Item')
  const names = await rows.locator('th').allInnerTexts()
  expect(names).toEqual([...names].sort((a, b) => a.localeCompare(b)))

  const find = page.getByLabel('Name, code or place')
  await find.fill('chest freezer')
  await expect(rows).toHaveCount(1)
  await find.fill('l311')
  await find.press('Enter')
  await expect(heading(page)).toContainText('Whipping cream 36 %')
  await page.context().close()
})

test('what was used up is found again, and nothing more can be done with it', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.goto(`${kitchen.url}/store/list`)
  await page
    .locator('[role="region"][aria-label="What is held"]')
    .getByRole('link', { name: 'Elderflower posset', exact: true })
    .click()
  await tap(page, 'Sold, served')
  await tap(page, /^All of it/)
  await expect(page.getByText('All of it was used.')).toBeVisible()
  // What is not sent yet does not outlive its page.
  await sent(page)
  await page.goto(`${kitchen.url}/store/list`)
  await page.getByLabel('Name, code or place').fill('posset')
  const gone = page.getByRole('region', { name: 'Gone' })
  await gone.getByRole('link').first().click()
  await expect(page.getByText('All of it was used.')).toBeVisible()
  for (const name of ['Move', 'Split', 'Sold, served', 'Discard'])
    await expect(page.getByRole('button', { name, exact: true })).toBeDisabled()
  await page.context().close()
})

test('labels are printed on the paper that is chosen, and every printing is counted', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.goto(`${kitchen.url}/store/list`)
  await page
    .locator('[role="region"][aria-label="What is held"]')
    .getByRole('link', { name: 'Whipping cream 36 %' })
    .click()
  const label = page.getByRole('region', { name: 'Label' })
  await expect(label).toContainText('not printed yet')
  await label.getByRole('button', { name: 'A4, 24' }).click()
  await label.getByRole('button', { name: 'Copies: more' }).click()
  const printed = page.context().waitForEvent('request', (request) => request.url().includes('/api/labels/sheet.pdf'))
  await tap(page, 'Print labels')
  const url = (await printed).url()
  expect(url).toContain('copies=2&paper=a4')
  const pdf = await page.request.get(url)
  expect(pdf.headers()['content-type']).toContain('application/pdf')
  expect((await pdf.body()).subarray(0, 5).toString()).toBe('%PDF-')
  await expect(label).toContainText('2 printed')
  await tap(page, 'Print again')
  await expect(label).toContainText('4 printed')
  await page.context().close()
})

test('the list goes out as a file, the dates as a calendar whose address only the lead gives anew', async ({
  browser,
}) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await cook.goto(`${kitchen.url}/store/list`)
  const download = cook.waitForEvent('download')
  await cook.getByRole('button', { name: 'Save as CSV' }).click()
  const csv = readFileSync(await (await download).path(), 'utf8')
  expect(csv).toContain('Chicory pastry cream')
  expect(csv.split('\n').length).toBeGreaterThan(10)
  const address = await cook.getByLabel(/^Calendar of last days/).inputValue()
  const calendar = await (await cook.request.get(address)).text()
  expect(calendar).toContain('BEGIN:VCALENDAR')
  expect(calendar).toContain('Chicory pastry cream')
  await expect(cook.getByRole('button', { name: 'Another address: the lead gives it' })).toBeDisabled()

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/store/list`)
  await tap(lead, 'Another address')
  await expect(lead.getByLabel(/^Calendar of last days/)).not.toHaveValue(address)
  expect((await lead.request.get(address)).status()).toBe(404)
  await cook.context().close()
  await lead.context().close()
})

test('on a phone the cold store is worked by a thumb, nothing off the side', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Teo Brandt')
  await page.setViewportSize({ width: 390, height: 844 })
  for (const path of ['', '/list', '/round', '/bin', '/receive']) {
    await page.goto(`${kitchen.url}/store${path}`)
    await heading(page).waitFor()
    await page.waitForTimeout(300)
    expect(await page.evaluate(() => document.documentElement.scrollWidth), path).toBeLessThanOrEqual(390)
  }
  await page.goto(`${kitchen.url}/store/round`)
  await expect(page.getByRole('button', { name: '3', exact: true })).toBeVisible()
  expect(await tapReading(page, 3.1)).toBe(2)
  await page.goto(`${kitchen.url}/store`)
  await page.locator('.store-row').filter({ hasText: 'Rhubarb jelly layer' }).getByRole('link').first().click()
  await heading(page).waitFor()
  const keys = page.getByRole('region', { name: 'What can be done' }).getByRole('button')
  await expect(keys.first()).toBeVisible()
  for (const key of await keys.all()) {
    const box = (await key.boundingBox())!
    expect(box.height).toBeGreaterThanOrEqual(56)
    expect(box.x + box.width).toBeLessThanOrEqual(390)
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page.context().close()
})

test('what the lead looked at goes on with a reason in writing; what is past its day does not', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/store/list`)
  await page
    .locator('[role="region"][aria-label="What is held"]')
    .getByRole('link', { name: 'Chicory pastry cream' })
    .click()
  await tap(page, 'Hold')
  await tap(page, 'Looks or smells wrong')
  await expect(heading(page)).toContainText('do not use')
  // As a plan it is shut; what has happened can be said.
  await expect(page.getByRole('button', { name: 'Sold, served' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Sold already' })).toBeEnabled()
  await tap(page, 'The lead decides')
  await page.getByRole('dialog').getByRole('textbox').first().fill('Smelled and tasted by two, nothing wrong with it')
  await signAs(page, 'Ilse Varrow')
  await expect(heading(page)).not.toContainText('do not use')

  await page.goto(`${kitchen.url}/store/list`)
  await page
    .locator('[role="region"][aria-label="What is held"]')
    .getByRole('link', { name: 'Quince-skin curd' })
    .click()
  await expect(heading(page)).toContainText('Ran out at the end of')
  for (const name of ['Move', 'Split', 'Put out for service', 'Freeze'])
    await expect(page.getByRole('button', { name, exact: true })).toBeDisabled()
  await expect(page.getByRole('button', { name: 'The lead decides' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: 'Discard' })).toBeEnabled()
  await page.context().close()
})
