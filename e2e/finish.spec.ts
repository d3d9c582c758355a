import { expect, test, type Page } from '@playwright/test'
import { RunningKitchen, tap } from './kitchen'
import { padded, row } from './store'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

async function open(page: Page, name: string | RegExp): Promise<void> {
  await page.goto(`${kitchen.url}/store`)
  await row(page, name).first().getByRole('button', { name: /^More/ }).click()
}

test('some of it gets its jelly: an item of its own, dated by the older, with a label of its own; a warm one is asked about', async ({
  browser,
}) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  // Not those that stand out for the guests: they are not topped up.
  await open(page, /Orchard trifle.*Walk-in 1/)
  await tap(page, 'Finish')
  const sheet = page.getByRole('dialog')
  // What may not go on is not in the way, and says why.
  await sheet.getByText(/may not go on$/).click()
  await expect(sheet).toContainText('Quince-skin curd')
  await sheet.getByRole('button', { name: /^Rhubarb jelly layer/ }).click()
  await padded(page, 'Its core', '22', 'That is it')
  await expect(sheet.getByRole('alert')).toContainText('At 22.0° it is over 4°')
  await tap(page, 'Read again')
  await padded(page, 'Its core', '3.4', 'That is it')
  await padded(page, /How much, of/, '120', 'Log it')
  await expect(sheet.getByRole('heading', { name: /On how much of Orchard trifle/ })).toBeVisible()
  await padded(page, /How much, of/, '4', 'Log it')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('Orchard trifle + Rhubarb jelly layer')
  await expect(page.getByRole('region', { name: 'What can be done' })).toContainText('4 portions')
  await expect(page.getByRole('region', { name: 'What rules the date' })).toContainText('Rhubarb jelly layer')
  await expect(page.getByText('What the label says has changed: print it again.')).toBeVisible()
  // A dry thing brings its allergens along; all of it keeps its code.
  await tap(page, 'Finish')
  await page.getByLabel(/^Or something dry/).fill('pistachio')
  await sheet.getByRole('button', { name: 'Pistachios', exact: true }).click()
  await expect(sheet).toContainText('It brings tree nuts along.')
  await tap(page, 'Looks good')
  await tap(page, 'It goes on')
  await tap(page, /^All of it/)
  await expect(page.getByRole('region', { name: 'What rules the date' })).toContainText('tree nuts')
  // A mistake goes back whole.
  await tap(page, 'Undo')
  await expect(page.getByText('Taken back: it was made by a mistaken tap, and never was.')).toBeVisible()
  await page.context().close()
})

test('what is warm goes on only if it is said, and the finished one is read until it is cold', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await open(page, 'Chicory pastry cream')
  await tap(page, 'Finish')
  const sheet = page.getByRole('dialog')
  await sheet.getByRole('button', { name: /^Bay-leaf pouring custard/ }).click()
  await padded(page, 'Its core', '31', 'That is it')
  await tap(page, 'It goes on warm')
  await expect(sheet.getByRole('status')).toContainText('read the finished item until a probe finds it cold')
  await padded(page, /How much, of/, '200', 'Log it')
  await tap(page, /^All of it/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText('into the cold')
  await tap(page, 'Read its core')
  await padded(page, 'Core', '3.2', 'Log it')
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('into the cold')
  await page.context().close()
})

test('it leaves the kitchen cold, in a box, to a name, and how it arrives is told', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Mina Osk')
  await open(page, 'Chicory pastry cream')
  await tap(page, 'Send out')
  const sheet = page.getByRole('dialog')
  await tap(page, 'A care home')
  await expect(sheet.getByRole('status')).toContainText('goes nothing raw')
  await expect(sheet.getByRole('button', { name: 'Next' })).toBeDisabled()
  await sheet.getByLabel('Name').fill('Birch house')
  await sheet.getByLabel('What it travels in').fill('insulated box 1, ice packs')
  await tap(page, 'Next')
  await padded(page, 'Its core', '8.2', 'That is it')
  await expect(sheet.getByRole('alert')).toContainText('at 8.2° it is over 4°')
  await tap(page, 'Read again')
  await padded(page, 'Its core', '3.1', 'That is it')
  await padded(page, /How much, of/, '500', 'Log it')
  const sent = page.getByRole('region', { name: 'Sent out' })
  await expect(sent).toContainText('500 g to Birch house')
  await tap(page, 'How it arrived')
  await padded(page, 'How cold it was', '9.6', 'Log it')
  await expect(sent).toContainText('Arrived at 9.6°, over its limit: it is not eaten')
  await expect(page.getByRole('heading', { level: 1 })).toContainText('It went out against a hold or a limit')
  await page.context().close()
})
