import { expect, test } from '@playwright/test'
import { choose, goTo, PINS, RunningKitchen, signAs, tap, typeTime } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('a tablet is enrolled by the lead, knows its people then, and is forgotten at once', async ({ browser }) => {
  const mine = await kitchen.person(browser, 'Mina Osk')
  await mine.goto(`${kitchen.url}/people`)
  await tap(mine, 'Enrol this tablet')
  await mine.getByLabel('What it is called').fill('Sauce bench')
  await signAs(mine, 'Ilse Varrow')
  await expect(mine.getByText('(this one)')).toBeVisible()

  // Locked, it is known: jobs are shown, and the last digit opens the shift.
  const other = await mine.context().newPage()
  await other.request.post(`${kitchen.url}/api/shift/lock`)
  await other.context().clearCookies({ name: 'lt_shift' })
  await other.goto(kitchen.url)
  await other.getByRole('button', { name: 'Teo Brandt cook, induction 2' }).click()
  await signAs(other, 'Teo Brandt')
  await expect(other.getByText('logging as')).toBeVisible()
  await mine.close()

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/people`)
  await tap(lead, 'Forget Sauce bench')
  await signAs(lead, 'Ilse Varrow')
  await expect(lead.getByText('None is enrolled yet.')).toBeVisible()
  // Nobody touched it.
  await expect(other.getByText('Who opens the shift?')).toBeVisible()
})

test('a tablet speaks as whoever logs on it chose, and as before in other hands', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Teo Brandt')
  await page.goto(`${kitchen.url}/log`)
  const day = page.getByRole('group', { name: 'Day' })
  const first = day.getByRole('spinbutton').first()
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-GB')
  await expect(first).toHaveAccessibleName('Day')
  const hand = async (key: string | RegExp) => {
    await page.getByRole('button', { name: /logging as/ }).click()
    await page.getByRole('dialog').getByRole('button', { name: key }).click()
  }
  await hand('American English')
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-US')
  await expect(page).toHaveURL(/\/log/)
  await expect(first).toHaveAccessibleName('Month')
  await hand(/^Mina Osk/)
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-GB')
  await hand(/^Teo Brandt/)
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-US')
  // What the house writes down in between is kept.
  await hand('British English')
  await expect(page.locator('html')).toHaveAttribute('lang', 'en-GB')
  await page.context().close()
})

test('a PIN is changed by whoever has it, typed twice; wrong ones are said, and the lead sees who was locked out', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Teo Brandt')
  await page.locator('.header-logging-as').click()
  await tap(page, 'People and tablets')
  await tap(page, 'PIN of Teo Brandt')
  const type = async (digits: string, done = true) => {
    for (const digit of digits)
      await page
        .getByRole('region', { name: 'PIN', exact: true })
        .getByRole('button', { name: digit, exact: true })
        .click()
    if (done) await tap(page, 'Done')
  }
  await type(PINS['Teo Brandt'], false)
  await type('1111')
  await type('1111')
  await expect(page.getByText('Take another.')).toBeVisible()
  await type('7352')
  await type('7353')
  await expect(page.getByText('two different PINs')).toBeVisible()
  await type('7352')
  await type('7352')
  await expect(page.getByText('Teo Brandt has another PIN from now on.')).toBeVisible()

  const stranger = await (await browser.newContext()).newPage()
  await stranger.goto(kitchen.url)
  await stranger.getByRole('button', { name: 'Teo Brandt' }).click()
  await expect(stranger.getByText('cook, induction 2')).toHaveCount(0)
  for (let i = 0; i < 5; i++) {
    for (const key of [...PINS['Teo Brandt'], 'Enter']) await stranger.keyboard.press(key)
    await expect(stranger.getByRole('alert')).toContainText(i < 4 ? `${4 - i} ` : 'Locked for 60 s')
  }
  await page.reload()
  await expect(page.getByText('5 wrong PINs on a device that is not ours')).toBeVisible()
})

test('somebody new is added at the tablet, logs at once, and is gone from every list on the day they leave', async ({
  browser,
}) => {
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  const cook = await kitchen.person(browser, 'Mina Osk')
  await lead.goto(`${kitchen.url}/people`)
  await tap(lead, 'Add a person')
  const sheet = lead.getByRole('dialog')
  await sheet.getByRole('button', { name: 'Then a PIN' }).click()
  await expect(sheet.getByText('Who is it?')).toBeVisible()
  await sheet.getByLabel('Name', { exact: true }).fill('mina osk')
  await sheet.getByRole('button', { name: 'Then a PIN' }).click()
  const type = async (digits: string) => {
    for (const digit of digits) await sheet.getByRole('button', { name: digit, exact: true }).click()
    await tap(lead, 'Done')
  }
  await type('8264')
  await type('8264')
  await signAs(lead, 'Ilse Varrow')
  // Two of one name could not be told apart: back to the name, and nothing else is asked again.
  await expect(sheet.getByText('There is a Mina Osk already.')).toBeVisible()
  await sheet.getByLabel('Name', { exact: true }).fill('Ana Lind')
  await sheet.getByRole('button', { name: 'Then a PIN' }).click()
  await signAs(lead, 'Ilse Varrow')
  await expect(lead.getByText('Ana Lind works here from now on.')).toBeVisible()

  // On a tablet that nobody touched.
  await cook.locator('.header-logging-as').click()
  await cook.getByRole('button', { name: /Ana Lind/ }).click()
  await expect(cook.locator('.header-logging-as')).toContainText('Ana Lind')

  const own = await (await browser.newContext()).newPage()
  await own.goto(kitchen.url)
  await own.getByRole('button', { name: 'Ana Lind' }).click()
  for (const key of [...'8264'.split(''), 'Enter']) await own.keyboard.press(key)
  await expect(own.getByText('logging as')).toBeVisible()

  // An auditor's tablet shows everything, and has no key that enters.
  await tap(lead, 'Role of Ana Lind')
  await sheet.getByRole('button', { name: 'Auditor' }).click()
  await signAs(lead, 'Ilse Varrow')
  await expect(own.locator('.header-logging-as')).toContainText('an auditor reads only')
  await expect(own.getByRole('button', { name: 'Start a batch' })).toHaveCount(0)

  await tap(lead, 'Role of Ana Lind')
  await sheet.getByRole('button', { name: 'Works here no more' }).click()
  await signAs(lead, 'Ilse Varrow')
  await expect(lead.getByText('Ana Lind works here no more.')).toBeVisible()
  await expect(lead.getByRole('button', { name: 'PIN of Ana Lind' })).toHaveCount(0)
  await expect(own.getByText('Who opens the shift?')).toBeVisible()
  await expect(own.getByRole('button', { name: 'Ana Lind' })).toHaveCount(0)
})

test('who is not fit to work is between them and the lead, and what they had in hand is listed', async ({
  browser,
}) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await goTo(cook, 'Fit to work')
  await expect(cook.getByText('For the food-safety lead alone.')).toBeVisible()
  await expect(cook.getByRole('region', { name: 'PIN' })).toHaveCount(0)

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await goTo(lead, 'Fit to work')
  await signAs(lead, 'Ilse Varrow')
  await tap(lead, 'Somebody is not fit')
  const sheet = lead.getByRole('dialog')
  await choose(sheet, 'Who', 'Mina Osk')
  await sheet.getByRole('checkbox', { name: 'Vomiting' }).check()
  await typeTime(sheet, 'Time', '07:30')
  await signAs(lead, 'Ilse Varrow')
  await expect(sheet).toBeHidden()
  const card = lead.getByRole('region', { name: 'Mina Osk' })
  await expect(card).toContainText('Stays out of the kitchen')
  await expect(card).toContainText('Vomiting: until 24 hours free of it. Food Code 2022, 2-201.12(A), 2-201.13(A)')
  await expect(card).toContainText('No proven heat came after it')
  await card.getByRole('button', { name: 'Back with open food' }).click()
  await expect(lead.getByRole('dialog')).toContainText('They are not free of it yet.')
  await lead.keyboard.press('Escape')
  await card.getByRole('link').first().click()
  await expect(lead).toHaveURL(/store\/lineage\/batch/)
  // Nothing of it stays on the tablet.
  await goTo(lead, 'Fit to work')
  await expect(lead.getByText('Mina Osk')).toHaveCount(0)
  for (const page of [cook, lead]) await page.context().close()
})
