import { expect, test, type Browser } from '@playwright/test'
import { expectAccessible } from './accessible'
import { inMenu, RunningKitchen, signAs, tap, tapReading, type PINS } from './kitchen'
import { begin, check, proven, slab, type } from './guidedBench'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const person = (browser: Browser, name: keyof typeof PINS) => kitchen.person(browser, name)

test('a pastry cream, led from the milk to the tray: eggs, hands, floor, boil, what is left, cover', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  await begin(page, kitchen.url, 'Brown-butter pastry cream')
  await expect(page.locator('.guide-rail .guide-now')).toContainText('Warm')
  await tapReading(page, 84)
  await tap(page, 'It is hot')

  await expect(slab(page)).toContainText('Which eggs go in?')
  await tap(page, 'Choose the lot')
  await tap(page, /T-2207/)
  for (let i = 0; i < 5; i++) await tap(page, '+ 6')
  await tap(page, 'Rejected')
  await tap(page, 'Log 30 good, 1 rejected')
  const ledger = page.locator('.eggs-egg-ledger')
  await expect(ledger).toContainText('T-2207 30 good, 1 rejected')
  await expect(ledger).toContainText('Pooled: one bad egg is in all of it')
  await expect(ledger.getByRole('row', { name: /^whites/ })).toContainText('990 g')
  const whites = page.locator('.eggs-settle', { hasText: 'whites' })
  await expect(whites).toContainText('990 g whites left raw, keeps to the end of')
  await whites.getByRole('button', { name: 'Weigh it' }).click()
  for (const digit of '950')
    await page
      .getByRole('group', { name: /whites left/ })
      .getByRole('button', { name: digit, exact: true })
      .click()
  await tap(page, 'That is it')
  await page
    .locator('.eggs-settle', { hasText: '950 g whites' })
    .getByRole('button', { name: 'Keep it, dated' })
    .click()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .click()

  await expect(slab(page)).toContainText('Wash your hands')
  await tap(page, 'All clean')
  await tap(page, 'Tempering')
  await expect(page.getByRole('dialog')).toContainText('First ladle at most')
  await expect(page.getByLabel('Hot liquid at, °C')).toHaveValue('84')
  await expect(page.locator('.temper-verdict')).toContainText('kill step')
  const first = page.getByRole('list', { name: 'After each ladle' }).getByRole('listitem').first()
  const warm = await first.innerText()
  await tap(page, 'One ladle more')
  expect(await first.innerText()).not.toBe(warm)
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .click()
  await tap(page, 'All combined')

  // On the heat: read, rise, floor; then on to the boil and not off.
  await expect(page.locator('.board-head .board-ask')).toHaveText('of the mixture')
  await type(page, 71.3)
  await proven(page, 'egg')
  await expect(slab(page).getByRole('button', { name: 'Off the heat' })).toHaveCount(0)
  await tap(page, 'It boils')
  await type(page, 96.4)
  await expect(slab(page)).toContainText('Keep it boiling, then read again')
  // One minute, counted down as one; it is read in between.
  await expect(slab(page).locator('.slab-count')).toHaveText(/^(60|5\d)s of boiling left$/)
  await expect(slab(page)).toContainText('Quality')
  await tap(page, 'Off the heat')

  // A mistaken tap is taken back with one.
  await tap(page, /^Undo/)
  await expect(slab(page)).toContainText('Keep it boiling')
  await tap(page, 'Off the heat')
  await expect(slab(page)).toContainText('Clean before you go on')
  await tap(page, 'All clean')
  await tap(page, /^Ice bath \+ stir/)
  await tap(page, 'Film on the surface')
  await expect(page.locator('.guide-rail .guide-now')).toContainText('Cool')
  await expect(page.locator('.bench-why-list')).toContainText(/30 eggs separated, 1 rejected[\s\S]*Film on the surface/)

  // What is kept aside has its date on the Line, on every tablet, until it goes into the bin.
  const other = await person(browser, 'Teo Brandt')
  const kept = other
    .getByRole('region', { name: 'Kept aside' })
    .getByRole('listitem')
    .filter({ hasText: '950 g whites' })
  await expect(kept).toContainText('raw, bin at the end of')
  await kept.getByRole('button', { name: 'Into the bin' }).click()
  await expect(kept).toHaveCount(0)
  await page.context().close()
  await other.context().close()
})

test('at the floor it sounds once and flashes; the countdown ends in reading again', async ({ browser }) => {
  const page = await person(browser, 'Teo Brandt')
  await page.addInitScript({
    content: `window.started = []
      const start = OscillatorNode.prototype.start
      OscillatorNode.prototype.start = function (at) { window.started.push(at); return start.call(this, at) }`,
  })
  await begin(page, kitchen.url, 'Toasted-barley custard')
  await tap(page, 'It is hot')
  await tap(page, 'All combined')
  await type(page, 61)
  await page.waitForTimeout(10_500)
  await type(page, 65.4)
  await expect(slab(page)).toContainText(/Floor about \d\d:\d\d. Keep stirring|It may be at 68° now/)
  await expect(slab(page)).toContainText(/Rising \d+\.\d° a minute/)
  const tones = () => page.evaluate(() => (window as unknown as { started: number[] }).started.length)
  expect(await tones()).toBe(0)
  // No stove makes three degrees in the blink of an eye: such a reading would be asked about.
  await page.waitForTimeout(3_000)
  await type(page, 68.3)
  await expect(page.locator('.guide-heat-flash')).toContainText('At the floor. Hold')
  expect(await tones()).toBe(2)
  await expect(slab(page)).toContainText('Hold it there, then read again')
  await expect(page.locator('.guide-heat-flash')).toHaveCount(0)
  expect(await tones()).toBe(2)

  // Muted, the flash stays.
  await tap(page, 'More')
  await tap(page, /^Sound: soft/)
  await tap(page, /^Sound: firm/)
  await expect(page.getByRole('button', { name: /^Sound: off/ })).toBeVisible()
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .click()
  await expect(slab(page)).toContainText('Read again to prove it', { timeout: 25_000 })
  expect(await tones()).toBe(2)
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', 'open')
  // It was asked for: how soon hands followed is told with it.
  const told = page.waitForRequest(
    (sent) => sent.url().endsWith('/api/entries') && !!sent.postData()?.includes('"asked":'),
  )
  await type(page, 68.5)
  await told
  await proven(page, 'egg')

  // Cold butter on the heat: one more reading is asked for, the proof stands. A raw yolk reopens it.
  await tap(page, 'Add')
  await tap(page, 'Butter')
  await tap(page, 'In, not weighed')
  await expect(slab(page)).toContainText('Something cold went in: read it once more')
  await proven(page, 'egg')
  await type(page, 66.2)
  await tap(page, 'Add')
  await tap(page, 'Yolk')
  await expect(page.getByText('Raw egg opens the cook check again')).toBeVisible()
  await tap(page, 'In, not weighed')
  await expect(check(page, 'egg')).toHaveAttribute('data-standing', 'open')
  await page.context().close()
})

test('a step that matters is not jumped without a word', async ({ browser }) => {
  const page = await person(browser, 'Teo Brandt')
  await begin(page, kitchen.url, 'Burnt-honey churned base')
  await page.getByRole('list', { name: 'Steps' }).getByRole('button').nth(2).click()
  const row = (name: string) => page.locator('.guide-batch-steps li').filter({ hasText: name })
  await row('3 Cook').getByRole('button', { name: 'Done' }).click()
  await expect(page.getByRole('dialog')).toContainText('"Temper" comes first and has not ended')
  await tap(page, 'It is done and was not ticked')
  await page.getByRole('list', { name: 'Steps' }).getByRole('button').nth(2).click()
  await expect(row('3 Cook')).toContainText('It is done and was not ticked')
  await page.context().close()
})

test('a soufflé is read, served in time, and what is left is discarded', async ({ browser }) => {
  const page = await person(browser, 'Teo Brandt')
  await begin(page, kitchen.url, 'Caraway soufflé')
  await tap(page, 'All combined')
  await tap(page, 'Into the oven')
  await type(page, 74.5)
  await expect(slab(page)).toContainText('Read again to prove it', { timeout: 25_000 })
  await type(page, 74.8)
  await proven(page, 'egg-immediate')
  await tap(page, 'Out of the oven')
  await expect(slab(page)).toContainText('it is not cooled and kept')
  await expect(check(page, 'serve-by')).toContainText('Usable until')
  await tap(page, 'All served')
  await slab(page).getByRole('button', { name: '2', exact: true }).click()
  await expect(page.getByText('This batch is not on the line.')).toBeVisible()
  await page.context().close()
})

test('other pots are one tap away, the next one first, and nothing switches under a half typed value', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  await page.locator('.line-name', { hasText: 'Sea-buckthorn' }).click()
  const pots = page.getByRole('navigation', { name: /Other pots/ })
  const next = pots.getByRole('button').first()
  await expect(next).toContainText('Bay-leaf pouring custard')
  await page.getByRole('region', { name: /Degree board/ }).waitFor()
  await page.keyboard.type('2')
  await expect(pots).toContainText('Log or clear the value first')
  await expect(next).toBeDisabled()
  // Leaving by a link asks as well: it is logged, dropped, or gone on with.
  const asks = page.getByRole('dialog', { name: '2 °C is not logged yet.' })
  await page.getByRole('link', { name: 'Line', exact: true }).first().click()
  await expect(asks.getByRole('button', { name: 'Log 2 °C and go' })).toBeVisible()
  await asks.getByRole('button', { name: 'Not now' }).click()
  await expect(page.getByLabel(/Value in/)).toContainText('2')
  await page.getByRole('link', { name: 'Line', exact: true }).first().click()
  await asks.getByRole('button', { name: 'Drop it and go' }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText('to rescue')
  await page.locator('.line-name', { hasText: 'Sea-buckthorn' }).click()
  await expect(page.getByText('2.0°C logged')).toHaveCount(0)
  await next.click()
  await expect(page.getByRole('heading', { level: 1 })).toHaveText('Bay-leaf pouring custard')
  await page.context().close()
})

test('the lead sets how the house works; the next batch waits for the clean tick', async ({ browser }) => {
  const lead = await person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/limits`)
  await tap(lead, 'House practice')
  await tap(lead, 'Waits for the clean tick')
  await tap(lead, 'Attach one')
  await expect(lead.getByText('Who allowed it, where, and why?')).toBeVisible()
  await tap(lead, 'Not now')
  await tap(lead, 'Put it in force')
  await expect(lead.getByRole('dialog')).toContainText('the next step waits for the clean tick')
  await signAs(lead, 'Ilse Varrow')
  await expect(lead.getByRole('dialog')).toHaveCount(0)

  await begin(lead, kitchen.url, 'Lemon-thyme pouring custard')
  await tap(lead, 'It is hot')
  await tap(lead, 'All combined')
  // Until then the board reads the dairy.
  await expect(slab(lead)).toContainText('Read the mixture')
  await type(lead, 76)
  await tap(lead, 'Off the heat')
  await expect(slab(lead)).toContainText('The next step waits for it')
  await slab(lead).getByRole('button', { name: 'Strained' }).click()
  await expect(lead.getByText('The house asks for the tick first')).toBeVisible()
  await lead.context().close()
})

test('on a phone the same way is led, every key large enough, nothing off the side', async ({ browser }) => {
  const page = await person(browser, 'Teo Brandt')
  await page.setViewportSize({ width: 390, height: 844 })
  await begin(page, kitchen.url, 'Lemon-thyme pouring custard')
  await tap(page, 'It is hot')
  await tap(page, 'Choose the lot')
  await tap(page, /T-2207/)
  for (const key of await page.getByRole('dialog').getByRole('button').all()) {
    const box = await key.boundingBox()
    if (box) expect(Math.min(box.width, box.height)).toBeGreaterThanOrEqual(56)
  }
  expect(await page.evaluate(() => document.documentElement.scrollWidth)).toBeLessThanOrEqual(390)
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^(Not now|Done)$/ })
    .first()
    .click()
  await tap(page, 'All combined')
  await tapReading(page, 72.5)
  await proven(page, 'egg')
  const last = page.getByRole('region', { name: /Degree board/ }).getByRole('button', { name: '.9', exact: true })
  await expect(page.locator('.bench-logged')).toHaveCount(0, { timeout: 15_000 })
  const box = (await last.boundingBox())!
  expect(box.y + box.height).toBeLessThanOrEqual(844 - 56)
  await page.context().close()
})

test('nothing that an accessibility check finds on the guided Bench, by day and by night', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await begin(page, kitchen.url, 'Smoked-honey eggnog')
  await tap(page, 'It is hot')
  for (const theme of ['Night', 'Day']) {
    // By night, which is chosen at the end of the first walk, only colours differ.
    const colours = theme === 'Day'
    await expectAccessible(page, { colours })
    for (const sheet of [/^Eggs/, /^Tempering/, /^Add/, /^Cooling/, /^pH/]) {
      await tap(page, 'More')
      await page.getByRole('dialog').getByRole('button', { name: sheet }).click()
      await page.waitForTimeout(300)
      await expectAccessible(page, { colours })
      await page
        .getByRole('dialog')
        .getByRole('button', { name: /^(Not now|Done)$/ })
        .first()
        .click()
    }
    await inMenu(page, theme)
  }
  await page.goto(`${kitchen.url}/temper`)
  await expectAccessible(page)
  await page.goto(kitchen.url)
  await page.getByRole('region', { name: 'Kept aside' }).waitFor()
  await expectAccessible(page)
  await page.context().close()
})
