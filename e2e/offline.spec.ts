import { createHash, X509Certificate } from 'node:crypto'
import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { chromium, expect, test, type BrowserContext, type Page } from '@playwright/test'
import { openShift, PINS, RunningKitchen, sent, signAs, tapReading } from './kitchen'
import { row } from './store'

let kitchen: RunningKitchen
let folder: string
test.describe.configure({ mode: 'serial' })
test.use({ serviceWorkers: 'allow' })
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
  folder = mkdtempSync(join(tmpdir(), 'lt-tablet-'))
})
test.afterAll(async () => {
  await kitchen.close()
  rmSync(folder, { recursive: true, force: true })
})

/** A browser that can be closed and opened again with all it kept. */
async function tablet(at = folder, more: string[] = []): Promise<BrowserContext> {
  const { launchOptions, viewport } = test.info().project.use
  return chromium.launchPersistentContext(at, {
    ...launchOptions,
    args: [...(launchOptions?.args ?? []), ...more],
    viewport: viewport ?? null,
    reducedMotion: 'reduce',
  })
}

const status = (page: Page) => page.locator('header div[role=status]')

/** From the Line to the Bench of a dish. */
async function toBench(page: Page, dish: RegExp): Promise<void> {
  await page.getByRole('link', { name: dish }).first().click()
  await expect(page.getByRole('region', { name: /Degree board/ })).toBeVisible()
}

/** The readings of the batch of a Bench as the server has them, in that order. */
async function typed(page: Page): Promise<number[]> {
  const batch = page.url().split('/').at(-1)!
  const answer = await page.request.get(`${new URL(page.url()).origin}/api/batches/${batch}/entries`)
  const { entries } = (await answer.json()) as {
    entries: { claim: { kind: string; body: { typed?: { value: number } } } }[]
  }
  return entries.flatMap(({ claim }) => (claim.kind === 'reading-taken' ? [claim.body.typed!.value] : []))
}

/** Makes the tablet one of the kitchen: only of such a one the server can say when it had no network. */
async function enrol(page: Page, name = 'Stove'): Promise<void> {
  const line = (await (await page.request.get(`${kitchen.url}/api/line`)).json()) as {
    people: { id: string; name: string }[]
  }
  const signer = line.people.find(({ name }) => name === 'Ilse Varrow')!.id
  const data = { name, signer, pin: PINS['Ilse Varrow'] }
  expect((await page.request.post(`${kitchen.url}/api/tablets`, { data })).ok()).toBe(true)
}

/** How each check of the batch of a Bench stands on the server, and how many readings came too late for it. */
async function standings(page: Page): Promise<Record<string, string>> {
  const answer = await page.request.get(`${kitchen.url}/api/batches/${page.url().split('/').at(-1)}`)
  const { findings, batch } = (await answer.json()) as {
    findings: { check: { key: string }; standing: string }[]
    batch: { facts: { 'reading-taken': { late: boolean }[] } }
  }
  const late = batch.facts['reading-taken'].filter((each) => each.late).length
  return { ...Object.fromEntries(findings.map(({ check, standing }) => [check.key, standing])), late: `${late} late` }
}

test('half an hour without a network: twenty readings outlive reloads and a closed browser, prove what they prove, and the server says the same', async () => {
  let context = await tablet()
  let page = context.pages()[0]!
  await openShift(page, kitchen.url, 'Mina Osk')
  await enrol(page)
  await page.evaluate(() => navigator.serviceWorker.ready)
  await page.goto(kitchen.url)
  await toBench(page, /Bay-leaf/)
  const bench = page.url()

  // What was open before goes on in this browser as if there was a network.
  await context.setOffline(true)
  // The browser's clocks count from here, those of a page too: all that follows begins after the server last heard of it.
  await context.clock.install({ time: Date.now() + 2000 })
  await page.reload()
  const logged: number[] = []
  const logs = async (count: number) => {
    // A page that is just loading has not found what it kept: hands wait for the board too.
    await expect(page.getByRole('region', { name: /Degree board/ })).toBeVisible()
    for (let i = 0; i < count; i++) {
      await context.clock.fastForward(90_000)
      const value = Math.round((24.3 - logged.length * 0.2) * 10) / 10
      await tapReading(page, value)
      logged.push(value)
      await expect(status(page)).toContainText(`${logged.length} ${logged.length === 1 ? 'entry' : 'entries'} kept`)
    }
  }
  await logs(6)
  await page.reload()
  await logs(6)
  await context.close()
  // Opened again as much later as its clocks have gone on.
  const passed = 12 * 90_000 + 2000
  context = await tablet()
  await context.setOffline(true)
  await context.clock.install({ time: Date.now() + passed })
  page = context.pages()[0]!
  await page.goto(bench)
  await logs(4)
  await page.reload()
  await logs(4)
  const proof = page.locator('[data-check="cool-first"]')
  await expect(proof).toHaveAttribute('data-standing', 'proven')

  await kitchen.passes(30.2)
  await context.setOffline(false)
  await context.clock.fastForward(3000)
  await sent(page)
  await expect(status(page)).toHaveCount(0)
  expect((await typed(page)).slice(-20)).toEqual(logged)
  await expect(proof).toHaveAttribute('data-standing', 'proven')
  expect(await standings(page)).toMatchObject({ 'cool-first': 'proven', late: '0 late' })
  // The record says how it came.
  await page.goto(bench.replace('/bench/', '/log/batch/'))
  await expect(page.getByText(/entered on a tablet without a network, 14:\d\d to 15:0\d/).first()).toBeVisible()
  await context.close()
})

test('over a network that is slow and loses every third message, what is tapped stands at once and arrives once, in order', async () => {
  const context = await tablet()
  const page = context.pages()[0]!
  let count = 0
  await context.route('**/api/**', async (route) => {
    if (route.request().url().includes('/api/live?')) return route.continue()
    await new Promise((done) => setTimeout(done, 2000))
    // Lost on its way there, or on its way back: the tablet cannot tell.
    const fate = (['lost', 'comes', 'comes', 'lost after', 'comes', 'comes'] as const)[count++ % 6]!
    if (fate === 'comes') return route.continue().catch(() => undefined)
    if (fate === 'lost after') await route.fetch().catch(() => undefined)
    return route.abort().catch(() => undefined)
  })
  await page.goto(kitchen.url)
  await toBench(page, /Walnut-leaf/)
  const values = [31.4, 31.1, 30.8, 30.5]
  for (const value of values) {
    await tapReading(page, value)
    // It stands before anybody else knows of it.
    await expect(page.getByText(`${value}°C logged`)).toBeVisible()
    await expect(page.locator('html[data-unsent]')).toHaveCount(1)
  }
  await sent(page)
  await expect(status(page)).toHaveCount(0)
  expect((await typed(page)).slice(-4)).toEqual(values)
  await context.close()
})

test('the tabs of a tablet have one outbox and one line to the server: what one enters the other sends', async () => {
  const context = await tablet()
  const first = context.pages()[0]!
  await first.goto(kitchen.url)
  await toBench(first, /Bay-leaf/)
  const second = await context.newPage()
  let streams = 0
  for (const page of [first, second])
    page.on('request', (request) => (streams += request.url().includes('/api/live?') ? 1 : 0))
  await second.goto(first.url())
  await expect(second.getByRole('region', { name: /Degree board/ })).toBeVisible()
  await expect.poll(() => streams).toBe(1)

  await context.setOffline(true)
  await tapReading(second, 22.4)
  await expect(status(second)).toContainText('1 entry kept')
  await expect(status(first)).toContainText('1 entry kept')
  await expect(first.locator('[data-check="cool-first"] .sentence')).toContainText('22.4°')
  // It was not made there: no Undo is offered.
  await expect(first.getByRole('button', { name: /^Undo/ })).toHaveCount(0)
  await second.close()
  await context.setOffline(false)
  await sent(first)
  await expect(status(first)).toHaveCount(0)
  expect((await typed(first)).slice(-1)).toEqual([22.4])
  await context.close()
})

test('one throws away what the other sells, neither hearing of it: nothing is lost, and the lead says which is so', async ({
  browser,
}) => {
  const contradicts = (page: Page) => page.getByRole('heading', { name: /Two tablets contradict each other/ })
  const tablets = await Promise.all(
    (['Mina Osk', 'Teo Brandt'] as const).map(async (name) => {
      const page = await kitchen.person(browser, name)
      await enrol(page, `${name}’s tablet`)
      await page.goto(`${kitchen.url}/store`)
      await row(page, 'Chicory pastry cream').getByRole('link').first().click()
      await expect(page.getByRole('button', { name: 'Sold, served' })).toBeVisible()
      await page.evaluate(() => navigator.serviceWorker.ready)
      await page.context().clock.install()
      await page.reload()
      await expect(page.getByRole('button', { name: 'Sold, served' })).toBeVisible()
      await page.context().setOffline(true)
      await page.reload()
      await expect(page.getByRole('button', { name: 'Sold, served' })).toBeVisible()
      await page.context().clock.fastForward(5 * 60_000)
      return page
    }),
  )
  const [thrower, seller] = tablets as [Page, Page]
  await thrower.getByRole('button', { name: 'Discard', exact: true }).click()
  await expect(status(thrower)).toContainText('1 entry kept')
  await seller.getByRole('button', { name: 'Sold, served' }).click()
  await seller.getByRole('button', { name: /^All of it/ }).click()
  await expect(status(seller)).toContainText('1 entry kept')
  // Without the server the tablet draws the label itself, and prints it.
  const picture = seller.getByRole('img', { name: /^Label of Chicory pastry cream/ })
  expect(await picture.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(100)
  await seller.evaluate(() => {
    window.print = () => {
      const labels = document.querySelectorAll<HTMLImageElement>('[data-printed] img')
      document.title = `printed ${[...labels].filter(({ naturalWidth }) => naturalWidth > 0).length}`
    }
  })
  await seller.getByRole('region', { name: 'Label', exact: true }).getByRole('button', { name: 'Print labels' }).click()
  await expect(seller).toHaveTitle('printed 1')
  await expect(status(seller)).toContainText('2 entries kept')

  await kitchen.passes(10)
  for (const page of tablets) {
    await page.context().setOffline(false)
    await page.context().clock.fastForward(5 * 60_000)
    await sent(page)
    await expect(status(page)).toHaveCount(0)
  }
  for (const page of tablets) await expect(contradicts(page)).toBeVisible()
  await expect(seller.getByRole('region', { name: 'What does not fit together' })).toContainText(
    /Teo Brandt, \d\d:\d\d: .* It counts/,
  )
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(seller.url())
  await lead.getByRole('button', { name: 'The lead decides' }).click()
  await lead.getByLabel(/What you found out from both/).fill('two slices were sold before the rest went into the bin')
  await signAs(lead, 'Ilse Varrow')
  await expect(contradicts(lead)).toHaveCount(0)
  for (const page of [...tablets, lead]) await page.context().close()
})

/** Another program in a folder of built files, as far as a browser and the server can tell. */
function putAnotherProgram(root: string): void {
  const change = (name: string, pattern: RegExp, to: string) => {
    const was = readFileSync(join(root, name), 'utf8')
    expect(was).toMatch(pattern)
    writeFileSync(join(root, name), was.replace(pattern, to))
  }
  change('index.html', /(name="lt-build" content=)"\w+"/, '$1"another"')
  change('sw.js', /(url:"index\.html",revision:)"\w+"/, '$1"another"')
}

test('a new program comes in beside the old one and waits while a pot is on the heat; a tap loads it, and what was kept is sent', async () => {
  const root = mkdtempSync(join(tmpdir(), 'lt-web-'))
  cpSync('web/dist', root, { recursive: true })
  const updated = await RunningKitchen.open([], { LT_WEB_ROOT: root })
  const tabletFolder = mkdtempSync(join(tmpdir(), 'lt-tablet-'))
  const context = await tablet(tabletFolder)
  const page = context.pages()[0]!
  await openShift(page, updated.url, 'Mina Osk')
  await page.evaluate(() => navigator.serviceWorker.ready)
  const runs = () => page.locator('meta[name=lt-build]').getAttribute('content')
  const old = await runs()
  await toBench(page, /Walnut-leaf/)
  await updated.stop()
  putAnotherProgram(root)
  await tapReading(page, 31.4)
  await expect(status(page)).toContainText('1 entry kept')
  await updated.startAgain()
  await sent(page)
  const load = page.getByRole('button', { name: /A new version is here/ })
  await expect(load).toBeVisible()
  // Nobody touches it, and a pot is on the heat: it is not the program that decides when.
  await page.waitForTimeout(8000)
  expect(await runs()).toBe(old)
  await load.click()
  await expect.poll(runs).toBe('another')
  await expect(page.getByRole('region', { name: /Degree board/ })).toBeVisible()
  expect((await typed(page)).slice(-1)).toEqual([31.4])
  await expect(load).toHaveCount(0)
  await context.close()
  await updated.close()
  for (const each of [root, tabletFolder]) rmSync(each, { recursive: true, force: true })
})

test('over TLS that the tablet trusts, it opens without the network too', async () => {
  const secure = await RunningKitchen.open(['--tls'])
  const url = secure.url.replace('http:', 'https:')
  const key = new X509Certificate(readFileSync(secure.file('tls/server.crt'))).publicKey
  const digest = createHash('sha256')
    .update(key.export({ type: 'spki', format: 'der' }))
    .digest('base64')
  const trusts = mkdtempSync(join(tmpdir(), 'lt-tablet-'))
  const context = await tablet(trusts, [`--ignore-certificate-errors-spki-list=${digest}`])
  const page = context.pages()[0]!
  await openShift(page, url, 'Mina Osk')
  await page.evaluate(() => navigator.serviceWorker.ready)
  await context.setOffline(true)
  await page.goto(`${url}/more`)
  await expect(page.getByText('The program lies on this tablet: it opens without the network.')).toBeVisible()
  await expect(status(page)).toContainText('The server is away.')
  await context.close()
  await secure.close()
  rmSync(trusts, { recursive: true, force: true })
})
