import { expect, test, type Browser, type Page } from '@playwright/test'
import { expectAccessible } from './accessible'
import { choose, goTo, inMenu, PINS, RunningKitchen, sent, tapReading, typeTime } from './kitchen'

let kitchen: RunningKitchen
test.describe.configure({ mode: 'serial' })
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const person = (browser: Browser, name: keyof typeof PINS) => kitchen.person(browser, name)

const check = (page: Page, key: string) => page.locator(`[data-check="${key}"]`)
const bench = async (page: Page, dish: string) => {
  await page.goto(kitchen.url)
  await page.locator('.line-name', { hasText: dish }).click()
  await expect(page.getByRole('region', { name: /Degree board/ })).toBeVisible()
}
const sign = async (page: Page) => {
  for (const digit of PINS['Ilse Varrow'])
    await page.getByRole('region', { name: 'PIN' }).getByRole('button', { name: digit, exact: true }).click()
}

test('the lead tightens a limit, with its unit and a reason; a batch that has begun keeps its version', async ({
  browser,
}) => {
  const page = await person(browser, 'Ilse Varrow')
  await goTo(page, 'Limits')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    'Food Code 2022 is in force. The house is stricter in one',
  )
  await page.locator('[data-line="cool-first"] button').click()
  await page.getByRole('button', { name: 'Set a house line' }).click()
  const done = page.getByRole('button', { name: 'Into the next version' })
  await expect(done).toBeDisabled()

  // A bare number is asked about; looser asks for a variance.
  await page.getByLabel('To', { exact: true }).fill('80')
  await expect(page.getByText('80: °C or °F?')).toBeVisible()
  await page.getByRole('button', { name: '°F', exact: true }).click()
  await page.getByLabel('Reason', { exact: true }).fill('Warm months')
  await expect(page.getByText('Looser than printed. Who allowed it')).toBeVisible()
  await expect(done).toBeDisabled()
  await page.getByLabel('To', { exact: true }).fill('70 F')
  await page.getByLabel('Minutes', { exact: true }).fill('105')
  await expect(page.getByText('Stricter than printed')).toBeVisible()
  await done.click()
  await page.getByRole('button', { name: 'Put it in force' }).click()
  await expect(page.getByText('Cooling, first stage: 21° within 1 h 45 min of 57°. Warm months.')).toBeVisible()
  await sign(page)
  await expect(page.getByRole('button', { name: 'Version 3' })).toBeVisible()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('stricter in two')
  await page.getByRole('button', { name: 'Version 3' }).click()
  await expect(page.getByRole('region', { name: 'Versions' })).toContainText('Signed by Ilse Varrow')

  await page.getByRole('link', { name: 'Line' }).click()
  await page.getByRole('button', { name: 'Start a batch' }).click()
  await page.getByRole('radio', { name: /Quince-skin/ }).click()
  await expect(page.getByRole('list', { name: 'Limits' })).toContainText('House line version 3, Warm months')
  await page.getByRole('button', { name: /^Start \d/ }).click()
  await expect(check(page, 'house:cool-first')).toBeVisible()
  await bench(page, 'Bay-leaf')
  await expect(check(page, 'cool-first')).toBeVisible()
  await expect(check(page, 'house:cool-first')).toHaveCount(0)
  await page.context().close()
})

test('two rule sets are compared on one batch, also by somebody who may change nothing', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await goTo(page, 'Limits')
  const panel = page.getByRole('region', { name: 'One batch, two rule sets' })
  await choose(panel, 'Batch', /Toasted-barley/)
  await expect(panel.getByRole('status').first()).toHaveText('Proven')
  await expect(panel.getByRole('status').nth(1)).toHaveText('Not proven')
  await expect(panel).toContainText('This rule set sets no number; a house line is needed.')
  await choose(panel, 'Second rule set', /^Food Code 2022/)
  await expect(panel.getByRole('status').nth(1)).toHaveText('Proven')
  await page.locator('[data-line="egg"] button').click()
  await expect(page.getByRole('region', { name: 'Raw egg, cooked' })).toContainText(
    'FDA Food Code 2022, 3-401.11(A)(2)',
  )
  await expect(page.getByRole('button', { name: /house line/ })).toHaveCount(0)
  await inMenu(page, 'Lock')
  await expect(page.getByRole('table')).toContainText('3-501.14(A)(1)')
  await page.context().close()
})

test('a decision follows the force of what is missed or not proven, and is signed with what was seen', async ({
  browser,
}) => {
  const page = await person(browser, 'Ilse Varrow')
  await page.getByRole('button', { name: 'Decide 2' }).click()
  const matters = page.getByRole('listitem').filter({ hasText: 'Smoked-honey' })
  await expect(matters).toContainText('38.4° at')
  await matters.getByRole('button', { name: 'Decide' }).click()
  await page.getByRole('button', { name: 'Release' }).click()
  await expect(page.getByText('A limit of law is missed: it cannot be released.')).toBeVisible()
  await page.getByRole('button', { name: /^(Not now|Done)$/ }).click()

  await bench(page, 'Rye-malt custard')
  await expect(check(page, 'cool-first')).toHaveAttribute('data-standing', 'unproven')
  await check(page, 'cool-first').getByRole('button').click()
  await expect(check(page, 'cool-first')).toContainText(/Would have proven it: a reading at or under 21° by/)
  await expect(check(page, 'cool-first')).toContainText(/It got there somewhere between \d\d:\d\d and \d\d:\d\d/)
  await page.getByRole('button', { name: 'Decide' }).last().click()
  await page.getByRole('button', { name: 'Release' }).click()
  await page.getByLabel('Reason, in writing').fill('fine')
  await expect(page.getByText('write an assessment of at least 20 characters')).toBeVisible()
  await expect(page.getByRole('region', { name: 'PIN' })).toHaveCount(0)
  // Digits in the reason are no PIN.
  await page.getByLabel('Reason, in writing').fill('')
  await page.getByLabel('Reason, in writing').pressSequentially('Stirred, 3 cm deep, read 19.4 after 4071 s')
  await expect(page.getByText('The record will print "not proven".')).toBeVisible()
  await expect(page.getByLabel('0 digits typed')).toBeVisible()
  await sign(page)
  await expect(page.getByRole('region', { name: 'Not proven' })).toContainText('Released: Stirred, 3 cm deep')
  await page.context().close()
})

test('a reading entered late proves nothing until the lead lets it count', async ({ browser }) => {
  const page = await person(browser, 'Ilse Varrow')
  await bench(page, 'Lemon-thyme')
  const when = page.getByRole('button', { name: /taken now|min ago/ })
  while (!(await when.innerText()).includes('4 min')) await when.click()
  await expect(page.getByRole('region', { name: 'Any one row closes the floor' })).toContainText('more')
  await expect(page.getByRole('region', { name: 'Any one row closes the floor' })).toContainText(/\d readings/)
  await tapReading(page, 60.2)
  await expect(page.getByText('60.2°C logged')).toBeVisible()

  await bench(page, 'Sea-buckthorn')
  while (!(await when.innerText()).includes('45 min')) await when.click()
  await tapReading(page, 30)
  await expect(page.getByText('Entered late: it proves nothing until the lead')).toBeVisible()
  await page.getByRole('button', { name: 'Readings' }).click()
  await expect(page.locator('.bench-readings li', { hasText: '30.0°C' })).toContainText('recorded')
  await page.getByRole('button', { name: /^(Not now|Done)$/ }).click()
  await page.goto(kitchen.url)
  await page.getByRole('button', { name: /^Decide/ }).click()
  const row = page.getByRole('listitem').filter({ hasText: 'Sea-buckthorn' })
  await expect(row).toContainText('was entered 45 min after')
  await row.getByRole('button', { name: 'Let it count' }).click()
  await page.getByRole('button', { name: 'Seen on the paper sheet' }).click()
  await sign(page)
  await expect(page.getByText('was entered 45 min after')).toHaveCount(0)
  await bench(page, 'Sea-buckthorn')
  await page.getByRole('button', { name: 'Readings' }).click()
  await expect(page.locator('.bench-readings li', { hasText: '30.0°C' })).toContainText(
    'let count by Ilse Varrow: Seen on the paper sheet',
  )
  await page.context().close()
})

test('a paper sheet is copied by two, with its picture, and counts once the lead has let it', async ({ browser }) => {
  const cook = await person(browser, 'Mina Osk')
  await bench(cook, 'Sea-buckthorn')
  await cook.getByRole('button', { name: 'More', exact: true }).click()
  await cook.getByRole('button', { name: /^From paper/ }).click()
  const sheet = cook.getByRole('dialog', { name: /^Copy a paper sheet/ })
  const first = sheet.getByRole('listitem', { name: 'Line 1' })
  await first.getByLabel('Temperature').fill('29,5')
  await expect(first).toContainText('When was it read?')
  const minuteAgo = new Date(kitchen.now - 60_000).toISOString().slice(11, 16)
  await typeTime(first, 'Time', minuteAgo)
  await expect(first).not.toContainText('When was it read?')
  const picture = await cook.screenshot({ type: 'jpeg' })
  await sheet.getByLabel('Photo').setInputFiles({ name: 'sheet.jpg', mimeType: 'image/jpeg', buffer: picture })
  await expect(sheet.getByRole('img', { name: 'Photo' })).toBeVisible()
  await sheet.getByRole('button', { name: 'All copied' }).click()
  await expect(sheet).toContainText('One reading copied. Somebody else compares them with the sheet')
  await expect(sheet.getByRole('button', { name: /Mina Osk/ })).toHaveCount(0)
  await sheet.getByRole('button', { name: /Teo Brandt/ }).click()
  const pin = async (digits: string) => {
    for (const digit of digits) await sheet.getByRole('button', { name: digit, exact: true }).click()
  }
  await pin('0000')
  await expect(sheet.getByRole('alert')).toBeVisible()
  await pin(PINS['Teo Brandt'])
  await expect(sheet).toHaveCount(0)

  const page = await person(browser, 'Ilse Varrow')
  await page.getByRole('button', { name: /^Decide/ }).click()
  const row = page.getByRole('listitem').filter({ hasText: 'Sea-buckthorn' })
  // However soon it was copied.
  await expect(row).toContainText('was copied from paper: until the lead lets it count it betters nothing.')
  const sheetOf = await row.getByRole('link', { name: 'The sheet' }).getAttribute('href')
  const shown = await page.request.get(new URL(sheetOf!, kitchen.url).href)
  expect(shown.headers()['content-type']).toBe('image/jpeg')
  await row.getByRole('button', { name: 'Let it count' }).click()
  await page.getByRole('button', { name: 'Seen on the paper sheet' }).click()
  await sign(page)
  await expect(page.getByText('was copied from paper')).toHaveCount(0)
  for (const each of [cook, page]) await each.context().close()
})

test('a logger’s file lands on its batch: it counts against it at once, and proves once the lead lets it count', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  await bench(page, 'Bay-leaf')
  const openSheet = async () => {
    await page.getByRole('button', { name: 'More', exact: true }).click()
    await page.getByRole('button', { name: /^From a logger/ }).click()
  }
  await openSheet()
  const sheet = page.getByRole('dialog', { name: /^From a logger’s file/ })
  const choose = sheet.getByLabel('A file of the logger: CSV or TSV')
  await choose.setInputFiles({ name: 'a.csv', mimeType: 'text/csv', buffer: Buffer.from([0xff, 0xd8, 0, 0]) })
  await expect(sheet.getByRole('alert')).toContainText('That is no table')
  // A reading each ten seconds of the last quarter of an hour, and as many of the day before.
  const line = (ago: number, celsius: number) =>
    `${new Date(kitchen.now - ago * 1000).toISOString().slice(0, 19)},${celsius.toFixed(2)}`
  const own = Array.from({ length: 90 }, (_, i) => line(900 - i * 10, 34 - i * 0.02))
  const other = Array.from({ length: 90 }, (_, i) => line(87_300 - i * 10, 60))
  const text = ['Logger L-20', 'Timestamp,Probe 1 (°C)', ...other, ...own, 'sensor open,'].join('\n')
  await choose.setInputFiles({ name: 'L-20.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await expect(sheet.getByRole('status')).toContainText(
    /^90 readings of this batch’s time, .*34\.0° at most, 32\.2° at least/,
  )
  await expect(sheet.getByRole('table', { name: 'Left out' })).toContainText('a temperature has no time before it')
  await expectAccessible(page)
  await sheet.getByRole('button', { name: 'Bring them in' }).click()
  await expect(sheet).toBeHidden()
  await sent(page)
  await check(page, 'cool-first').click()
  await expect(page.getByText('What came out of the file L-20.csv waits: until the lead')).toBeVisible()
  // Once more it is refused, and says why.
  await openSheet()
  await choose.setInputFiles({ name: 'L-20.csv', mimeType: 'text/csv', buffer: Buffer.from(text) })
  await sheet.getByRole('button', { name: 'Bring them in' }).click()
  await expect(page.getByText('This file is already there.')).toBeVisible()
  await page.context().close()

  const lead = await person(browser, 'Ilse Varrow')
  await lead.getByRole('button', { name: /^Decide/ }).click()
  const row = lead.getByRole('listitem').filter({ hasText: 'Bay-leaf pouring custard' })
  await expect(row).toContainText('What came out of the file L-20.csv')
  await row.getByRole('button', { name: 'Let it count' }).click()
  await lead.getByRole('button', { name: 'Seen on the paper sheet' }).click()
  await sign(lead)
  await expect(lead.getByText('What came out of the file L-20.csv')).toHaveCount(0)
  // Each of its readings says where it is from; none is put right alone.
  await bench(lead, 'Bay-leaf')
  await lead.getByRole('button', { name: 'Readings', exact: true }).click()
  await lead
    .getByRole('dialog')
    .getByRole('listitem')
    .filter({ hasText: 'out of L-20.csv' })
    .first()
    .getByRole('button')
    .click()
  await lead.getByRole('button', { name: 'Take back all that came out of L-20.csv' }).click()
  await expect(lead.getByRole('dialog')).toContainText('correction waits for the lead')
  await lead.context().close()
})

test('a surface closes no check, a cue moves none, and the wrong unit is asked about', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await bench(page, 'Lemon-thyme')
  const before = await check(page, 'egg').getAttribute('data-standing')
  await page.getByRole('button', { name: /P2, core/ }).click()
  await page.getByRole('button', { name: /IR1/ }).click()
  await tapReading(page, 82)
  await expect(page.getByText('It read the surface: no check of the core is closed by that.')).toBeVisible()
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', before!)
  await page.getByRole('button', { name: /IR1, surface/ }).click()
  await page.getByRole('button', { name: /P2/ }).click()

  await page.getByRole('button', { name: 'Cue' }).click()
  await page.getByRole('button', { name: 'Coats the spoon' }).click()
  await expect(page.locator('.bench-note').last()).toContainText('Coats the spoon a cue: it moves no standing')
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', before!)

  await page.keyboard.type('165')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('alert').filter({ hasText: '165: °F?' })).toBeVisible()
  await page.getByRole('button', { name: '165 °F', exact: true }).click()
  await expect(page.getByText('165.0°F logged')).toBeVisible()
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', 'proven')

  // Changes of the unit shown leave the entry as it was typed.
  await page.getByRole('button', { name: 'Readings' }).click()
  await expect(page.locator('.bench-readings')).toContainText('165.0°F')
  await page.getByRole('button', { name: /^(Not now|Done)$/ }).click()
  for (let i = 0; i < 3; i++) await inMenu(page, /^Show °/)
  await page.getByRole('button', { name: 'Readings' }).click()
  await expect(page.locator('.bench-readings')).toContainText('165.0°F')
  await page.context().close()
})

test('nothing that an accessibility check finds in limits and decisions, by day and by night', async ({ browser }) => {
  const page = await person(browser, 'Ilse Varrow')
  for (const [width, theme] of [
    [1280, 'Night'],
    [390, 'Day'],
  ] as const) {
    await page.setViewportSize({ width, height: 800 })
    await page.goto(`${kitchen.url}/limits`)
    await expect(page.getByRole('table')).toBeVisible()
    await inMenu(page, theme)
    await expectAccessible(page)
    await page.locator('[data-line="cold-holding"] button').click()
    await page.getByRole('button', { name: 'Change the house line' }).click()
    await expectAccessible(page)
    await bench(page, 'Smoked-honey')
    await page.getByRole('button', { name: 'Decide' }).last().click()
    await page.getByRole('button', { name: 'Hold', exact: true }).click()
    await page.getByLabel('Reason, in writing').fill('To be looked at')
    await expectAccessible(page)
    expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(width)
  }
  await page.context().close()
})
