import { chromium } from '@playwright/test'
import { readFileSync } from 'node:fs'
const { CHROMIUM } = await import('./chromium.mjs')
const [name, pin, size, ...todo] = process.argv.slice(2)
const [width, height] = size.split('x').map(Number)
const browser = await chromium.launch({ executablePath: CHROMIUM })
const page = await browser.newPage({ viewport: { width, height }, reducedMotion: 'reduce' })
const U = 'http://127.0.0.1:4310'
const digits = async (p) => { for (const d of p) await page.getByRole('button', { name: d, exact: true }).last().click() }
await page.goto(U)
await page.getByRole('button', { name }).click()
await digits(pin)
await page.getByRole('button', { name: 'Done', exact: true }).click({ timeout: 5000 }).catch(() => {})
await page.getByText('logging as').waitFor().catch(()=>{})
for (const t of todo) {
  const i = t.indexOf('='); const [k, v] = [t.slice(0, i), t.slice(i + 1)]
  try {
    if (k === 'go') await page.goto(U + v)
    if (k === 'wait') await page.waitForTimeout(Number(v))
    if (k === 'click') await page.getByRole('button', { name: v.startsWith('/') ? new RegExp(v.slice(1)) : v }).or(page.getByRole('link', { name: v.startsWith('/') ? new RegExp(v.slice(1)) : v })).first().click({ timeout: 5000 })
    if (k === 'fill') { const [l, x] = v.split('|'); await page.getByLabel(l).first().fill(x) }
    if (k === 'file') { const [l, x] = v.split('|'); await page.getByLabel(l).first().setInputFiles(x) }
    if (k === 'pin') await digits(v)
    if (k === 'eval') console.log(await page.evaluate(v))
    if (k === 'night') await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'night'))
    if (k === 'text') console.log(await page.locator(v).allInnerTexts())
    if (k === 'shot') await page.screenshot({ path: v })
  } catch (e) { console.log('FAILED', t, e.message.split('\n')[0]) }
}
await browser.close()
