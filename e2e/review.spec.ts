import { expect, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { PINS, RunningKitchen, signAs, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('a cook tells of glass in two taps; it is held with what it happened to, decided, closed with what stops it next time', async ({
  browser,
}) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await cook.locator('.header-logging-as').click()
  await tap(cook, 'Something happened')
  const sheet = cook.getByRole('dialog', { name: 'What happened?' })
  await sheet.getByRole('button', { name: 'Glass' }).click()
  const told = cook.getByRole('dialog', { name: 'Glass' })
  await expect(told.getByRole('button', { name: 'Tell it' })).toBeDisabled()
  await told.getByLabel('In a few words').fill('A jar broke beside the pot')
  await told.getByRole('button', { name: /Walnut-leaf nog/ }).click()
  await told.getByRole('button', { name: 'Tell it' }).click()
  await expect(told).toBeHidden()

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.getByRole('link', { name: 'Log', exact: true }).click()
  await lead.getByRole('link', { name: 'Day review' }).click()
  const matter = lead.locator('[data-matter="incident"]')
  await expect(matter).toContainText('Glass: A jar broke beside the pot')
  await expect(matter.getByRole('button', { name: /^Close it/ })).toHaveCount(0)
  await matter.getByRole('button', { name: 'Decide 333-6' }).click()
  const decide = lead.getByRole('dialog', { name: /: decide$/ })
  await decide.getByRole('button', { name: 'Discard' }).click()
  await decide.getByLabel('Reason, in writing').fill('Glass near an open pot')
  await signAs(lead, 'Ilse Varrow')
  await expect(decide).toBeHidden()
  await matter.getByRole('button', { name: /^Close it/ }).click()
  const close = lead.getByRole('dialog', { name: /^Close:/ })
  await close.getByLabel('What was done').fill('The pot was thrown away, the bench swept')
  await close.getByRole('button', { name: 'Too much at once' }).click()
  // The PIN is asked for once all of it is told.
  await expect(close.getByRole('region', { name: 'PIN' })).toHaveCount(0)
  await close.getByLabel('What stops it next time').fill('No glass over the stove')
  await signAs(lead, 'Ilse Varrow')
  await expect(matter).toHaveCount(0)
  await lead.context().close()
  await cook.context().close()
})

test('what is past its day goes with one tap; a day with something open is shut, one with nothing is signed and says so', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.goto(`${kitchen.url}/log/review`)
  const old = page.locator('[data-matter="item"]').filter({ hasText: 'bin it now' })
  await expect(old.first()).toBeVisible()
  const count = await old.count()
  await old
    .first()
    .getByRole('button', { name: /^Binned/ })
    .click()
  await expect(old).toHaveCount(count - 1)
  const slab = page.getByRole('region', { name: /^The lead’s signature over/ })
  await expect(slab).toContainText('of this day are still open')
  const sign = slab.getByRole('button', { name: 'Sign the day' })
  await expect(sign).toHaveAttribute('aria-disabled', 'true')
  // The day before is over: what is open of it is closed in writing.
  await tap(page, 'The day before')
  await expect(slab).toContainText('2 things of this day are still open')
  for (const open of ['round', 'eggs']) {
    const matter = page.locator(`[data-matter="${open}"]`).last()
    await matter.getByRole('button', { name: /^Close it/ }).click()
    const close = page.getByRole('dialog', { name: /^Close:/ })
    await close.getByLabel('What was done').fill('Read at six; the whites were thrown away')
    await close.getByRole('button', { name: 'Nobody was asked to' }).click()
    await close.getByLabel('What stops it next time').fill('It is on the list by the door')
    await signAs(page, 'Ilse Varrow')
    await expect(close).toBeHidden()
  }
  await expect(slab.getByRole('definition').first()).not.toHaveText('0')
  await expect(sign).not.toHaveAttribute('aria-disabled', 'true')
  await sign.click()
  const sheet = page.getByRole('dialog', { name: /^Sign / })
  await expect(sheet.getByRole('region', { name: 'PIN' })).toBeVisible()
  for (const digit of PINS['Ilse Varrow']) await sheet.getByRole('button', { name: digit, exact: true }).click()
  await expect(sheet).toBeHidden()
  await expect(slab).toContainText('by Ilse Varrow')
  await expect(slab.getByRole('button', { name: 'Sign it again, as it stands now' })).toBeVisible()
  await expectAccessible(page)
  await page.context().close()
})
