import { expect, test, type Page } from '@playwright/test'
import { goTo, RunningKitchen, tap, tapReading } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open(['--empty'])
})
test.afterAll(() => kitchen.close())

const PIN = '735216'

async function sign(page: Page): Promise<void> {
  for (const digit of PIN)
    await page.getByRole('region', { name: 'PIN' }).getByRole('button', { name: digit, exact: true }).click()
}

test('a kitchen is set up with the code from the console, holds nothing that nobody has, and comes to its first proven floor', async ({
  browser,
}) => {
  const page = await (await browser.newContext()).newPage()
  await page.goto(kitchen.url)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('This kitchen is new.')
  await tap(page, 'Then a PIN')
  await expect(page.getByText('The set-up code has eight letters and digits.')).toBeVisible()
  await page.getByLabel('Set-up code').fill('ABCD-2345')
  await page.getByLabel('Name of the kitchen').fill('Fennimore Row pastry')
  await page.getByLabel('Food-safety lead').fill('Ilse Varrow')
  await tap(page, 'Then a PIN')
  await expect(page.getByText('Choose the rules that your inspector uses.')).toBeVisible()
  await page.getByLabel('Rules that your inspector uses').click()
  await page.getByRole('option', { name: 'Food Code 2022' }).click()
  await tap(page, 'Then a PIN')
  for (let i = 0; i < 2; i++) {
    await sign(page)
    await tap(page, 'Done')
  }
  // A wrong code: back beside it, with everything else as it was typed.
  await expect(page.getByText('That is not the set-up code.')).toBeVisible()
  await expect(page.getByLabel('Name of the kitchen')).toHaveValue('Fennimore Row pastry')
  const [, code] = /set-up code: (\S+)/.exec(kitchen.printed)!
  await page.getByLabel('Set-up code').fill(code!.toLowerCase())
  await page.getByRole('button', { name: '°C' }).click()
  await page.getByRole('button', { name: '24 h' }).click()
  await page.getByRole('checkbox', { name: /Stricter, as a line of this house: .*71/ }).check()
  await tap(page, 'Then a PIN')
  for (let i = 0; i < 2; i++) {
    await sign(page)
    await tap(page, 'Done')
  }
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Nothing on the stove yet.')
  await expect(page.locator('.header-logging-as')).toContainText('Ilse Varrow')
  await goTo(page, 'Limits')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('The house is stricter in one')
  // What it is called changes from now on, signed by the lead.
  await goTo(page, 'Settings')
  await tap(page, 'Change')
  await page.getByLabel('Address').fill('14 Fennimore Row')
  await tap(page, 'Save from now on')
  await sign(page)
  await expect(page.getByRole('region', { name: 'This kitchen' })).toContainText('14 Fennimore Row')
  await page.goto(kitchen.url)
  // The code was good once.
  const again = await page.request.post(`${kitchen.url}/api/set-up`, {
    data: {
      code,
      name: 'Another',
      zone: 'UTC',
      unit: 'C',
      ruleSet: 'us-food-code-2022',
      lead: 'Teo Brandt',
      pin: PIN,
      device: '01a20ba0-a682-723e-bf1d-298b1d1336f8',
    },
  })
  expect(again.status()).toBe(403)

  // No eggs, no units, nothing to read with, and no method in force: the Line leads to each.
  const steps = page.getByRole('region', { name: 'First steps' })
  await expect(steps.getByRole('link')).toHaveCount(7)
  await expect(steps.getByText('It is there.')).toHaveCount(0)
  await goTo(page, 'Stock list')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('0 things are held.')
  await page.goto(`${kitchen.url}/start`)
  await expect(page.getByText('This kitchen has no method to start yet.')).toBeVisible()
  await page.goto(kitchen.url)
  await steps.getByRole('link', { name: /^A probe/ }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Without a probe no reading proves a core.')

  // A code is asked for once, and the lead's PIN; a wrong one registers nothing.
  await tap(page, 'Add an instrument')
  await tap(page, 'Register it')
  await expect(page.getByRole('alert')).toHaveText('Enter the code written on it, such as P3.')
  await page.getByLabel('Code written on it').fill('P3')
  await tap(page, 'Register it')
  for (const digit of '111222')
    await page.getByRole('region', { name: 'PIN' }).getByRole('button', { name: digit, exact: true }).click()
  await expect(page.getByRole('dialog')).toContainText('Wrong PIN')
  await sign(page)
  const p3 = page.getByRole('region', { name: 'P3, Core probe' })
  await expect(p3).toContainText('it proves nothing until then')
  await tap(page, 'Add an instrument')
  await page.getByLabel('Code written on it').fill('P3')
  await tap(page, 'Register it')
  await expect(page.getByRole('alert')).toHaveText('P3 is registered already.')
  await tap(page, 'Not now')

  // A probe proves nothing before it was in ice: three readings, stirred in between.
  await tap(page, /^First check/)
  await tap(page, 'It is ready')
  for (let i = 0; i < 3; i++) {
    await kitchen.passes(0.6, page)
    await page.getByRole('button', { name: '0.1', exact: true }).click()
  }
  await tap(page, 'Log the check')
  await expect(p3).toContainText('reads 0.1° high')

  await page.goto(kitchen.url)
  for (const step of [/^A probe/, /^The probe checked in ice/])
    await expect(steps.getByRole('link', { name: step })).toContainText('It is there.')
  await steps.getByRole('link', { name: 'A method in force' }).click()
  await page.getByRole('link', { name: 'Rye-malt custard' }).click()
  await tap(page, 'Put version 1 in force')
  await sign(page)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Version 1, in force')
  await page.goto(`${kitchen.url}/start`)
  await page.getByRole('radio', { name: /Rye-malt/ }).click()
  await tap(page, /^Start \d/)
  await tap(page, 'It is hot')
  await tap(page, 'All combined')
  await tapReading(page, 80.3)
  await expect(page.locator('[data-check="egg"]')).toHaveAttribute('data-standing', 'proven')
  await page.context().close()
})
