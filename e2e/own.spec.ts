import { expect, test } from '@playwright/test'
import { RunningKitchen, tap, typeDay } from './kitchen'
import { row } from './store'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('what no list has is named at the door and found at the stove; what the lead reads later is on what is held of it', async ({
  browser,
}) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await cook.goto(`${kitchen.url}/store/receive`)
  await tap(cook, 'Anything else')
  await cook.getByLabel('What it is', { exact: true }).fill('Quay crumble')
  await tap(cook, 'Make it an ingredient of our own')
  await cook.getByLabel('What it is most like').fill('plain biscuits')
  await cook.getByRole('option', { name: 'Plain biscuits', exact: true }).click()
  await tap(cook, 'Make it an ingredient')
  await cook.getByLabel('Lot, as written on it').fill('QC-1')
  await cook.getByLabel('From', { exact: true }).fill('Hill mill')
  await cook.getByLabel('How much, g').fill('900')
  await typeDay(cook, 'Use by', '2099-01-01')
  await tap(cook, 'Accept it')
  await cook.goto(`${kitchen.url}/store`)
  await row(cook, 'Quay crumble').getByRole('link').first().click()
  await expect(cook.getByText(/Quay crumble/).first()).toBeVisible()
  await expect(cook.getByRole('main')).toContainText('Not known: Quay crumble')
  const address = cook.url()

  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/methods`)
  await tap(lead, /^Own ingredients/)
  await tap(lead, 'Put Quay crumble right')
  await tap(lead, 'Read from its package')
  await lead.getByLabel('tree nuts').check()
  await expect(lead.getByRole('dialog')).toContainText('1 item in the cold has it in')
  await tap(lead, 'Save')
  await expect(lead.getByRole('dialog')).toContainText('like plain biscuits · tree nuts')
  await lead.goto(address)
  await expect(lead.getByRole('heading', { level: 1 })).toContainText('it contains tree nuts')
  await lead.context().close()
  await cook.context().close()
})
