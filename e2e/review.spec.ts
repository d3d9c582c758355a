import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'
import { expect, test } from '@playwright/test'
import { expectAccessible } from './accessible'
import { goTo, PINS, RunningKitchen, signAs, tap, typeTime } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open(['--mail'])
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
  await told
    .getByLabel('Photo')
    .setInputFiles({ name: 'a.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('no picture') })
  await expect(told.getByRole('alert')).toHaveText('That file is no picture this tablet can read.')
  const picture = await cook.screenshot({ type: 'jpeg' })
  await told.getByLabel('Photo').setInputFiles({ name: 'pass.jpg', mimeType: 'image/jpeg', buffer: picture })
  await expect(told.getByRole('img', { name: 'Photo' })).toBeVisible()
  await told.getByRole('button', { name: /Walnut-leaf nog/ }).click()
  await told.getByRole('button', { name: 'Tell it' }).click()
  await expect(told).toBeHidden()

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.getByRole('link', { name: 'Log', exact: true }).click()
  await lead.getByRole('link', { name: 'Day review' }).click()
  const matter = lead.locator('[data-matter="incident"]')
  await expect(matter).toContainText('Glass: A jar broke beside the pot')
  await expect(matter.getByRole('button', { name: /^Close it/ })).toHaveCount(0)
  const photo = matter.getByRole('img', { name: /^Photo of/ })
  await expect.poll(() => photo.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(100)
  await matter.getByRole('button', { name: `Decide ${kitchen.code(6)}` }).click()
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
  // What opens no matter of its own stands below: what waits, what is to be checked, each with the way to it.
  await expect(page.getByRole('listitem').filter({ hasText: 'One entry waits for you' })).toContainText('Rye-malt')
  await expect(page.getByRole('button', { name: 'Check it P5' })).toBeVisible()
  await page.getByRole('button', { name: 'Look at them' }).click()
  await expect(page).toHaveURL(/\/log\/changes/)
  await page.goBack()
  const slab = page.getByRole('region', { name: /^The lead’s signature over/ })
  await expect(slab).toContainText('of this day are still open')
  const sign = slab.getByRole('button', { name: 'Sign the day' })
  await expect(sign).toHaveAttribute('aria-disabled', 'true')
  // The day before is over: what is open of it is closed in writing.
  await tap(page, 'The day before')
  await expect(slab).toContainText('3 things of this day are still open')
  for (const open of ['round', 'eggs', 'fault']) {
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

test('a list is gone through with one tap, or with what is not right, which the lead closes; the lead asks for other lists', async ({
  browser,
}) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await goTo(cook, 'Daily lists')
  await expect(cook.getByRole('region', { name: 'Opening' })).toContainText(/done.*Done \d\d:\d\d by/)
  const closing = cook.getByRole('region', { name: 'Closing' })
  await closing.getByRole('button', { name: /^Not right: No trace of pests/ }).click()
  await expect(closing.getByRole('button', { name: 'Done, one is not right' })).toHaveAttribute('aria-disabled', 'true')
  await closing.getByLabel('What is wrong').fill('Droppings by the flour')
  await closing.getByRole('button', { name: 'Done, one is not right' }).click()
  await expect(closing).toContainText('by Mina Osk: one fault')
  await expect(cook.getByRole('heading', { level: 1 })).toHaveText('Every list of today is done.')
  await expect(cook.getByRole('button', { name: 'Change the lists' })).toHaveCount(0)

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/log/review`)
  const matter = lead.locator('[data-matter="fault"]').filter({ hasText: 'Closing: Droppings by the flour' })
  await matter.getByRole('button', { name: /^Close it/ }).click()
  const close = lead.getByRole('dialog', { name: /^Close:/ })
  await close.getByLabel('What was done').fill('The flour was thrown away, the trapper called')
  await close.getByRole('button', { name: 'Nobody was asked to' }).click()
  await close.getByLabel('What stops it next time').fill('Flour in closed bins')
  await signAs(lead, 'Ilse Varrow')
  await expect(matter).toHaveCount(0)

  await goTo(lead, 'Daily lists')
  await tap(lead, 'Change the lists')
  const sheet = lead.getByRole('dialog', { name: 'Lists of the house' })
  await sheet.getByRole('group', { name: 'Begin with' }).getByRole('button', { name: 'Weekly' }).click()
  const weekly = sheet.getByRole('group', { name: 'List 3' })
  for (const day of ['Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun']) await weekly.getByRole('button', { name: day }).click()
  await typeTime(weekly, 'Done by', '23:00')
  await weekly.getByLabel('Name').fill('')
  await expect(sheet.getByRole('alert')).toHaveText('Give each list a name.')
  await weekly.getByLabel('Name').fill('Each night')
  await expectAccessible(lead)
  await sheet.getByRole('button', { name: 'Sign them' }).click()
  await signAs(lead, 'Ilse Varrow')
  await expect(sheet).toBeHidden()
  await expect(cook.getByRole('region', { name: 'Each night' })).toContainText('Glass, blades and lamps whole, counted')
  await cook.getByRole('region', { name: 'Each night' }).getByRole('button', { name: 'All of it is right' }).click()
  await expect(cook.getByRole('region', { name: 'Each night' })).toContainText('by Mina Osk')
  await lead.context().close()
  await cook.context().close()
})

test('the lead is told by e-mail of what cannot wait, once notices are on, with what to do and the link', async ({
  browser,
}) => {
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/settings`)
  const notices = lead.getByRole('region', { name: 'Notices by e-mail' })
  await expect(notices).toContainText('Off. Nobody is told.')
  await tap(lead, 'Change notices')
  const sheet = lead.getByRole('dialog')
  await expect(sheet).toContainText('Type an address')
  await sheet.getByLabel('To which address').fill('lead@kitchen.example')
  await signAs(lead, 'Ilse Varrow')
  await expect(sheet).toBeHidden()
  await expect(notices).toContainText(
    'To lead@kitchen.example: at once of what is urgent, and all that waits, at closing.',
  )

  await lead.locator('.header-logging-as').click()
  await tap(lead, 'Something happened')
  await tap(lead, 'Metal')
  await lead.getByLabel('In a few words').fill('a screw of the mixer is missing')
  await tap(lead, 'Tell it')
  const letters = () => {
    const folder = kitchen.file('mail')
    return readdirSync(folder).map((name) => readFileSync(join(folder, name), 'utf8'))
  }
  await expect.poll(() => letters().length).toBe(1)
  const [letter] = letters()
  expect(letter).toContain('To: lead@kitchen.example')
  expect(letter).toMatch(/Subject: .*Metal: a screw of the mixer is missing/)
  const [, link] = /Open it: (\S+)/.exec(letter!)!
  await lead.goto(link!)
  await expect(lead.getByText(/a screw of the mixer is missing/).first()).toBeVisible()
  await lead.goto(`${kitchen.url}/settings`)
  await expect(notices).toContainText('Last sent: something urgent')
  // A cook sees that they are on, and not to whom.
  const cook = await kitchen.person(browser, 'Mina Osk')
  await cook.goto(`${kitchen.url}/settings`)
  await expect(cook.getByRole('region', { name: 'Notices by e-mail' })).toContainText('On.')
  await expect(cook.getByText('lead@kitchen.example')).toHaveCount(0)
  for (const page of [lead, cook]) await page.context().close()
})
