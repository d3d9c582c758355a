import { randomUUID } from 'node:crypto'
import { expect, test, type APIRequestContext, type Page } from '@playwright/test'
import { openShift, PINS, RunningKitchen } from './kitchen'

interface Line {
  seq: number
  kitchen: { id: string }
  batches: { id: string; method: { name: string }; facts: { 'reading-taken': { entry: string }[] } }[]
  instruments: { id: string; kind: string }[]
}

let kitchen: RunningKitchen
test.describe.configure({ mode: 'serial' })
test.beforeEach(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterEach(() => kitchen.close())

async function signedIn(request: APIRequestContext) {
  const [login] = (await (await request.get(`${kitchen.url}/api/login`)).json()) as {
    id: string
    people: { id: string; name: string }[]
  }[]
  const named = login!.people.find(({ name }) => name === 'Mina Osk')!.id
  const device = randomUUID()
  const asked = { kitchen: login!.id, person: named, pin: PINS['Mina Osk'], device }
  const opened = await request.post(`${kitchen.url}/api/shift`, { data: asked })
  const { shift } = (await opened.json()) as { shift: { kitchen: string; person: string } }
  const line = async () => (await (await request.get(`${kitchen.url}/api/line`)).json()) as Line
  const { batches, instruments } = await line()
  const batch = batches.find(({ method }) => method.name.startsWith('Bay-leaf'))!.id
  const instrument = instruments.find(({ kind }) => kind === 'probe')!.id
  const reading = (value: number) => {
    const at = kitchen.now
    const body = { typed: { value, unit: 'C' }, where: 'core', of: 'mixture', instrument }
    const about = { type: 'batch', id: batch }
    return {
      id: randomUUID(),
      kitchen: shift.kitchen,
      kind: 'reading-taken',
      v: 1,
      about,
      at,
      madeAt: at,
      by: shift.person,
      device,
      body,
    }
  }
  const post = async (entries: unknown[]) =>
    request.post(`${kitchen.url}/api/entries`, { data: { sentAt: kitchen.now, entries } })
  return { line, batch, reading, post }
}

/** Teo at the Bench of the custard that cools. */
async function atTheStove(page: Page): Promise<void> {
  await openShift(page, kitchen.url, 'Teo Brandt')
  await page.locator('.line-name', { hasText: 'Bay-leaf' }).click()
  await expect(page.getByRole('region', { name: /Degree board/ })).toBeVisible()
}

test('a crash between entries loses none that was acknowledged, and nothing stops the next start', async ({
  request,
}) => {
  const { line, batch, reading, post } = await signedIn(request)
  const acknowledged: string[] = []
  const before = (await line()).seq
  const sending = (async () => {
    for (let i = 0; i < 400; i++) {
      const claim = reading(30 - i / 100)
      const answer = await post([claim]).catch(() => null)
      if (!answer?.ok() || !(await answer.text()).includes('"accepted"')) return
      acknowledged.push(claim.id)
    }
  })()
  await expect.poll(() => acknowledged.length).toBeGreaterThan(20)
  await kitchen.die()
  await sending
  expect(acknowledged.length).toBeLessThan(400)

  await kitchen.startAgain()
  const after = await line()
  const kept = new Set(after.batches.find(({ id }) => id === batch)!.facts['reading-taken'].map(({ entry }) => entry))
  expect(acknowledged.filter((id) => !kept.has(id))).toEqual([])
  expect(after.seq).toBeGreaterThanOrEqual(before + acknowledged.length)
})

test('a lost database is said, what was typed is kept, and all goes on by itself once it is back', async ({
  page,
  request,
}) => {
  const { reading, post, line } = await signedIn(request)
  const before = (await line()).seq
  await atTheStove(page)
  const letItStart = kitchen.killDatabase()
  await expect
    .poll(async () => {
      const answer = await post([reading(30)])
      const { detail } = (await answer.json()) as { detail?: string }
      return `${answer.status()} ${detail}`
    })
    .toBe(
      '503 The logbook does not answer just now. Send it again in a moment: what it has already is not entered twice.',
    )
  await page.keyboard.type('31.4')
  await page.keyboard.press('Enter')
  await expect(page.getByText('1 entry kept')).toBeVisible()
  await expect(page.locator('[data-check="cool-first"] .sentence')).toContainText('31.4°')
  letItStart()
  await expect(page.getByText(/kept$/)).toBeHidden({ timeout: 60_000 })
  await expect.poll(async () => (await line()).seq).toBe(before + 1)

  // The stream of entries has come back by itself too.
  await post([reading(30.7)])
  await expect(page.locator('[data-check="cool-first"] .sentence')).toContainText('30.7°', { timeout: 20_000 })
})

test('a logbook that another holds for half a minute: what is typed stands at once, is told as on its way, and is there once', async ({
  page,
  request,
}) => {
  const { line } = await signedIn(request)
  await atTheStove(page)
  const before = (await line()).seq
  const letGo = await kitchen.holdLogbook()
  await page.keyboard.type('28.4')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-check="cool-first"] .sentence')).toContainText('28.4°')
  await expect(page.getByText(/on its way|kept$/).first()).toBeVisible()
  // Longer than a post is waited for: the tablet sends it once more.
  await page.waitForTimeout(30_000)
  await expect(page.getByText(/kept$/)).toBeVisible()
  await letGo()
  await expect(page.getByText(/kept$/)).toBeHidden({ timeout: 60_000 })
  expect((await line()).seq).toBe(before + 1)
})

test('a full disk of the server: that is said, what is typed waits through a reload, and is there once when there is room', async ({
  page,
  request,
}) => {
  const { line } = await signedIn(request)
  await atTheStove(page)
  const before = (await line()).seq
  const makeRoom = await kitchen.fillDisk()
  await page.keyboard.type('27.9')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-check="cool-first"] .sentence')).toContainText('27.9°')
  const key = page.getByRole('button', { name: /disk is full.*1 entry kept/ })
  await expect(key).toBeVisible()
  await page.reload()
  await key.click()
  const sheet = page.getByRole('dialog', { name: 'Only on this tablet' })
  await expect(sheet).toContainText('is sent in this order once there is room')
  await sheet.getByRole('button', { name: 'Done' }).click()
  expect((await line()).seq).toBe(before)
  await makeRoom()
  await expect(page.getByText(/kept$/)).toBeHidden({ timeout: 60_000 })
  expect((await line()).seq).toBe(before + 1)
})

test('a lost disk: the backup comes back, and the tablet sends again what came after it', async ({ page, request }) => {
  const backup = kitchen.file('evening.backup')
  await atTheStove(page)
  expect(kitchen.ledger('backup', backup)).toContain('The copy was gone through')
  await page.keyboard.type('29.4')
  await page.keyboard.press('Enter')
  await expect(page.locator('[data-check="cool-first"] .sentence')).toContainText('29.4°')
  const { line } = await signedIn(request)
  const before = (await line()).seq
  await kitchen.stop()
  kitchen.loseDisk()
  expect(kitchen.ledger('restore', backup)).toContain('tablets send what is missing')
  await kitchen.startAgain()
  expect(kitchen.ledger('verify')).toContain('none altered, none missing')

  // Its shift went with the disk; what it sent did not.
  await openShift(page, kitchen.url, 'Teo Brandt')
  const again = await signedIn(request)
  await expect.poll(async () => (await again.line()).seq).toBeGreaterThanOrEqual(before + 1)
  await page.locator('.line-name', { hasText: 'Bay-leaf' }).click()
  await expect(page.locator('[data-check="cool-first"] .sentence')).toContainText('29.4°')
  await expect(page.getByText('not the one that this tablet saw')).toBeHidden()
})
