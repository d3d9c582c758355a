import { expect, test, type Browser, type Page } from '@playwright/test'
import { expectAccessible } from './accessible'
import { goTo, RunningKitchen, sent, signAs, tap, tapReading, type PINS } from './kitchen'

let kitchen: RunningKitchen
test.describe.configure({ mode: 'serial' })
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const person = (browser: Browser, name: keyof typeof PINS) => kitchen.person(browser, name)
const slab = (page: Page) => page.getByRole('region', { name: 'Do this now' })
const begin = async (page: Page, dish: string) => {
  await page.goto(`${kitchen.url}/start`)
  await page.getByRole('radio', { name: dish }).click()
  await page.getByRole('button', { name: /^Start \d/ }).click()
  await expect(page.getByRole('region', { name: /Degree board/ })).toBeVisible()
}
const signedFor = async (page: Page, method: string) => {
  await page.goto(`${kitchen.url}/methods`)
  await page.getByRole('link', { name: method }).first().click()
  await tap(page, 'Signed for it')
}

test('three bakes read in the middle validate it; then oven, minutes and look close it, and no probe', async ({
  browser,
}) => {
  const page = await person(browser, 'Noor Hallet')
  const bake = async (core: number | null) => {
    await begin(page, 'Walnut crumb sheet')
    await tap(page, 'Whipped')
    await tap(page, 'Folded together')
    await tap(page, 'Into the oven')
    await kitchen.passes(20, page)
    if (core !== null) {
      await tapReading(page, core)
      await expect(page.getByText(`${core}°C logged`)).toBeVisible()
    }
    await tap(page, /^Out, oven at 180°/)
    await expect(page.getByRole('button', { name: /^Out, oven at 180°/ })).toHaveCount(0)
  }
  for (const core of [94.2, 95.1, 93.6]) await bake(core)
  // What was tapped is sent before anybody else looks.
  await kitchen.passes(1, page)

  const lead = await person(browser, 'Ilse Varrow')
  await signedFor(lead, 'Walnut crumb sheet')
  await expect(lead.getByText('Not validated: each one is read in the middle.')).toBeVisible()
  await tap(lead, 'Validate a bake')
  await expect(lead.getByText('Choose three bakes, or name the study.')).toBeVisible()
  const shown = lead.getByRole('group', { name: 'Bakes that were read' }).getByRole('button')
  await expect(shown).toHaveCount(3)
  for (const i of [0, 1, 2]) await shown.nth(i).click()
  await expect(lead.getByText('What does it look like when it is done?')).toBeVisible()
  await lead.getByLabel('Done when it is').fill('golden, and springs back')
  await expectAccessible(lead)
  await tap(lead, 'Sign it')
  await signAs(lead, 'Ilse Varrow')
  await expect(lead.getByText('Validated by 3 bakes read at 90 °C')).toBeVisible()

  await begin(page, 'Walnut crumb sheet')
  await tap(page, 'Whipped')
  await tap(page, 'Folded together')
  await tap(page, 'Into the oven')
  await expect(slab(page)).toContainText('Leave it in the oven')
  await kitchen.passes(21, page)
  await expect(slab(page)).toContainText('Out when it is golden, and springs back')
  await tap(page, /^Out, oven at 180°/)
  await expect(page.getByRole('region', { name: 'Proven' })).toContainText('Keep it dry')
  await expect(page.locator('[data-check="egg"]')).toContainText('Not read in the middle')
  await page.context().close()
  await lead.context().close()
})

test('sold out of a hold: it is listed, what is made with it stands still, and the lead answers', async ({
  browser,
}) => {
  const page = await person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/store`)
  const row = (name: string) => page.locator('.store-row', { hasText: name, hasNotText: '+' })
  await row('Rhubarb jelly').first().locator('a').click()
  await tap(page, 'Hold')
  await tap(page, 'Looks or smells wrong')
  await tap(page, 'Sold already')
  await tap(page, /^All of it/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'It went out against a hold or a limit: 340 g sold',
  )
  await sent(page)
  await page.goto(`${kitchen.url}/store`)
  await expect(row('Orchard trifle').first()).toContainText('Do not use')
  await expect(row('Orchard trifle').first()).toContainText(/\d-2a is in it/)
  await row('Orchard trifle').first().locator('a').click()
  await expect(page.getByRole('button', { name: 'Sold, served' })).toHaveCount(0)

  await page.goto(`${kitchen.url}/store`)
  await row('Rhubarb jelly').first().locator('a').click()
  await tap(page, 'The lead decides')
  await page.getByRole('textbox').fill('The table was asked, and nothing was eaten of it')
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('It went out')
  await page.context().close()
})

test('under a rule set with guidance the lead signs a line for one method; start and record show both', async ({
  browser,
}) => {
  const page = await person(browser, 'Ilse Varrow')
  await goTo(page, 'Limits')
  await tap(page, 'Food Code 2022')
  await tap(page, /^England 2013/)
  await tap(page, /Put it in force/)
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('England 2013 is in force')
  await signedFor(page, 'Rye-malt custard')
  await tap(page, 'Sign a line of the house')
  await page.getByLabel(/^At most/).fill('400')
  await expect(page.getByText('More than 90 and at most 360 minutes.')).toBeVisible()
  await page.getByLabel(/^At most/).fill('180')
  await page.getByLabel('Why').fill('Deep pans, read every half hour')
  await tap(page, 'Sign it')
  await signAs(page, 'Ilse Varrow')
  const both = '8° within 3 h of 63°, in place of 8° within 90 min of 63°'
  await expect(page.getByRole('dialog')).toContainText(both)
  await page.goto(`${kitchen.url}/start`)
  await page.getByRole('radio', { name: 'Rye-malt custard' }).click()
  await expect(page.getByRole('list', { name: 'Limits' })).toContainText(both)
  await expect(page.getByRole('list', { name: 'Limits' })).toContainText('in place of Industry and agency guidance')
  await page.context().close()
})

test('a document lets it keep by its pH: the lead signs it, and each batch waits for its own figure', async ({
  browser,
}) => {
  const lead = await person(browser, 'Ilse Varrow')
  await signedFor(lead, 'Quince-skin curd')
  await expect(lead.getByText('“Keeps three weeks” on paper is no document.')).toBeVisible()
  await tap(lead, 'Attach a document')
  await expect(lead.getByText('A study of the house shortens its days.')).toBeVisible()
  await tap(lead, 'A product assessment')
  await expect(lead.getByText('Who issued it, and its number.')).toBeVisible()
  await lead.getByLabel('Issued by').fill('Quay Row laboratory')
  await lead.getByLabel('Its number').fill('QR-120')
  await lead.getByLabel('pH at most').fill('4,2')
  await lead.getByLabel('Days it keeps, day 1 = made').fill('12')
  await lead.getByLabel(/^How it is measured/).fill('of the cooled custard, stirred')
  await expectAccessible(lead)
  await tap(lead, 'Sign it')
  await signAs(lead, 'Ilse Varrow')
  await expect(
    lead.getByText(/A product assessment, Quay Row laboratory QR-120: pH at most 4.2, 12 days/),
  ).toBeVisible()

  const page = await person(browser, 'Noor Hallet')
  await begin(page, 'Quince-skin curd')
  await tap(page, 'More')
  await page.getByRole('button', { name: /^pH/ }).click()
  await expect(page.getByText('A document holds for this method.')).toBeVisible()
  await page.getByLabel('pH of the product').fill('4.0')
  await page.getByLabel('Meter in buffer 4.01').fill('4.02')
  await page.getByLabel('Meter in buffer 7.00').fill('7.0')
  await page.getByLabel('Which meter').fill('M1')
  await tap(page, 'Log it')
  await expect(page.getByText('every gate first, then its pH. Until then nothing changes.')).toBeVisible()
  await page.context().close()
  await lead.context().close()
})
