import { expect, test } from '@playwright/test'
import { slab, type } from './guidedBench'
import { RunningKitchen, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('cooled to where it is folded: how long yet, a reading that ends it, the step in its window, then the cold', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  const row = page.locator('[data-batch]').filter({ hasText: 'Hazel mousse' })
  await expect(row).toContainText('to 25°, then fold')
  await row.locator('.line-name').click()
  const todo = slab(page)
  await expect(todo).toContainText('Cool it to 25°, then: fold')
  await expect(todo).toContainText(/about\d+\s?(min|s) to 25°/)
  await type(page, 26.1)
  await expect(todo).toContainText('Cool it to 25°')
  await kitchen.passes(1, page)
  await type(page, 24.4)
  await expect(page.locator('[data-check="cool-total"]')).toHaveAttribute('data-standing', 'open')
  await expect(todo).toContainText('Do it between 22° and 25°. It was read at 24.4°.')
  await tap(page, 'Folded together')
  await expect(todo).toContainText('Where does it cool?')
  await page.context().close()
})

test('it ages with a countdown, cut short asks why; churned, it goes right into the freezer and hardens there', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Burnt-honey' }).click()
  const todo = slab(page)
  await expect(todo).toContainText(/Age in the cold\.\d+\s?min/)
  await expect(todo).toContainText(/Ready \d\d:\d\d\. It goes on by /)
  await tap(page, 'It is ready')
  const why = page.getByRole('dialog')
  await expect(why).toContainText('Sooner than the method says')
  await expect(why).toContainText(/"Set, age" is ready \d\d:\d\d\. Say why it ends sooner\./)
  await why.getByLabel(/your own words/i).fill('wanted for tonight')
  await tap(page, /Mark it/)
  // The last one in it had praline: asked once, and what is not washed out is said on the label.
  await expect(todo).toContainText('Which churn?')
  await expect(todo).toContainText(/Last in Small churn: Burnt-honey churned base .*, with tree nuts\./)
  await tap(page, 'Not washed')
  await expect(page.getByText('Through Small churn').first()).toBeVisible()
  await expect(todo).toContainText('Churn')
  await tap(page, 'Churned')
  await expect(todo).toContainText('Harden in the blast freezer')
  await page.getByRole('list', { name: 'Steps' }).getByRole('button').first().click()
  await expect(page.locator('.guide-batch-steps li').filter({ hasText: 'Age in' })).toContainText('wanted for tonight')
  await page.keyboard.press('Escape')
  await tap(page, 'Put it away')
  const sheet = page.getByRole('dialog')
  await expect(sheet).not.toContainText('Not done yet')
  await expect(sheet.getByRole('button', { name: 'Freezer' })).toHaveAttribute('aria-pressed', 'true')
  await expect(sheet).toContainText('May contain tree nuts.')
  await expect(sheet).toContainText('Its date clock stops in the frost. Once thawed it has')
  await sheet.getByRole('button', { name: /^All \d+ portions/ }).click()
  await expect(page.getByRole('main')).toContainText('Chest freezer')
  await expect(page.getByRole('main')).toContainText(/Ready from .* That is quality/)
  await expect(page.getByRole('main')).toContainText('May contain tree nuts.')
  const label = page.getByRole('region', { name: 'Label', exact: true })
  await label.getByRole('button', { name: 'Sale, packed' }).click()
  await expect(label).toContainText('For sale it names every ingredient, with the allergens in capitals')
  await expect(label.getByRole('img')).toHaveAttribute('src', /use=sale/)
  await page.context().close()
})

test('a sieve is registered, and told in one tap at its step; the notice to hang up names every dish', async ({
  browser,
}) => {
  const lead = await kitchen.person(browser, 'Noor Hallet')
  await lead.goto(`${kitchen.url}/cooldown`)
  await tap(lead, 'Vessels, units, tools')
  const sheet = lead.getByRole('dialog')
  await expect(sheet).toContainText('Small churn')
  await tap(lead, 'Register tool')
  await expect(sheet).toContainText('Give it the name that stands on it')
  await lead.getByLabel('New tool').fill('Fine sieve')
  await tap(lead, 'Register tool')
  await expect(sheet.getByRole('listitem').filter({ hasText: 'Fine sieve' })).toContainText('nothing yet')
  await lead.keyboard.press('Escape')
  await lead.goto(`${kitchen.url}/store/list`)
  const opened = lead.waitForEvent('popup')
  await tap(lead, 'Allergen notice to hang up')
  await (await opened).close()
  const notice = await lead.request.get(`${kitchen.url}/api/labels/notice.pdf`)
  expect([notice.status(), notice.headers()['content-type']]).toEqual([200, 'application/pdf'])
  await lead.context().close()
})
