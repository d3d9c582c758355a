import { expect, test, type Page } from '@playwright/test'
import { RunningKitchen, signAs, tap, tapReading, typeDay } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const title = (page: Page) => page.getByRole('heading', { level: 1 })
const egg = (page: Page) => page.locator('[data-check="egg"]')

/** Rye-malt custard over the heat, every egg in it: its address on the Bench. */
async function begin(page: Page): Promise<string> {
  await page.goto(`${kitchen.url}/start`)
  await page.getByRole('radio', { name: /Rye-malt/ }).click()
  await tap(page, /^Start \d/)
  await tap(page, 'It is hot')
  await tap(page, 'All combined')
  return page.url()
}

/** Three readings, stirred and waited for in between as the program asks. */
async function readThreeTimes(page: Page, shown: string): Promise<void> {
  await tap(page, 'It is ready')
  for (let i = 0; i < 3; i++) {
    await kitchen.passes(0.6, page)
    await expect(page.getByText('Read it now')).toBeVisible()
    await page.getByRole('button', { name: shown, exact: true }).click()
  }
}

test('a new probe proves nothing before its first check; when it fails it takes its batches with it, and the lead decides each', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  const first = await begin(page)
  await page.getByRole('button', { name: /^P2, core/ }).click()
  await page.getByRole('dialog').getByRole('button', { name: /^P5/ }).click()
  await expect(page.getByRole('button', { name: /^P5, core/ })).toContainText('never checked, proves nothing')
  await tapReading(page, 80.3)
  await expect(egg(page)).not.toHaveAttribute('data-standing', 'proven')

  // The most urgent is on top; P5 asks for its first check.
  await page.goto(`${kitchen.url}/instruments`)
  await expect(title(page)).toContainText('P4 failed.')
  await tap(page, /^First check/)
  await expect(title(page)).toContainText('P5 in ice.')

  // Three taps in a row are one reading: asked about, not refused.
  await tap(page, 'It is ready')
  await page.getByRole('button', { name: '0.2', exact: true }).click()
  await expect(page.getByRole('alert')).toContainText('It has been in for')
  await tap(page, 'I’ll wait')
  for (const shown of ['0.2', '0.3', '0.9']) {
    await kitchen.passes(0.6, page)
    await page.getByRole('button', { name: shown, exact: true }).click()
  }
  await expect(page.getByText('The readings lie 0.7° apart')).toBeVisible()
  await page.getByRole('complementary').getByRole('button', { name: 'Start over' }).click()
  for (const shown of ['0.2', '0.3', '0.2']) {
    await kitchen.passes(0.6, page)
    await page.getByRole('button', { name: shown, exact: true }).click()
  }
  await expect(page.getByText('P5 passes: +0.2° out')).toBeVisible()
  await tap(page, 'Log the check')
  await expect(page.getByRole('region', { name: 'P5, Core probe' })).toContainText('reads 0.2° high')

  // What it reads from now on proves, less what it reads too high; what it read before does not.
  await page.goto(first)
  await expect(egg(page)).not.toHaveAttribute('data-standing', 'proven')
  await tapReading(page, 80.3)
  await expect(egg(page)).toHaveAttribute('data-standing', 'proven')
  const pots = [first]
  for (const hottest of [84.3, 71.2]) {
    pots.push(await begin(page))
    await tapReading(page, hottest)
    await expect(egg(page)).toHaveAttribute('data-standing', 'proven')
  }

  // It falls: due at once, marked, and still counted.
  await page.goto(`${kitchen.url}/instruments`)
  await page.getByRole('link', { name: 'Open P5' }).click()
  await tap(page, 'It fell')
  await expect(title(page)).toContainText('readings count, and are marked')
  await tap(page, 'Check it')
  await readThreeTimes(page, '1.6')
  await expect(page.getByText('P5 fails: +1.6° out')).toBeVisible()
  await tap(page, 'Log it as failed')

  // All three are listed, most serious first; none of them is proven any more.
  await expect(title(page)).toContainText('in doubt')
  await expect(page.getByRole('region', { name: /Rye-malt custard/ })).toHaveCount(1)
  await expect(page.getByText('2 hold even 1.6° the wrong way.')).toBeVisible()
  await page.goto(pots[1]!)
  await expect(egg(page)).toHaveAttribute('data-standing', 'open')
  await page.goBack()
  await page.close()

  // The lead lets the rest count, with a reason and a PIN; too short a reason is none.
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  const failed = lead.getByRole('region', { name: 'P5 failed its check.' })
  await expect(failed).toContainText('3 things wait for the lead')
  await failed.getByRole('button', { name: 'Look back' }).click()
  await tap(lead, 'Let the 2 count')
  await tap(lead, 'Sign')
  await expect(lead.getByRole('alert')).toContainText('Give a reason')
  const letCount = async () => {
    await lead.getByLabel('Reason').fill('it fell after all of them, two saw it')
    await tap(lead, 'Sign')
    await signAs(lead, 'Ilse Varrow')
    await expect(lead.getByRole('dialog')).toHaveCount(0)
  }
  await letCount()
  await tap(lead, /^Let it count, /)
  await letCount()
  await expect(title(lead)).toContainText('All are decided.')
  await lead.goto(pots[1]!)
  await expect(egg(lead)).toHaveAttribute('data-standing', 'proven')
  await lead.close()
})

test('a laboratory’s certificate is entered line by line, shows how far it is out, and counts from then on', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.goto(`${kitchen.url}/instruments`)
  await page
    .getByRole('link', { name: /^Open P1/ })
    .first()
    .click()
  await tap(page, 'Enter a certificate')
  const sheet = page.getByRole('dialog', { name: 'Certificate of P1' })
  await sheet.getByRole('button', { name: 'Log the certificate' }).click()
  await expect(sheet.getByText('Say who issued it.')).toBeVisible()
  await expect(sheet.getByText('Give the day on which it was calibrated')).toBeVisible()
  await sheet.getByLabel('Laboratory').fill('Tarn Calibration')
  await sheet.getByLabel('Number of the certificate').fill('P-118')
  await typeDay(page, 'Day of the calibration', new Date(Date.now() - 3 * 86_400_000).toISOString().slice(0, 10))
  await sheet.getByLabel('It really was').fill('60')
  await sheet.getByLabel('This thermometer showed').fill('60.4')
  await expect(sheet.getByRole('status')).toContainText('Passed: out by +0.4° at 60.0°')
  await sheet.getByRole('button', { name: 'Log the certificate' }).click()
  const row = page.getByRole('row').filter({ hasText: 'Tarn Calibration P-118, at 60.0°' })
  await expect(row).toContainText('Passed')
  await row.click()
  await expect(page.getByText('Entered off the laboratory’s certificate.')).toBeVisible()
  await page.context().close()
})
