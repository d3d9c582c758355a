// npm run screenshots: pictures of the main views from the demo data, into docs/screenshots.
import { mkdirSync } from 'node:fs'
import { join } from 'node:path'
import { ROOT, tell } from './run.mjs'

const ADDRESS = process.env.LT_URL ?? 'http://127.0.0.1:4310'
const OUT = process.env.LT_OUT ?? join(ROOT, 'docs/screenshots')

async function screenshots() {
  const { chromium } = await import('@playwright/test')
  mkdirSync(OUT, { recursive: true })
  const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } })
  page.on('console', (message) => message.type() === 'error' && console.log('console:', message.text()))
  page.on('pageerror', (error) => console.log('page error:', error.message))
  await page.goto(ADDRESS)
  const shoot = async (name) => {
    await page.evaluate('document.fonts.ready')
    await page.waitForTimeout(600)
    await page.screenshot({ path: join(OUT, `${name}.png`) })
  }
  await page.getByRole('button', { name: 'Mina Osk' }).click()
  await shoot('door')
  for (const digit of '1182') await page.keyboard.press(digit)
  await page.getByText('logging as').waitFor()
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
    await page.locator('.logging-as').click()
    await page.getByText('Tap your name').waitFor()
    await page.locator('.names').getByRole('button', { name }).click()
    await page.getByText('Tap your name').waitFor({ state: 'hidden' })
  }
  await bench('Bay-leaf')
  await shoot('bench')
  await bench('Lemon-thyme')
  await shoot('bench-cooking')
  await begin('Brown-butter pastry cream')
  await page.getByRole('button', { name: 'It is hot' }).click()
  await shoot('bench-eggs')
  await page.getByRole('button', { name: 'Choose the lot' }).click()
  await page.getByRole('button', { name: /T-2207/ }).click()
  for (let i = 0; i < 5; i++) await page.getByRole('button', { name: '+ 6' }).click()
  await page.getByRole('button', { name: /^Log / }).click()
  await shoot('eggs')
  await page.goto(`${ADDRESS}/temper`)
  await page.getByRole('list', { name: 'After each ladle' }).waitFor()
  await shoot('ladles')
  await bench('Toasted-barley')
  await shoot('bench-proven')
  await page.goto(`${ADDRESS}/limits`)
  await page.getByRole('table').waitFor()
  await shoot('limits')
  await page.goto(`${ADDRESS}/methods`)
  await page.getByRole('searchbox').or(page.getByRole('textbox')).first().waitFor()
  await shoot('methods')
  await logAs('Noor Hallet')
  await page.goto(`${ADDRESS}/methods`)
  await page.getByRole('link', { name: /Brown-butter pastry cream/ }).click()
  await page.getByRole('region', { name: 'Steps' }).waitFor()
  await shoot('method')
  await logAs('Mina Osk')
  await bench('Rye-malt')
  await page.getByRole('button', { name: 'Decide' }).last().click()
  await page.getByRole('button', { name: 'Release' }).click()
  await page.getByLabel('Reason, in writing').fill('Shallow pan, stirred; 19.4° eleven minutes after the gate')
  await shoot('decide')
  await page.goto(`${ADDRESS}/start`)
  await shoot('start-batch')
  await page.getByRole('button', { name: 'Night' }).click()
  await page.goto(ADDRESS)
  await shoot('line-night')
  await page.getByRole('button', { name: 'Day', exact: true }).click()
  await page.setViewportSize({ width: 390, height: 844 })
  await shoot('line-phone')
  await bench('Bay-leaf')
  await shoot('bench-phone')
  await browser.close()
}

screenshots().catch(tell)
