import { expect, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { choose, RunningKitchen, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('how batches went: counted first, drawn in ink, the same as a table, each point the way to its batch', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Noor Hallet')
  await page.getByRole('link', { name: 'Log', exact: true }).click()
  await page.getByRole('link', { name: 'Trends', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/\d+ of \d+ proven/)
  const shares = page.getByRole('region', { name: 'Proven, counts first' })
  await expect(shares.getByRole('listitem').first()).toContainText(/\d+ of \d+/)
  await choose(shares, 'Put together by', 'person')
  await expect(shares).toContainText('Mina Osk')
  await choose(page, 'Looked at', 'minutes to the first reading off the heat')
  expect(page.url()).toContain('look=first')
  await expect(
    page.getByRole('img', { name: /minutes to the first reading off the heat, batch by batch/ }),
  ).toBeVisible()
  await expectAccessible(page)
  const asked = page.getByRole('region', { name: 'Readings asked for' })
  await expect(asked).toContainText(/\d+ of \d+ were taken within 5 min of being asked for/)
  await choose(page, 'Looked at', 'longest wait for a reading asked for')
  await expect(page.getByRole('img', { name: /longest wait for a reading asked for, batch by batch/ })).toBeVisible()
  await choose(page, 'Looked at', 'minutes to the first reading off the heat')
  await tap(page, 'As a table')
  const rows = page.getByRole('table', { name: /first reading/ }).getByRole('row')
  await expect(rows.nth(2)).toBeVisible()
  const all = await rows.count()
  expect(all).toBeGreaterThan(2)
  // By one person they are fewer, or as many; of a dish only its own.
  await choose(page, 'Method', 'Bay-leaf pouring custard')
  await expect(rows.nth(1)).toContainText('Bay-leaf pouring custard')
  expect(await rows.count()).toBeLessThan(all)
  await rows.nth(1).getByRole('link').click()
  await expect(page).toHaveURL(/\/log\/batch\//)
  await page.context().close()
})

test('the week says which methods did not hold, in which check, and what would have held them; the method is one tap away', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Noor Hallet')
  await page.goto(`${kitchen.url}/log/week`)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/methods? did not hold every time/)
  const eggnog = page.getByRole('region', { name: 'Smoked-honey eggnog' })
  await expect(eggnog).toContainText(/1 missed/)
  await expect(eggnog).toContainText(/It cools too slowly|It was read after the gate|Too long passed/)
  await expect(page.getByText(/other methods? held each time/)).toBeVisible()
  // Whatever came up, day by day: the probe that failed last week, closed since or not.
  const cameUp = page.getByRole('region', { name: 'What came up, day by day' })
  await expect(cameUp.getByRole('listitem').filter({ hasText: 'Probes that failed' })).toContainText('1')
  await expect(cameUp.getByRole('img', { name: /^\w{3} \d+ \w{3} 1$/ }).first()).toBeVisible()
  // A little late is counted, and raised nowhere.
  await expect(cameUp).toContainText(/rounds: \d+ walked by their time/)
  await eggnog.getByRole('link', { name: 'Open Smoked-honey eggnog' }).click()
  await expect(page).toHaveURL(/\/methods\//)
  await page.context().close()
})

test('a person and a cold unit each have a page: what was logged and how it stands, and when it was too warm', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/people`)
  await page.getByRole('link', { name: 'Mina Osk' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Mina Osk')
  const logged = page.getByRole('region', { name: 'Batches they logged in' })
  await expect(logged).toContainText(/\d+ batches: \d+ proven/)
  const shown = await logged.getByRole('listitem').count()
  expect(shown).toBeGreaterThan(1)
  await expectAccessible(page)
  await choose(page, 'How long', 'A week')
  await expect(page).toHaveURL(/days=7/)
  await logged.getByRole('link').first().click()
  await expect(page).toHaveURL(/\/log\/batch\//)

  await page.goto(`${kitchen.url}/log`)
  await page.getByRole('link', { name: 'Reach-in 2' }).click()
  const outside = page.getByRole('region', { name: 'When it was outside of what it has to keep' })
  await expect(outside.getByRole('listitem')).toContainText(/at most, and it goes on\. Worst \d/)
  await expectAccessible(page)
  await outside.getByRole('link').click()
  await expect(page).toHaveURL(/\/log\/review/)
  await page.context().close()
})
