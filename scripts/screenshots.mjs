// npm run screenshots: pictures of the main views from the demo data, into docs/screenshots.
import { mkdirSync, mkdtempSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { CHROMIUM, ensureChromium } from './chromium.mjs'
import { ROOT, tell } from './run.mjs'

const ADDRESS = process.env.LT_URL ?? 'http://127.0.0.1:4310'
const OUT = process.env.LT_OUT ?? join(ROOT, 'docs/screenshots')

async function screenshots() {
  const { chromium } = await import('@playwright/test')
  mkdirSync(OUT, { recursive: true })
  await ensureChromium()
  const browser = await chromium.launch({ executablePath: CHROMIUM })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  page.on('console', (message) => message.type() === 'error' && console.log('console:', message.text()))
  page.on('pageerror', (error) => console.log('page error:', error.message))
  await page.goto(ADDRESS)
  const shoot = async (name, of = page) => {
    await of.evaluate('document.fonts.ready')
    await of.waitForTimeout(600)
    await of.screenshot({ path: join(OUT, `${name}.png`) })
  }
  await page.getByRole('button', { name: 'Mina Osk' }).click()
  for (const key of [...'1182'.split(''), 'Enter']) await page.keyboard.press(key)
  await page.getByText('logging as').waitFor()
  // The offer of the tour stands there once.
  await page.getByRole('button', { name: 'Not now' }).click()
  await shoot('line')
  const bench = async (dish) => {
    await page.goto(ADDRESS)
    await page.locator('.line-name', { hasText: dish }).click()
    await page.getByRole('region', { name: /Degree board/ }).waitFor()
  }
  const begin = async (dish) => {
    await page.goto(`${ADDRESS}/start`)
    await page.getByRole('radio', { name: dish }).click()
    await page.getByRole('button', { name: /^Start \d/ }).click()
    await page.getByRole('region', { name: /Degree board/ }).waitFor()
  }
  const logAs = async (name) => {
    await page.locator('.header-logging-as').click()
    await page.getByText('Tap your name').waitFor()
    await page.locator('[role="dialog"]').getByRole('button', { name }).click()
    await page.getByText('Tap your name').waitFor({ state: 'hidden' })
  }
  await bench('Bay-leaf')
  await shoot('bench')
  await bench('Lemon-thyme')
  await page.keyboard.type('71.2')
  await page.keyboard.press('Enter')
  for (const key of ['Off the heat', 'All clean', 'Strained'])
    await page.getByRole('button', { name: key }).first().click()
  await begin('Brown-butter pastry cream')
  await page.getByRole('button', { name: 'It is hot' }).click()
  await shoot('bench-eggs')
  await page.goto(`${ADDRESS}/cooldown`)
  await page.getByRole('table').waitFor()
  await page.locator('.cooldown-curves canvas').waitFor()
  await page
    .getByRole('cell', { name: /cm: \d+ pan/ })
    .first()
    .waitFor()
  await shoot('cooldown')
  await page.goto(`${ADDRESS}/store`)
  await page.locator('.store-row').first().waitFor()
  await shoot('store')
  await page.locator('.store-row', { hasText: 'Orchard trifle' }).last().locator('a').click()
  await page.getByRole('img', { name: /^Label of/ }).waitFor()
  await page.waitForTimeout(1500)
  await page.locator('.item-pane rect').first().waitFor()
  await shoot('item')
  await page.goto(`${ADDRESS}/store/receive`)
  await page.locator('[data-lot="T-2207"] a').click()
  await page.locator('.lineage-box').first().waitFor()
  await shoot('lineage')
  await page.goto(`${ADDRESS}/log`)
  await page.locator('[data-batch]').first().waitFor()
  await shoot('log')
  // The first of its day: codes begin with the number of the day in the year.
  await page.locator('[data-batch$="-1"] a').first().click()
  await page.getByRole('region', { name: 'Decisions' }).or(page.getByText('Nobody had to decide.')).waitFor()
  await shoot('batch')
  await page.goto(`${ADDRESS}/log/review`)
  await page.locator('[data-matter]').first().waitFor()
  await shoot('review')
  await page.goto(`${ADDRESS}/log/trends`)
  await page.getByRole('img', { name: /batch by batch/ }).waitFor()
  await shoot('trends')
  await checkedPacket(browser, shoot)
  await page.goto(`${ADDRESS}/limits`)
  await page.getByRole('table').waitFor()
  await shoot('limits')
  await logAs('Noor Hallet')
  await page.goto(`${ADDRESS}/methods`)
  await page.getByRole('link', { name: /Brown-butter pastry cream/ }).click()
  await page.getByRole('region', { name: 'Steps' }).waitFor()
  await shoot('method')
  await page.getByRole('button', { name: 'Written plan' }).click()
  await page.getByRole('article', { name: /^Written plan of/ }).waitFor()
  await shoot('plan')
  await page.goto(ADDRESS)
  await logAs('Mina Osk')
  await bench('Rye-malt')
  await page.getByRole('button', { name: 'Decide' }).last().click()
  await page.getByRole('button', { name: 'Release' }).click()
  await page.getByLabel('Reason, in writing').fill('Shallow pan, stirred; 19.4° eleven minutes after the gate')
  await shoot('decide')
  await page.goto(`${ADDRESS}/instruments`)
  await page.getByRole('region', { name: /^P4/ }).waitFor()
  await shoot('instruments')
  await page.setViewportSize({ width: 390, height: 844 })
  await bench('Bay-leaf')
  await shoot('bench-phone')
  await page.setViewportSize({ width: 1280, height: 800 })
  await page.goto(`${ADDRESS}/sign-in`)
  // As `npm start` prints it.
  await page.getByLabel('Name to sign in with').fill('ilse.varrow')
  await page.getByLabel('Password').fill('copper pan by the door')
  await page.getByRole('button', { name: 'Sign in' }).click()
  await page.getByRole('button', { name: 'Kitchens side by side' }).click()
  await page.getByRole('region', { name: 'Tollgate Lane pastry' }).getByRole('listitem').first().waitFor()
  await shoot('kitchens')
  await browser.close()
}

/** A packet that the lead asks for in a shift of her own, taken to the checker as an inspector does. */
async function checkedPacket(browser, shoot) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  await page.goto(ADDRESS)
  await page.getByRole('button', { name: 'Ilse Varrow' }).click()
  for (const key of [...'407153'.split(''), 'Enter']) await page.keyboard.press(key)
  await page.getByText('logging as').waitFor()
  await page.goto(`${ADDRESS}/log/packets`)
  await page.getByRole('button', { name: 'Make a packet' }).click()
  const folder = mkdtempSync(join(tmpdir(), 'lt-shots-'))
  const saved = async (name, link) => {
    const [download] = await Promise.all([page.waitForEvent('download'), link.click({ timeout: 90_000 })])
    await download.saveAs(join(folder, name))
    return join(folder, name)
  }
  const ready = page.locator('[data-state="ready"]').first()
  const packet = await saved('packet.zip', ready.getByRole('link', { name: 'Download' }))
  const checker = await saved('check.html', page.getByRole('link', { name: 'The checker alone' }))
  await page.goto(`file://${checker}`)
  await page.getByLabel('Take a file').setInputFiles(packet)
  await page.getByText('Everything in this file checks out.').waitFor()
  await shoot('check', page)
  await page.close()
}

screenshots().catch(tell)
