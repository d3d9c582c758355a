import { expect, test, type Page } from '@playwright/test'
import { expectAccessible } from './accessible'
import { RunningKitchen, signAs, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const row = (page: Page, name: string | RegExp) => page.locator('.store-row').filter({ hasText: name })

/** Types a number on the pad of that name, and takes it. */
async function padded(page: Page, name: string | RegExp, value: string, take: string): Promise<void> {
  const pad = page.getByRole('group', { name })
  await pad.getByRole('textbox').fill(value)
  await pad.getByRole('button', { name: take }).click()
}

test('what is past its day goes with one tap, everywhere at once, and counts by its reason', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  const other = await kitchen.person(browser, 'Teo Brandt')
  await other.goto(`${kitchen.url}/store`)
  await page.getByRole('link', { name: 'Cold', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Bin two now.')
  const curd = row(page, 'Quince-skin curd')
  await expect(curd).toContainText('Ran out at the end of')
  await expect(row(other, 'Quince-skin curd')).toHaveCount(1)
  await curd.getByRole('button', { name: 'Discard' }).click()
  await expect(curd).toHaveCount(0)
  await expect(row(other, 'Quince-skin curd')).toHaveCount(0)

  await page.getByRole('link', { name: 'Bin round' }).click()
  const totals = page.getByRole('region', { name: 'Thrown away today' })
  await expect(totals.getByRole('row', { name: /Past its day/ })).toContainText('1')
  // A tub nobody knows is entered, and goes.
  await tap(page, 'Found something without a date')
  await tap(page, 'Enter it')
  await expect(page.getByRole('alert')).toHaveText('Say what it looks like: "white tub, cream".')
  await page.getByLabel('What it looks like').fill('White tub, cream')
  await page.getByLabel('How much, g').fill('650')
  await tap(page, 'Enter it')
  const found = page.locator('.bin-row').filter({ hasText: 'White tub, cream' })
  await expect(found).toContainText('Nobody knows its date')
  await found.getByRole('button', { name: 'Binned' }).click()
  await expect(totals.getByRole('row', { name: /No date/ })).toContainText('650 g')
  await page.context().close()
  await other.context().close()
})

test('a round reads every unit with two taps each; the warm one is cold again, and a mistyped one is undone', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Teo Brandt')
  await page.goto(`${kitchen.url}/store`)
  const jelly = row(page, 'Rhubarb jelly layer')
  await expect(jelly).toContainText('Into the cold')
  await page.getByRole('link', { name: 'Round', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Walk-in 1 is next')
  expect(await tapReading(page, 13.2)).toBe(2)
  await expect(page.locator('[data-unit="Walk-in 1"]')).toContainText('over: read an item inside')
  await tap(page, 'Undo the last one')
  await expect(page.locator('[data-unit="Walk-in 1"]')).toHaveAttribute('aria-current', 'step')
  await tapReading(page, 3.2)
  await page.locator('[data-unit="Reach-in 2"] button').click()
  await tapReading(page, 3.4)
  await expect(page.locator('[data-unit="Reach-in 2"]')).toContainText('3.4°')
  await page.locator('[data-unit="Blast drawer"] button').click()
  await tap(page, 'Cannot read it')
  await tap(page, 'Display is dark')
  await expect(page.locator('[data-unit="Blast drawer"]')).toContainText('could not be read')
  await tap(page, 'End the round')
  await expect(jelly).not.toContainText('Into the cold')
  await page.context().close()
})

test('a proven batch is put away in two taps, is frozen and taken back, is split for the guests and never comes back', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Toasted-barley custard' }).click()
  await tap(page, 'Put it away')
  await tap(page, /^All \d+ portions$/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Toasted-barley custard')
  await expect(page.getByRole('img', { name: /^Label of/ })).toHaveJSProperty('complete', true)
  await expect(page.locator('.walls .rules')).toContainText('House, 3 days')
  await expect(page.locator('.walls')).toContainText('FDA Food Code, 3-501.17')

  await tap(page, 'Freeze')
  await tap(page, 'Chest freezer')
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /Its date clock stopped. \d days? left once it thaws/,
  )
  await tap(page, /^Take back the last tap/)
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('clock stopped')

  await tap(page, 'Split')
  await padded(page, /How much/, '6', 'Log it')
  await page.goto(`${kitchen.url}/store`)
  const part = page
    .locator('.store-row')
    .filter({ hasText: 'Toasted-barley custard' })
    .filter({ hasText: '· 6 portions' })
  await part.getByRole('link').click()
  await tap(page, 'To the guests')
  await tap(page, 'Display case')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('does not go back into the cold')
  await tap(page, 'Move')
  await expect(page.getByRole('dialog').getByRole('button', { name: 'Walk-in 1' })).toHaveCount(0)
  await page.context().close()
})

test('a lot at the door is judged before it is taken; what the lead decides goes on', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/store/receive`)
  await tap(page, 'Anything else')
  await page.getByLabel(/What it is/).fill('whole milk')
  await page.getByLabel('Lot, as written on it').fill('MK-900')
  await page.getByLabel('From', { exact: true }).fill('Hollin Gate dairy')
  await page.getByLabel('Use by').fill('2099-01-01')
  await page.getByLabel(/Read at the door/).fill('9,5')
  const verdict = page.getByRole('status').filter({ hasText: /it/ })
  await expect(verdict).toContainText('Refuse it: it goes back.')
  await expect(verdict).toContainText('FDA Food Code, 3-202.11')
  await page.getByLabel(/Read at the door/).fill('warm')
  await expect(verdict).toContainText('Hold it apart')
  await tap(page, 'Hold it for the lead')
  await expect(page.getByRole('alert')).toContainText('"warm" is not a temperature')
  await page.getByLabel(/Read at the door/).fill('3.8')
  await page.getByLabel('How much, g').fill('5000')
  await expect(verdict).toContainText('Accept it')
  await tap(page, 'Take it in')
  await expect(page.locator('[data-lot="MK-900"]')).toBeVisible()

  const fruit = page.locator('[data-lot="BP-522"]')
  await fruit.getByRole('button', { name: 'Accept' }).click()
  await page.getByLabel('Why, in writing').fill('Boiled before it goes in')
  await signAs(page, 'Ilse Varrow')
  await expect(fruit.getByRole('button')).toHaveCount(0)
  await page.goto(`${kitchen.url}/store/list`)
  await page.getByRole('searchbox').fill('mk-900')
  await expect(page.getByRole('row', { name: /MK-900/ })).toContainText('Walk-in 1')
  await page.getByRole('searchbox').fill('')
  await tap(page, 'no milk')
  await expect(page.getByRole('row', { name: /Whole milk/ })).toHaveCount(0)
  await expect(page.getByRole('row', { name: /Rhubarb jelly layer/ })).toHaveCount(1)
  await page.context().close()
})

test('an assembly takes proven parts read cold, and carries the earliest date', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.goto(`${kitchen.url}/start`)
  await page.getByPlaceholder(/Find by name/).fill('Orchard trifle')
  await page.getByRole('radio', { name: /Orchard trifle/ }).click()
  await tap(page, /^Start \d/)
  await tap(page, 'Choose the parts')
  await page.getByRole('button', { name: /^Bay-leaf pouring custard/ }).click()
  await padded(page, 'Its core', '9.4', 'That is it')
  await expect(page.getByRole('alert')).toContainText('at 9.4 °C it is over 4 °C. Chill it first')
  await tap(page, 'Read again')
  await padded(page, 'Its core', '3.1', 'That is it')
  await padded(page, /How much/, '900', 'Log it')
  await expect(page.getByRole('status').filter({ hasText: 'In already' })).toContainText('Bay-leaf pouring custard')
  await page.getByRole('button', { name: 'Not now' }).click()
  await expect(page.getByRole('region', { name: 'Do this now' })).not.toContainText('Which parts go in?')
  await page.context().close()
})

test('a lot of eggs is followed to everything it went into, and one action holds it all', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/store/receive`)
  await page.locator('[data-lot="T-2207"] a').click()
  const table = page.getByRole('table')
  await expect(table.getByRole('row', { name: /Burnt-honey churned base/ })).toHaveCount(2)
  await expect(table.getByRole('row', { name: /Orchard trifle/ }).first()).toBeVisible()
  await tap(page, 'Practise a recall')
  await tap(page, 'Drill')
  await expect(table.getByRole('row', { name: /Burnt-honey churned base item/ })).toContainText('do not use')
  await page.goto(`${kitchen.url}/store`)
  await expect(row(page, 'Burnt-honey churned base')).toContainText('Do not use')
  await page.goBack()
  await tap(page, 'End the recall')
  await page.getByLabel('Why it ends, in writing').fill('It was a drill')
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByRole('button', { name: /^Call back/ })).toBeVisible()
  await expect(table.getByRole('row', { name: /Burnt-honey churned base item/ })).not.toContainText('do not use')
  await page.context().close()
})

test('the cold store can be reached by keyboard and read by a screen reader, by day and at night', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  for (const theme of ['Night', 'Day']) {
    for (const path of ['', '/list', '/round', '/bin', '/receive']) {
      await page.goto(`${kitchen.url}/store${path}`)
      await page.getByRole('heading', { level: 1 }).waitFor()
      await page.waitForTimeout(300)
      await expectAccessible(page)
    }
    await page.goto(`${kitchen.url}/store`)
    await page.locator('.store-row a').last().click()
    await page.getByRole('heading', { level: 2, name: /What rules the date/ }).waitFor()
    await expectAccessible(page)
    await page.getByRole('link', { name: 'Where from, where to' }).click()
    await page.getByRole('table').waitFor()
    await expectAccessible(page)
    await page.getByRole('button', { name: theme, exact: true }).click()
  }
  await page.context().close()
})
