import { chromium } from 'playwright'
const [, , who, pin, ...steps] = process.argv
const browser = await chromium.launch({ executablePath: '/usr/bin/chromium', args: ['--no-sandbox'] })
const page = await (await browser.newContext({ viewport: { width: Number(process.env.W ?? 1280), height: Number(process.env.H ?? 800) } })).newPage()
page.on('pageerror', (e) => console.log('PAGEERROR', e.message))
page.on('console', (m) => m.type() === 'error' && console.log('CONSOLE', m.text().slice(0, 300)))
await page.goto('http://127.0.0.1:4310')
await page.getByRole('button', { name: who }).click()
await page.keyboard.type(pin)
await page.keyboard.press('Enter')
await page.getByText('logging as').waitFor({ state: 'attached' })
for (const step of steps) {
  const [what, ...rest] = step.split('=')
  const arg = rest.join('=')
  if (what === 'go') await page.goto('http://127.0.0.1:4310' + arg)
  if (what === 'click') await page.locator(arg).first().click()
  if (what === 'type') await page.keyboard.type(arg)
  if (what === 'night') await page.evaluate(() => document.documentElement.setAttribute('data-theme', 'dark'))
  if (what === 'shot') { await page.waitForTimeout(900); await page.screenshot({ path: arg }) }
  if (what === 'text') console.log((await page.locator(arg).allInnerTexts()).join('\n').slice(0, 3000))
  if (what === 'href') console.log(await page.locator(arg).first().getAttribute('href'))
  if (what === 'scroll') await page.locator(arg).first().evaluate((e) => e.scrollTo(0, 1e5))
}
await browser.close()
