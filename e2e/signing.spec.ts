import { expect, test } from '@playwright/test'
import { RunningKitchen, signAs, tap, typeTime } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('the lead sets the week, names a deputy for hours in which nobody can sign, and the deputy signs in them', async ({
  browser,
}) => {
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/hours`)
  // Open day and night, and nobody named: nobody can sign now, whatever the time is as this runs.
  await tap(lead, /^Change Mon/)
  const sheet = lead.getByRole('dialog')
  for (const name of ['Opens', 'Closes']) await typeTime(sheet, name, '00:00')
  for (const name of ['Ilse Varrow', 'Noor Hallet']) await sheet.getByRole('button', { name: `Remove ${name}` }).click()
  await tap(lead, 'The same every day')
  await expect(lead.getByRole('heading', { level: 1 })).toHaveText(
    'Open 168 h a week. Nobody can sign for 168 h of them.',
  )
  await tap(lead, 'Save from now on')
  await signAs(lead, 'Ilse Varrow')

  await expect(lead.getByRole('heading', { level: 1 })).toContainText('nobody can sign. Name a deputy.')
  await tap(lead, 'Name a deputy')
  await sheet.getByRole('button', { name: /^Noor Hallet/ }).click()
  await signAs(lead, 'Ilse Varrow')
  await expect(
    lead
      .getByRole('region', { name: /^Who can sign/ })
      .getByRole('listitem')
      .last(),
  ).toContainText('Noor Hallet')
  await lead.context().close()

  const chef = await kitchen.person(browser, 'Noor Hallet')
  await tap(chef, /^Decide \d/)
  await chef.getByRole('dialog').getByRole('button', { name: 'Decide' }).first().click()
  await tap(chef, 'Discard')
  await chef.getByLabel('Reason, in writing').fill('Nobody read it in time')
  await expect(chef.getByRole('dialog')).toContainText('You stand in for the lead')
  await signAs(chef, 'Noor Hallet')
  await chef.context().close()
  const cook = await kitchen.person(browser, 'Teo Brandt')
  await expect(cook.getByRole('button', { name: /^Decide \d/ })).toHaveCount(0)
  await cook.context().close()
})
