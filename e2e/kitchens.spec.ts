import { expect, test } from '@playwright/test'
import { Secret, TOTP } from 'otpauth'
import { expectAccessible } from './accessible'
import { RunningKitchen, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('one sign-in sees two kitchens beside each other; opened, each sees itself alone', async ({ page }) => {
  const signIn = async () => {
    await page.getByLabel('Name to sign in with').fill('ilse.varrow')
    await page.getByLabel('Password').fill('copper pan by the door')
    await tap(page, 'Sign in')
  }
  await page.goto(kitchen.url)
  await tap(page, 'Sign in with a password')
  await page.getByLabel('Name to sign in with').fill('ilse.varrow')
  await page.getByLabel('Password').fill('not this one at all')
  await tap(page, 'Sign in')
  await expect(page.getByRole('alert')).toHaveText('Wrong name or password.')
  await signIn()

  // Beside the password a code of an app, which this test is.
  await tap(page, 'Turn on')
  const sheet = page.getByRole('dialog')
  await sheet.getByLabel('Password').fill('copper pan by the door')
  await tap(page, 'Next')
  const secret = await sheet.getByText(/^[A-Z2-7]{32}$/).innerText()
  const code = async (stepsOn: number) => {
    const now = Number((await page.request.get(`${kitchen.url}/api/live/now`)).headers()['lt-now'])
    return new TOTP({ secret: Secret.fromBase32(secret) }).generate({ timestamp: now + stepsOn * 30_000 })
  }
  await sheet.getByLabel('Code').fill(await code(0))
  await sheet.getByRole('button', { name: 'Turn on' }).click()
  await expect(sheet.getByRole('listitem')).toHaveCount(8)
  await tap(page, 'Done')
  await tap(page, 'Sign out')
  await signIn()
  await page.getByLabel(/^Code of your app/).fill(await code(1))
  await tap(page, 'Sign in')

  await tap(page, 'Kitchens side by side')
  const near = page.getByRole('region', { name: 'Fennimore Row pastry' })
  const far = page.getByRole('region', { name: 'Tollgate Lane pastry' })
  await expect(near.getByRole('listitem').first()).toContainText('Bay-leaf pouring custard')
  await expect(far.getByRole('listitem')).toHaveCount(3)
  await expect(page.getByRole('row', { name: /^Begun/ })).toContainText('3')
  await expectAccessible(page)
  const group = (await (await page.request.get(`${kitchen.url}/api/group`)).json()) as { kitchens: { id: string }[] }
  const line = await page.request.get(`${kitchen.url}/api/group/${group.kitchens[0]!.id}/line`)
  const [foreign] = ((await line.json()) as { batches: { id: string }[] }).batches

  // In the second kitchen its group lead audits: reads it, enters nothing, and nothing of the first is there.
  await tap(page, 'Your sign-in')
  await tap(page, /^Tollgate Lane pastry/)
  await expect(page.locator('[data-batch]')).toHaveCount(3)
  await expect(page.locator('[data-batch]', { hasText: 'Bay-leaf' })).toHaveCount(0)
  await expect(page.getByRole('button', { name: /^Start a batch/ })).toHaveCount(0)
  const asked = await page.request.get(`${kitchen.url}/api/batches/${foreign!.id}`)
  expect(asked.status()).toBe(404)
  await page.goto(`${kitchen.url}/bench/${foreign!.id}`)
  await expect(page.locator('body')).not.toContainText('Bay-leaf')
})
