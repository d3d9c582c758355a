import { expect, test, type Browser, type Page } from '@playwright/test'
import { expectAccessible } from './accessible'
import { choose, goTo, RunningKitchen, signAs, tap, tapReading, type PINS, typeTime } from './kitchen'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

const person = (browser: Browser, name: keyof typeof PINS) => kitchen.person(browser, name)
const slab = (page: Page) => page.getByRole('region', { name: /Do this now|The lead decides/ })
const bench = async (page: Page, dish: string) => {
  await page.goto(kitchen.url)
  await page.locator('.line-name', { hasText: dish }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(dish)
}

test('a batch that will miss says what saves it and until when; done, it is quiet, and a mistaken tap is taken back', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  const row = page.locator('[data-batch]').first()
  await expect(row).toContainText('Bay-leaf pouring custard')
  await expect(row).toContainText(/Ice bath \+ stir\s*before \d\d:\d\d or it misses 21°/)
  await bench(page, 'Bay-leaf')
  await expect(slab(page)).toContainText(/Ice bath \+ stir before \d\d:\d\d/)
  await expect(slab(page)).toContainText(/If you do nothing: about \d\d° at \d\d:\d\d. Limit 21°/)
  const others = page.getByRole('group', { name: 'Other ways' })
  await expect(others.getByRole('button', { name: /^Ice bath/ })).toContainText(/too late since \d\d:\d\d/)
  // On any other view it stays in the header, one tap from its Bench.
  await goTo(page, 'Methods')
  await page.locator('.header-rescue').click()
  await tap(page, 'Ice bath is on')
  await expect(slab(page)).toContainText('On course to reach 21° about')
  await expect(page.locator('.bench-why-list')).toContainText('Ice bath + stir')
  await tap(page, /^Undo/)
  await expect(slab(page)).toContainText(/to save it/)
  await tap(page, 'Ice bath is on')
  await page.goto(kitchen.url)
  await expect(page.getByRole('heading', { level: 1 })).not.toContainText('to rescue')
  await page.context().close()
})

test('off the heat every place says what comes of it; an unrated tub is refused; pans are read one by one', async ({
  browser,
}) => {
  const page = await person(browser, 'Teo Brandt')
  await bench(page, 'Lemon-thyme')
  await tapReading(page, 71.2)
  await tap(page, 'Off the heat')
  await tap(page, 'All clean')
  await tap(page, 'Strained')
  await expect(slab(page)).toContainText('Where does it cool?')
  await expect(slab(page).getByRole('button', { name: /^Ice bath \+ stir/ })).toContainText(/21° in about \d+ min/)
  await expect(slab(page).getByRole('button', { name: /^Fan refrigerator/ })).toContainText(/too slow: \d h/)
  await expect(slab(page)).toContainText('is too slow in the refrigerator')
  await tap(page, 'Pour or split')
  const sheet = page.getByRole('dialog')
  await expect(sheet.getByRole('button', { name: /^Cold tub/ })).toBeDisabled()
  await expect(sheet.getByRole('button', { name: /^Cold tub/ })).toContainText('Not rated for hot food')
  // Of glasses as many as it fills; a cup is not for hot.
  await expect(sheet.getByRole('button', { name: /^\d+ × Glass, 6 cm/ })).toContainText(/8\.1 cm|8\.0 cm|7\.\d cm/)
  await expect(sheet.getByRole('button', { name: /× Cup, 7 cm/ })).toBeDisabled()
  const half = sheet.getByRole('button', { name: /^Half tray/ })
  const deep = await half.innerText()
  await sheet.getByRole('button', { name: 'One pan more' }).click()
  await expect(half).not.toHaveText(deep)
  await half.click()
  await expect(page.locator('.bench-why-list')).toContainText(/2 × Half tray/)
  await tap(page, /^Blast chiller/)
  await expect(page.getByRole('dialog')).toContainText('what does its air read?')
  await page.getByRole('textbox', { name: /Air of the unit/ }).fill('-1.5')
  await tap(page, 'It is in, air read')
  await expect(page.locator('.bench-why-list')).toContainText('air -1.5 °C')
  await tap(page, 'Film on the surface')

  // Each pan is read by its name, and the slowest is asked for.
  await expect(page.locator('.board-head .board-ask')).toHaveText(/of pan 1/)
  await tapReading(page, 60.1)
  await tap(page, 'The next pan')
  await expect(page.locator('.board-head .board-ask')).toHaveText(/of pan 2/)
  await tapReading(page, 63.4)
  await expect(page.locator('.board-head .board-ask')).toHaveText(/of pan 2/)
  await page.context().close()
})

test('a way to cool is compared, chosen and goes with the batch; the page goes on while it is simulated', async ({
  browser,
}) => {
  const page = await person(browser, 'Noor Hallet')
  await goTo(page, 'Cooldown')
  await choose(page, 'What is cooling', 'Bay-leaf pouring custard')
  const table = page.getByRole('table')
  const walkIn = table.getByRole('row', { name: /^Walk-in 1/ })
  await expect(walkIn).toContainText(/too late|to spare|too close|not reached/)
  await expect(table.getByRole('row', { name: /^Ice bath \+ stir/ })).toContainText(/kg ice/)
  await expect(walkIn).toContainText(/at most \d+ kg/)
  await page.getByRole('radio', { name: /^Pail/ }).click()
  await expect(walkIn).toContainText(/too late|not reached/)
  await expect(page.getByRole('radio', { name: /^Cold tub/ })).toBeVisible()
  await page.getByRole('radio', { name: /^Round pan/ }).click()
  await page.getByRole('button', { name: 'Pans: more' }).click()
  await table.getByRole('button', { name: 'Ice bath + stir', exact: true }).click()
  await expect(page.getByRole('heading', { level: 1 })).toContainText(
    /Ice bath \+ stir clears 21° with .* to spare, by estimate/,
  )
  await expectAccessible(page)
  await tap(page, /^Start with this/)
  await expect(page.getByRole('note')).toContainText('Plan: 2 × Round pan')
  await tap(page, /^Start \d/)
  await tapReading(page, 84)
  await tap(page, 'It is hot')
  await tap(page, 'All combined')
  await tapReading(page, 72.4)
  await tap(page, 'Off the heat')
  for (const next of ['All clean', 'Strained']) {
    const key = page.getByRole('button', { name: next, exact: true }).first()
    const isAsked = key.waitFor({ timeout: 4000 }).then(
      () => true,
      () => false,
    )
    if (await isAsked) await key.click()
  }
  await expect(slab(page)).toContainText('Where does it cool?')
  await tap(page, /^As planned/)
  await expect(page.locator('.bench-why-list')).toContainText(/2 × Round pan[\s\S]*Ice bath \+ stir/)
  await page.context().close()
})

test('vessels and units are registered with their measures, and what is none is said beside its field', async ({
  browser,
}) => {
  const page = await person(browser, 'Noor Hallet')
  await page.goto(`${kitchen.url}/cooldown`)
  await tap(page, 'Vessels, units, tools')
  await page.getByLabel('New vessel').fill('Copper bowl')
  await page.getByLabel('Across, cm').fill('30')
  await tap(page, 'Register the vessel')
  await expect(page.getByRole('alert')).toContainText('"High, cm" is a length inside')
  await page.getByLabel('High, cm').fill('14,5')
  await tap(page, 'Rated for filling hot')
  await tap(page, 'Register the vessel')
  const item = page.getByRole('listitem').filter({ hasText: 'Copper bowl' })
  await expect(item).toContainText('30 cm across, 14.5 cm high inside, steel. Not rated for hot food.')
  await page.getByLabel('New unit').fill('Cellar')
  await page.getByLabel('Power, W').fill('5')
  await tap(page, 'Register the unit')
  await expect(page.getByRole('alert')).toContainText('Power is in watts')
  await page.getByLabel('Power, W').fill('900')
  await tap(page, 'Register the unit')
  await expect(page.getByRole('listitem').filter({ hasText: 'Cellar' })).toContainText('Refrigerator, 900 W')
  await page.context().close()
})

test('due pans are one walk with one sound: a number moves on to the next', async ({ browser }) => {
  const page = await person(browser, 'Mina Osk')
  await page.addInitScript({
    content: `window.started = []
      const start = OscillatorNode.prototype.start
      OscillatorNode.prototype.start = function (at) { window.started.push(at); return start.call(this, at) }`,
  })
  await page.clock.install()
  await page.goto(kitchen.url)
  await expect(page.getByRole('button', { name: /^Read round/ })).toBeVisible()
  await page.mouse.click(5, 5)
  // What stood as the tablet was opened is no news; a walk that nobody went is.
  expect(await page.evaluate('window.started.length')).toBe(0)
  await page.clock.fastForward('10:30')
  await expect.poll(() => page.evaluate('window.started.length')).toBeGreaterThanOrEqual(2)
  expect(Number(await page.evaluate('window.started.length'))).toBeLessThanOrEqual(6)
  await tap(page, /^Read round/)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/Round: \w+ pans due/)
  const walk = page.getByRole('list', { name: 'This round' })
  const first = walk.locator('li').first()
  await expect(first).toHaveAttribute('aria-current', 'step')
  await expect(first).toContainText('probe in the middle')
  await expectAccessible(page)
  const dish = await first.locator('strong').innerText()
  await tapReading(page, 33.2)
  await expect(first).toContainText('33.2°')
  await expect(slab(page)).not.toContainText(`Read ${dish}`)
  await tap(page, 'End the round')
  await page.context().close()
})

test('before closing it warns of gates that fall when nobody is there; the lead names who decides', async ({
  browser,
}) => {
  const page = await person(browser, 'Ilse Varrow')
  await tap(page, 'Hand over')
  const minutes = new Date(kitchen.now + 20 * 60_000)
  const zone = await page.evaluate('Intl.DateTimeFormat().resolvedOptions().timeZone')
  const soon = minutes.toLocaleTimeString('en-GB', { hour: '2-digit', minute: '2-digit', timeZone: String(zone) })
  await typeTime(page, 'From', soon)
  await expect(page.getByRole('heading', { level: 1 })).toContainText(/When nobody is here, .* gates? falls?/)
  await expect(page.locator('.handover-falls').first()).toContainText(/when nobody is here/)
  await page.getByRole('button', { name: /^Teo Brandt/ }).click()
  await expect(page.locator('.handover-falls')).toHaveCount(0)
  await expectAccessible(page)
  await tap(page, 'Who decides while I am away')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Noor Hallet/ })
    .click()
  await signAs(page, 'Ilse Varrow')
  await expect(page.getByRole('dialog')).toHaveCount(0)
  await page
    .getByRole('group', { name: 'Who is asked' })
    .getByRole('button', { name: /^Teo Brandt/ })
    .click()
  await page.getByRole('region', { name: 'Who is asked next' }).getByRole('button', { name: 'Hand over' }).click()
  await expect(page.getByRole('region', { name: 'Handover' })).toContainText('Teo Brandt is asked')

  // The chef decides with a PIN of her own, on whatever screen she has in her hand.
  const chef = await person(browser, 'Noor Hallet')
  await chef.setViewportSize({ width: 390, height: 844 })
  await tap(chef, /^Decide \d/)
  await chef.getByRole('listitem').filter({ hasText: 'Smoked-honey' }).getByRole('button', { name: 'Decide' }).click()
  await tap(chef, 'Discard')
  await chef.getByLabel('Reason, in writing').fill('Cooled too slowly')
  await expect(chef.getByRole('dialog')).toContainText('You stand in for the lead')
  await signAs(chef, 'Noor Hallet')
  await expect(chef.locator('[data-batch]', { hasText: 'Smoked-honey' })).toHaveCount(0)
  await page.context().close()
  await chef.context().close()
})

test('what is proven may be melted again as often as the house allows: its date stays, its way back to the cold is judged', async ({
  browser,
}) => {
  const page = await person(browser, 'Mina Osk')
  await bench(page, 'Toasted-barley')
  const date = page.locator('.slab-slab .slab-big')
  await expect(date).toBeVisible()
  const day = await date.innerText()
  const again = async () => {
    await tap(page, 'More')
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Warmed again/ })
      .click()
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /^Melted again/ })
      .click()
  }
  await again()
  const way = page.locator('[data-check="rewarmed"]')
  await expect(way).toHaveAttribute('data-standing', 'open')
  await tapReading(page, 41.2)
  for (let half = 0; half < 2; half++) await kitchen.passes(30, page)
  await tapReading(page, 4.4)
  await expect(way).toHaveAttribute('data-standing', 'proven')
  await expect(date).toHaveText(day)
  await tap(page, 'More')
  await page
    .getByRole('dialog')
    .getByRole('button', { name: /^Warmed again/ })
    .click()
  await expect(page.getByRole('dialog')).toContainText('This house allows it no more: make it new.')
  await expect(page.getByRole('dialog').getByRole('button', { name: /^Melted again/ })).toBeDisabled()
  await page.context().close()
})
