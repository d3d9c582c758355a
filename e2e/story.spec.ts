import { expect, test, type Browser, type Page, type Route } from '@playwright/test'
import { inMenu, PINS, RunningKitchen, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen
test.describe.configure({ mode: 'serial' })
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const person = (browser: Browser, name: keyof typeof PINS) => kitchen.person(browser, name)

const standing = (page: Page, check: string) => page.locator(`[data-check="${check}"]`)

test('the demo shows a batch at every stage, the most urgent first', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('One batch to rescue.')
  const rows = page.locator('[data-batch]')
  await expect(rows).toHaveCount(10)
  await expect(rows.first()).toContainText('Bay-leaf pouring custard')
  await expect(rows.filter({ hasText: 'Rye-malt' }).getByRole('status')).toHaveText('Not proven')
  await expect(rows.filter({ hasText: 'Smoked-honey' }).getByRole('status')).toHaveText('Missed')
  await expect(rows.filter({ hasText: 'Toasted-barley' }).getByRole('status')).toHaveText('Proven')
  await expect(rows.filter({ hasText: 'Quince-skin' })).toContainText('Use it today')
  await page.context().close()
})

/** Enters readings near `top` on one tablet, each once the other has painted the one before: no pan changes faster. */
async function paintedOn(other: Page, cook: Page, top: number, count: number): Promise<void> {
  for (let i = 0; i < count; i++) {
    const value = (top - (i % 10) / 10).toFixed(1)
    await cook.keyboard.type(value)
    await cook.keyboard.press('Enter')
    await expect(standing(other, 'cool-first').locator('.sentence')).toContainText(`${value}°`)
  }
}

test('the second tablet paints every entry as it is made', async ({ browser }) => {
  const cook = await person(browser, 'Mina Osk')
  const other = await person(browser, 'Teo Brandt')
  for (const page of [cook, other]) {
    await page.locator('.line-name', { hasText: 'Bay-leaf' }).click()
    // A number typed before the board is there goes nowhere.
    await page.getByRole('region', { name: /Degree board/ }).waitFor()
  }
  await kitchen.passes(10, cook, other)
  await paintedOn(other, cook, 32.9, 30)
  await cook.context().close()
  await other.context().close()
})

test('a batch from the stove to its discard date, seen from a second tablet, and again after a restart', async ({
  browser,
}) => {
  const cook = await person(browser, 'Mina Osk')
  const other = await person(browser, 'Teo Brandt')

  await cook.getByRole('button', { name: 'Start a batch' }).click()
  await cook.getByRole('radio', { name: /Rye-malt/ }).click()
  await cook.getByRole('button', { name: /^Start \d/ }).click()
  await expect(cook.getByRole('heading', { level: 1 })).toHaveText('Rye-malt custard')
  const code = (await cook.locator('.bench-code').innerText()).split(' ')[0]!
  await other.locator(`[data-batch="${code}"]`).locator('.line-name').click()

  // Milk readings are milk readings.
  await tapReading(cook, 82)
  await expect(standing(cook, 'egg')).toHaveAttribute('data-standing', 'open')
  await expect(standing(cook, 'egg')).toContainText('Milk readings are not the mixture')
  await cook.getByRole('button', { name: 'It is hot' }).click()
  await cook.getByRole('button', { name: 'All combined' }).click()

  expect(await tapReading(cook, 62.4)).toBeLessThanOrEqual(3)
  await expect(standing(cook, 'egg')).toHaveAttribute('data-standing', 'open')
  expect(await tapReading(cook, 64.8)).toBe(2)
  await kitchen.passes(1, cook, other)
  await tapReading(cook, 80.3)
  await expect(standing(cook, 'egg')).toHaveAttribute('data-standing', 'proven')
  await expect(standing(cook, 'egg')).toContainText('3-401.11(A)(2)')
  await expect(cook.locator('.bench-banner')).toContainText('Rye-malt custard')
  await expect(standing(other, 'egg')).toHaveAttribute('data-standing', 'proven')
  const marked = cook.waitForResponse('**/api/entries')
  await cook.getByRole('button', { name: 'Off the heat' }).click()
  await marked

  // Typed on a keyboard: the two gates. A late answer does not move this tablet's clock: readings keep their order.
  const typed = async (number: string) => {
    await cook.keyboard.type(number)
    await cook.keyboard.press('Enter')
    await expect(cook.getByText(`${Number(number.replace(',', '.')).toFixed(1)}°C logged`)).toBeVisible()
  }
  const late = async (route: Route) => {
    const response = await route.fetch()
    await new Promise((done) => setTimeout(done, 1500))
    await route.fulfill({ response })
  }
  await cook.route('**/api/entries', late, { times: 2 })
  let answers = 0
  cook.on('response', (response) => {
    if (response.url().endsWith('/api/entries')) answers++
  })
  await kitchen.passes(5, cook, other)
  await typed('57')
  await cook.waitForTimeout(1000)
  await typed('56.8')
  // Both are recorded before the clock goes on: what the server hears twenty minutes after it was read is late.
  await expect.poll(() => answers).toBe(2)
  await kitchen.passes(20, cook, other)
  await typed('20.8')
  await kitchen.passes(40, cook, other)
  await typed('4,6')
  for (const page of [cook, other]) {
    await expect(standing(page, 'cool-first')).toHaveAttribute('data-standing', 'proven')
    await expect(standing(page, 'cool-total')).toHaveAttribute('data-standing', 'proven')
    await expect(page.getByRole('region', { name: 'Proven' })).toContainText('Every gate is proven')
  }
  const day = await cook.locator('.slab-slab .slab-big').innerText()
  expect(day).toMatch(/^\w{3} \d{1,2} \w{3}$/)

  await kitchen.stop()
  await cook.keyboard.type('4.2')
  await cook.keyboard.press('Enter')
  await expect(cook.getByText(/1 entry kept/)).toBeVisible()
  await kitchen.startAgain()
  await expect(cook.getByText(/kept$/)).toBeHidden({ timeout: 20_000 })
  await other.reload()
  await expect(other.locator('.slab-slab .slab-big')).toHaveText(day)
  await other.getByRole('button', { name: 'Readings' }).click()
  await expect(other.getByText('4.2°C')).toBeVisible()
  await cook.context().close()
  await other.context().close()
})

test('undo, a correction with its reason, and a reading moved to the right pot', async ({ browser }) => {
  const page = await person(browser, 'Teo Brandt')
  await page.locator('.line-name', { hasText: 'Sea-buckthorn' }).click()
  const last = page.locator('[data-check="cool-first"] .sentence')
  const before = await last.innerText()
  await tapReading(page, 29.5)
  await expect(last).toContainText('29.5°')
  await page.getByRole('button', { name: /Undo/ }).click()
  await expect(last).toHaveText(before)

  await tapReading(page, 24.1)
  await page.getByRole('button', { name: 'Wrong pot' }).click()
  await page.getByRole('button', { name: /Smoked-honey/ }).click()
  await expect(last).toHaveText(before)

  await tapReading(page, 27.2)
  await page.getByRole('button', { name: 'Readings' }).click()
  await expect(page.locator('.bench-readings s').first()).toHaveText(/24\.1°C|29\.5°C/)
  const sheet = page.locator('[role="dialog"]')
  const correct = async (row: number) => {
    await page.getByRole('button', { name: 'Correct' }).nth(row).click()
    await page.getByRole('button', { name: 'Mistyped' }).click()
    await sheet.getByRole('button', { name: '26', exact: true }).click()
    await sheet.getByRole('button', { name: '.3', exact: true }).click()
  }
  await correct(0)
  await expect(page.locator('.bench-readings li', { hasText: '26.3°C' })).toContainText('27.2°C')
  await expect(page.locator('.bench-readings li', { hasText: '26.3°C' })).toContainText('mistyped, Teo Brandt')
  // What was known long ago is not made better by a tap: the lead looks at it first.
  await correct(1)
  await expect(page.locator('.bench-readings li', { hasText: '28.4°C' })).toContainText(
    'a correction waits for the lead',
  )
  await page.context().close()
})

test('a reading without an instrument proves nothing, and the unit is never in doubt', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Lemon-thyme' }).click()
  await page.getByRole('button', { name: /P2, core/ }).click()
  await page.getByRole('button', { name: /No instrument/ }).click()
  await tapReading(page, 82)
  await expect(standing(page, 'egg')).toHaveAttribute('data-standing', 'open')
  await expect(standing(page, 'egg')).toContainText('without an instrument')
  await page.getByRole('button', { name: /proves nothing/ }).click()
  await page.getByRole('button', { name: /P2/ }).click()

  await inMenu(page, 'Show °F')
  await expect(page.getByRole('region', { name: 'Degree board, °F' })).toBeVisible()
  await tapReading(page, 181.4)
  await expect(page.getByText('181.4°F logged')).toBeVisible()
  await expect(standing(page, 'egg')).toHaveAttribute('data-standing', 'proven')
  await page.keyboard.type('900')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert')).toContainText('900 °F is no temperature of a pan')
  await page.keyboard.press('a')
  await expect(page.locator('.board-wrong')).toContainText('"a" is no digit')
  await page.context().close()
})

test('locked, the Line is still read; the lead signs with a PIN', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Smoked-honey' }).click()
  await page.getByRole('button', { name: 'Put on hold' }).click()
  await page.getByRole('button', { name: 'A limit is not proven' }).click()
  for (const digit of '111111') await page.keyboard.press(digit)
  await expect(page.getByRole('alert')).toContainText('Wrong PIN for Ilse Varrow')
  for (const digit of PINS['Ilse Varrow']) await page.keyboard.press(digit)
  await expect(page.getByText('On hold. Do not use')).toBeVisible()
  await inMenu(page, 'Lock')
  await page.getByRole('link', { name: 'Line' }).click()
  await expect(page.getByRole('button', { name: 'Start a batch' })).toBeHidden()
  await expect(page.locator('[data-batch]').first()).toBeVisible()
  await page.context().close()
})

test('on a phone every row of the board is in reach, and a reading takes two taps', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await page.setViewportSize({ width: 390, height: 844 })
  await page.goto(kitchen.url)
  await page.locator('.line-name', { hasText: 'Bay-leaf' }).click()
  const board = page.getByRole('region', { name: /Degree board/ })
  for (const key of await board.locator('.board-degrees .key').all()) {
    const box = (await key.boundingBox())!
    expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(56)
    expect(box.y + box.height).toBeLessThanOrEqual(844 - 56)
  }
  await page.context().close()
})

test('a tablet behind the server sends what it has, and while a pot is on the heat offers the new program only', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Bay-leaf' }).click()
  await page.getByRole('region', { name: /Degree board/ }).waitFor()
  // As if another build had been put on the server since; the reading is on its way while that is heard.
  await page.route('**/api/entries', async (route: Route) => {
    const response = await route.fetch()
    await route.fulfill({ response, headers: { ...response.headers(), 'lt-build': 'another' } })
  })
  let loads = 0
  page.on('load', () => loads++)
  await page.keyboard.type('31.4')
  await page.keyboard.press('Enter')
  await expect(standing(page, 'cool-first').locator('.sentence')).toContainText('31.4°')
  await expect(page.getByRole('button', { name: /Load it/ })).toBeVisible()
  // Nobody touches it, and still it stays: another pot is on the heat.
  await page.waitForTimeout(7000)
  expect(loads).toBe(0)
  await tap(page, /Load it/)
  await expect.poll(() => loads, { timeout: 20_000 }).toBe(1)
  await expect(standing(page, 'cool-first').locator('.sentence')).toContainText('31.4°')
  await page.context().close()
})
