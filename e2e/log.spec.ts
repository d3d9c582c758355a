import { expect, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { choose, goTo, RunningKitchen, sent, signAs, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('a day is looked through by words, and a batch is opened for ever: what proves it is ringed, what was put right stands struck', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  // A slip of the finger is put right on the Bench.
  await page
    .locator(`[data-batch="${kitchen.code(4)}"] a`)
    .first()
    .click()
  await tapReading(page, 36.4)
  await expect(page.getByText('36.4°C logged')).toBeVisible()
  await page.getByRole('button', { name: 'Readings' }).click()
  const sheet = page.getByRole('dialog', { name: /Readings of|wrong/ })
  await sheet.getByRole('button', { name: 'Correct' }).first().click()
  await sheet.getByRole('button', { name: 'Mistyped' }).click()
  await tapReading(page, 35.9)
  await sheet.getByRole('button', { name: 'Not now' }).click()

  await page.getByRole('link', { name: 'Log', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('still run')
  const row = (code: string) => page.locator(`[data-batch="${code}"]`)
  await expect(row(kitchen.code(4))).toBeVisible()
  const all = await page.locator('[data-batch]').count()
  expect(all).toBeGreaterThan(5)
  await page.getByLabel('Dish, lot, name, word').fill('bay-leaf')
  await expect(page.locator('[data-batch]')).toHaveCount(1)
  expect(page.url()).toContain('words=bay-leaf')
  // What is looked for goes with the address.
  await page.reload()
  await expect(page.locator('[data-batch]')).toHaveCount(1)
  await tap(page, 'More to go by')
  await choose(page, 'By', 'Noor Hallet')
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('No batch fits that.')
  await tap(page, 'Show all')
  await expect(page.locator('[data-batch]')).toHaveCount(all)

  // A kitchen that makes more than are shown at once: as if so few were.
  const few = (address: string) => /\/api\/log\?(?!.*most=)/.test(address)
  await page.route(
    (address) => few(address.href),
    (route) => route.continue({ url: `${route.request().url()}&most=3` }),
  )
  await page.reload()
  await expect(page.locator('[data-batch]')).toHaveCount(3)
  await expect(page.getByText(`The latest 3 of ${all}.`)).toBeVisible()
  await tap(page, 'Show earlier ones')
  await expect(page.locator('[data-batch]')).toHaveCount(all)
  await expect(page.getByRole('button', { name: 'Show earlier ones' })).toHaveCount(0)
  await page.unrouteAll()

  await row(kitchen.code(4)).getByRole('link').first().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(kitchen.code(4))
  const read = page.getByRole('region', { name: 'Who read, with what', exact: true })
  const mine = read.getByRole('row').filter({ hasText: '35.9' })
  await expect(mine).toContainText('36.4')
  await expect(mine).toContainText('Mina Osk')
  await expect(mine).toContainText('mistyped')
  await expect(read.getByRole('img', { name: 'proves a limit' }).first()).toBeVisible()
  // One limit alone: only what it rests on is ringed.
  const rings = await read.getByRole('img', { name: 'proves a limit' }).count()
  const floor = page.getByRole('region', { name: 'What it rests on' }).getByRole('button').first()
  await floor.click()
  await expect(floor).toHaveAttribute('aria-pressed', 'true')
  expect(await read.getByRole('img', { name: 'proves a limit' }).count()).toBeLessThanOrEqual(rings)
  await tap(page, 'Open on the Bench')
  await expect(page).toHaveURL(/\/bench\//)
  await page.context().close()
})

test('what has left the Line is reached by its code, by the day before and from what was made of it', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.getByRole('link', { name: 'Log', exact: true }).click()
  await tap(page, 'The day before')
  await expect(page.locator(`[data-batch="${kitchen.code(2, 1)}"]`)).toBeVisible()
  await page.keyboard.press('/')
  await page.getByLabel('A dish, a code, a lot, a name').fill(kitchen.code(2, 1))
  await expect(page.getByRole('dialog').getByRole('status')).toContainText('found')
  await page.keyboard.press('Enter')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Chicory pastry cream')
  await expect(page).toHaveURL(/\/log\/batch\//)
  const fate = page.getByRole('region', { name: 'From, to' })
  await fate
    .getByRole('link', { name: /^Chicory pastry cream/ })
    .first()
    .click()
  await expect(page).toHaveURL(/\/store\/item\//)
  await goTo(page, 'Methods')
  await expect(page.getByRole('heading', { level: 1 })).not.toHaveText('')
  await page.context().close()
})

test('what came late waits in one list with what was put right; the lead refuses it with a reason, and it waits no more', async ({
  browser,
}) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await cook
    .locator(`[data-batch="${kitchen.code(2)}"] a`)
    .first()
    .click()
  const when = cook.getByRole('button', { name: /taken now|min ago/ })
  while (!(await when.innerText()).includes('45 min')) await when.click()
  await tapReading(cook, 41)
  await expect(cook.getByText('Entered late: it proves nothing until the lead')).toBeVisible()
  await sent(cook)
  await cook.context().close()

  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.getByRole('link', { name: 'Log', exact: true }).click()
  await page.getByRole('link', { name: 'Late, put right' }).click()
  const row = page.getByRole('row').filter({ hasText: '41.0°' })
  await expect(row).toContainText('came late')
  await expect(row).toContainText('Mina Osk')
  await row.getByRole('button', { name: 'Decide' }).click()
  const sheet = page.getByRole('dialog', { name: /does it count/ })
  await sheet.getByRole('button', { name: 'Do not let it count' }).click()
  await expect(sheet).toContainText('it betters nothing')
  await sheet.getByRole('button', { name: 'Nobody else saw it' }).click()
  await signAs(page, 'Ilse Varrow')
  await expect(sheet).toBeHidden()
  await expect(row).toContainText('no, refused')
  await expect(row).toContainText('Ilse Varrow: Nobody else saw it')
  await expectAccessible(page)
  await page.context().close()
})

test('the rows that are shown are had as a file', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/log?words=eggnog`)
  await expect(page.locator(`[data-batch="${kitchen.code(3)}"]`)).toBeVisible()
  const downloading = page.waitForEvent('download')
  await page.getByRole('link', { name: 'CSV' }).click()
  const file = await downloading
  const text = await (
    await file.createReadStream()
  )
    .toArray()
    .then((parts) => Buffer.concat(parts as Buffer[]).toString())
  expect(text).toContain(`${kitchen.code(3)},Smoked-honey eggnog`)
  expect(text).not.toContain(kitchen.code(4))
  await page.context().close()
})

test('nothing that an accessibility check finds on the page of a batch that waits for the lead', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/log?standing=unproven`)
  await page.locator('[data-batch] a').first().click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('not proven')
  await expectAccessible(page)
  await page.context().close()
})

test('an old log is brought in as history: its columns are named, what is not understood is said, nothing comes in twice', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/log/transcribed`)
  const sentence = page.getByRole('heading', { level: 1 })
  await expect(sentence).toContainText('8 coolings from old logs. 3 were too slow; none is proven.')
  await tap(page, 'Bring in a log')
  const take = (name: string, text: string) =>
    page.getByLabel('A file of the log').setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) })
  await take('picture.csv', '\0\0PNG')
  await expect(page.getByRole('alert')).toContainText('That is no table.')
  const lines = [
    'Date;Food;Time 1;Temp 1;Time 2;Temp 2;Cook',
    '3.2.2026;Quince cream;14:00;57,5;15:30;20,5;MO',
    '3.2.2026;Quince cream;18:00;57;21:10;33;MO',
    '4.2.2026;;14:00;57;;;MO',
  ]
  await take('winter.csv', lines.join('\n'))
  // Nothing is guessed.
  await expect(page.getByText('Every day in this file can be read both ways.')).toBeVisible()
  await tap(page, /^day first/)
  await expect(page.getByText('The file does not say in which unit.')).toBeVisible()
  await tap(page, '°C')
  await expect(page.getByRole('status').filter({ hasText: '2 coolings understood' })).toContainText(
    '1 too slow. One line is left out.',
  )
  await expect(page.getByRole('table', { name: /Left out/ })).toContainText('it names no dish')
  await expect(page.getByRole('combobox', { name: 'Column Cook' })).toHaveText('leave it out')
  await tap(page, 'Bring in all 2')
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByText('All of it is in.')).toBeVisible()
  await tap(page, 'Done')
  await expect(sentence).toContainText('10 coolings from old logs. 4 were too slow')
  // The same file once more changes nothing.
  await tap(page, 'Bring in a log')
  await take('winter.csv', lines.join('\n'))
  await tap(page, /^day first/)
  await tap(page, '°C')
  await tap(page, 'Bring in all 2')
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByText('All of it is in.')).toBeVisible()
  await tap(page, 'Done')
  await expect(sentence).toContainText('10 coolings from old logs.')
  await page.getByLabel('Find a dish').fill('quince')
  await expect(page.getByRole('table', { name: /Old logs/ }).getByRole('row')).toHaveCount(3)
  await page.context().close()
})
