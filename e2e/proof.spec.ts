import { readFileSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import { expect, test, type Browser, type Download, type Locator, type Page } from '@playwright/test'
import { expectAccessible } from './accessible'
import { RunningKitchen, tap } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

async function savedAs(download: Promise<Download>, name: string): Promise<string> {
  const path = join(test.info().outputDir, name)
  await (await download).saveAs(path)
  return path
}

/** The checker as it was saved, opened where there is no network and no server of ours. */
async function checker(browser: Browser, path: string): Promise<Page> {
  const page = await (await browser.newContext({ offline: true })).newPage()
  page.on('pageerror', (error) => expect(error.message).toBe(''))
  page.on('request', (request) => expect(request.url()).toMatch(/^(file|blob|data):/))
  await page.goto(pathToFileURL(path).href)
  return page
}

test('the lead hands out a period; an inspector checks it alone, and sees what was changed in it', async ({
  browser,
}) => {
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.getByRole('link', { name: 'Log', exact: true }).click()
  await lead.getByRole('link', { name: 'Hand out' }).click()
  await expectAccessible(lead)
  await tap(lead, 'Make a packet')
  const packet = lead.locator('[data-state="ready"]')
  await expect(packet).toContainText('Kept until', { timeout: 60_000 })
  const download = lead.waitForEvent('download')
  await packet.getByRole('link', { name: 'Download' }).click()
  const zip = await savedAs(download, 'packet.zip')
  const page = lead.waitForEvent('download')
  await lead.getByRole('link', { name: 'The checker alone' }).click()
  const check = await checker(browser, await savedAs(page, 'check.html'))

  await expectAccessible(check)
  await check.getByLabel('Take a file').setInputFiles(zip)
  await expect(check.getByText('Everything in this file checks out.')).toBeVisible()
  await expect(check.getByText(/^\d+ entries are shown, unchanged\./)).toBeVisible()
  await expect(check.getByText(/^18 batches: 10 proven, 2 not proven, 1 missed/)).toBeVisible()
  await expect(check.getByRole('heading', { name: 'Compare with paper' })).toBeVisible()
  await expectAccessible(check)

  // A batch alone, and the same with one digit of a reading changed.
  await lead.goto(`${kitchen.url}/log`)
  await lead.locator('a[href*="/log/batch/"]').first().click()
  const one = lead.waitForEvent('download')
  await lead.getByRole('link', { name: 'Proof file' }).click()
  const proof = await savedAs(one, 'batch.proof')
  await check.getByLabel('Take a file').setInputFiles(proof)
  await expect(check.getByText('Everything in this file checks out.')).toBeVisible()
  await expect(check.getByText(/others stand in as hashes/)).toBeVisible()
  const changed = join(test.info().outputDir, 'changed.proof')
  writeFileSync(changed, readFileSync(proof, 'utf8').replace(/\\"value\\":\d/, '\\"value\\":9'))
  await check.getByLabel('Take a file').setInputFiles(changed)
  await expect(check.getByText('This file does not check out.')).toBeVisible()
  await expect(check.getByText(/^Line \d+: entry \d+ is not the text that was sealed\.$/)).toBeVisible()
  await check
    .getByLabel('Take a file')
    .setInputFiles({ name: 'menu.zip', mimeType: '', buffer: Buffer.from('PK menu') })
  await expect(check.getByText('There is no proof file in this archive.')).toBeVisible()

  // Its record on paper opens beside.
  const href = await lead.getByRole('link', { name: 'Record (PDF)' }).getAttribute('href')
  const paper = await lead.request.get(new URL(href!, kitchen.url).href)
  expect(paper.headers()['content-type']).toBe('application/pdf')
  expect((await paper.body()).subarray(0, 5).toString()).toBe('%PDF-')
})

test('a cook is told that records are the lead’s to hand out', async ({ browser }) => {
  const cook = await kitchen.person(browser, 'Mina Osk')
  await cook.goto(`${kitchen.url}/log/packets`)
  await expect(cook.getByText('Records to hand out are the lead’s, and an auditor’s.')).toBeVisible()
  await expect(cook.getByRole('button', { name: 'Make a packet' })).toHaveCount(0)
})

test('the records of one thing are taken from its own page: a probe, a refrigerator, a lot, a plan, a day', async ({
  browser,
}) => {
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  const taken = async (name: string, within: Page | Locator = lead) => {
    const href = await within.getByRole('link', { name, exact: true }).first().getAttribute('href')
    const answer = await lead.request.get(new URL(href!, kitchen.url).href)
    return `${answer.status()} ${answer.headers()['content-type']!.split(';')[0]}`
  }
  const opened = async (path: string, heading: RegExp) => {
    await lead.goto(`${kitchen.url}${path}`)
    await expect(lead.getByRole('link', { name: heading }).first()).toBeVisible()
  }
  const line = (await (await lead.request.get(`${kitchen.url}/api/line`)).json()) as Record<
    'instruments' | 'lots' | 'methods',
    { id: string }[]
  >
  await opened(`/instruments/${line.instruments[0]!.id}`, /^Record/)
  expect([await taken('Record (PDF)'), await taken('CSV')]).toEqual(['200 application/pdf', '200 text/csv'])
  await opened(`/store/lineage/lot/${line.lots[0]!.id}`, /^Record/)
  expect([await taken('Record (PDF)'), await taken('JSON')]).toEqual(['200 application/pdf', '200 application/json'])
  await opened(`/methods/${line.methods[0]!.id}/plan`, /^Plan/)
  expect(await taken('Plan (PDF)')).toBe('200 application/pdf')
  await opened('/log/review', /^Day sheet/)
  expect([await taken('Day sheet (PDF)'), await taken('Proof file')]).toEqual([
    '200 application/pdf',
    '200 application/x-ndjson',
  ])
  await opened('/log/packets', /^Record/)
  const air = lead.getByRole('group', { name: 'Air of refrigerators and freezers' })
  expect(await taken('CSV', air)).toBe('200 text/csv')
  await lead.context().close()
})
