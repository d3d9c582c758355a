// throwaway
import { chromium } from '@playwright/test'
const [, , out, size, ...steps] = process.argv
const [width, height] = (size ?? '1280x800').split('x').map(Number)
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium' })
const page = await browser.newPage({ viewport: { width, height } })
page.on('console', (m) => m.type() === 'error' && console.log('console:', m.text().slice(0, 300)))
page.on('pageerror', (e) => console.log('page error:', e.message.slice(0, 300)))
const U = 'http://127.0.0.1:4310'
await page.goto(U)
await page.getByRole('button', { name: process.env.WHO ?? 'Mina Osk' }).click()
for (const k of [...(process.env.PIN ?? '1182'), 'Enter']) await page.keyboard.press(k)
await page
  .getByText('logging as')
  .or(page.getByText(process.env.WHO ?? 'Mina Osk'))
  .first()
  .waitFor()
await page.waitForTimeout(500)
if (process.env.NIGHT) {
  await page.evaluate(() => {
    const t = JSON.parse(localStorage.getItem('logged-thermal tablet'))
    t.theme = 'night'
    localStorage.setItem('logged-thermal tablet', JSON.stringify(t))
  })
  await page.reload()
  await page.waitForTimeout(500)
}
let n = 0
for (const step of steps) {
  const [what, ...rest] = step.split('=')
  const arg = rest.join('=')
  if (what === 'go') {
    await page.goto(U + arg)
    await page.waitForTimeout(900)
  }
  if (what === 'tap') await page.getByRole('button', { name: arg }).first().click()
  if (what === 'link') await page.getByRole('link', { name: arg }).first().click()
  if (what === 'css') await page.locator(arg).first().click()
  if (what === 'type') await page.keyboard.type(arg)
  if (what === 'key') await page.keyboard.press(arg)
  if (what === 'fill') {
    const [l, v] = arg.split('|')
    await page.getByLabel(l).first().fill(v)
  }
  if (what === 'wait') await page.waitForTimeout(Number(arg))
  if (what === 'shot') {
    await page.waitForTimeout(400)
    await page.screenshot({ path: `${out}-${arg}.png` })
  }
}
await browser.close()
