import { expect, test, type Browser } from '@playwright/test'
import { RunningKitchen, tap, typeDay, type PINS } from './kitchen'
import { begin, check, proven, slab, type } from './guidedBench'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const person = (browser: Browser, name: keyof typeof PINS) => kitchen.person(browser, name)

test('a mousse takes pasteurized lots alone, by name, and is not proven without them', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await begin(page, kitchen.url, 'Malt-milk mousse', async () => {
    await expect(page.locator('.start-egg-terms')).toContainText(
      'Pasteurized lots only: no step of this method heats the egg',
    )
  })
  await tap(page, 'It is ready')
  await tap(page, 'Whipped')
  await tap(page, 'Choose the lot')
  await expect(page.getByRole('button', { name: /T-2207/ })).toBeDisabled()
  await expect(page.getByRole('button', { name: /T-2207/ })).toContainText('not pasteurized: not here')

  // A lot heated here is refused without a variance; one that was bought is taken.
  await tap(page, /Another lot/)
  await tap(page, 'Heated here')
  await tap(page, 'Hold it for the lead')
  await expect(page.getByRole('alert')).toHaveText([
    'Which lot is it? Write down what stands on the tray or carton.',
    'Who is it from?',
  ])
  await expect(page.getByLabel('Lot, as written on it')).toBeFocused()
  await page.getByLabel('Lot, as written on it').fill('H-1')
  await page.getByLabel('From').fill('this kitchen')
  await typeDay(page, 'Use by', '2099-01-01')
  await page.getByLabel(/Read at the door/).fill('4')
  await tap(page, 'Accept it')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .click()
  await expect(page.getByText('only under a written variance, and none is in force')).toBeVisible()
  await tap(page, 'Drop it')

  await expect(check(page, 'pasteurized-egg')).toHaveAttribute('data-standing', 'open')
  await tap(page, 'Folded together')
  await expect(check(page, 'pasteurized-egg')).toHaveAttribute('data-standing', 'unproven')
  await expect(check(page, 'pasteurized-egg')).toContainText('No pasteurized lot is named')
  // What holds air is not stirred.
  await expect(slab(page)).toContainText('Where does it cool?')
  await expect(slab(page).getByRole('button', { name: /stir/ })).toHaveCount(0)
  await tap(page, 'Eggs: which lot')
  await tap(page, /E-077/)
  await tap(page, /as the method says/)
  await tap(page, 'Every lot is named. Back to the pot')
  await proven(page, 'pasteurized-egg')
  await page.context().close()
})

test('a raw-egg mousse takes shell eggs with the advisory, on its label, for a day; never for susceptible people', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  await begin(page, kitchen.url, 'Bitter-orange mousse, raw yolk', async () => {
    const terms = page.locator('.start-egg-terms')
    await expect(terms).toContainText('Contains raw egg.')
    await tap(page, 'For highly susceptible people')
    await expect(terms).toContainText('Pasteurized lots only: it is for highly susceptible people')
    await tap(page, 'For highly susceptible people')
  })
  await tap(page, 'It is ready')
  await tap(page, 'Whipped')
  await tap(page, 'Choose the lot')
  await tap(page, /T-2207/)
  await tap(page, /^Good: \d+, as the method says$/)
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .click()
  await tap(page, 'All clean')
  await tap(page, 'Folded together')
  await expect(check(page, 'raw-class')).toContainText('from when it was combined')
  await type(page, 4.2)
  await expect(page.getByText('Contains raw egg. Raw or undercooked egg')).toBeVisible()
  await page.goto(`${kitchen.url}/methods`)
  await page.getByRole('link', { name: /Bitter-orange mousse/ }).click()
  await expect(page.getByRole('region', { name: 'Label' })).toContainText('Contains raw egg')
  await page.context().close()
})

test('an order for susceptible people takes no shell egg, cooked or not', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await begin(page, kitchen.url, 'Rye-malt custard', async () => {
    await tap(page, 'For highly susceptible people')
    await expect(page.locator('.start-egg-terms')).toContainText(
      'Pasteurized lots only: it is for highly susceptible people',
    )
  })
  await tap(page, 'It is hot')
  await tap(page, 'Choose the lot')
  await expect(page.getByRole('button', { name: /T-2207/ })).toBeDisabled()
  await expect(page.getByRole('button', { name: /Y-118/ })).toBeEnabled()
  await page.context().close()
})

test('a pH of the finished product runs the table, and closes no gate', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Quince-skin' }).click()
  await tap(page, 'More')
  await tap(page, /^pH/)
  await expect(page.getByRole('dialog')).toContainText('Not measured: it needs temperature control')
  await page.getByLabel('pH of the product').fill('15')
  await tap(page, 'Log it')
  await expect(page.getByRole('alert')).toHaveText('pH is a number from 0 to 14, as 3.8.')
  const fill = async (ph: string, buffers: [string, string]) => {
    await page.getByLabel('pH of the product').fill(ph)
    await page.getByLabel('Meter in buffer 4.01').fill(buffers[0])
    await page.getByLabel('Meter in buffer 7.00').fill(buffers[1])
    await page.getByLabel('Which meter').fill('M1')
    await tap(page, 'Log it')
  }
  await fill('3.9', ['4.4', '7'])
  await expect(page.getByRole('dialog')).toContainText('The meter has to read two buffers')
  await fill('3.9', ['4.02', '6.98'])
  await expect(page.getByRole('dialog')).toContainText('By its figures it needs no temperature control')
  await expect(page.getByRole('dialog')).toContainText('table B')
  await page.context().close()
})
