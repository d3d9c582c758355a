import { expect, test, type Page } from '@playwright/test'
import { expectAccessible } from './accessible'
import { inMenu, RunningKitchen } from './kitchen'
import { given, textsOf } from './language'
import { faults, oneOfEach, openView, PATHS } from './views'

// The longest stories: by its name this file begins first, so that no worker waits for it at the end.

/** Every view, on a tablet and a phone each day; on every size in a full run. 640 by 400 is a small screen at twice the zoom. */
const DAILY = [
  [1280, 800],
  [390, 844],
] as const
const ALL = [...DAILY, [800, 1280], [1600, 1000], [640, 400]] as const
const isFull = Number(process.env.LT_TIMES ?? 1) > 1
const SIZES = isFull ? ALL : DAILY

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('on every view nothing is off the side, covered or too small to tap, and an accessibility check finds nothing by day or night', async ({
  browser,
}) => {
  test.setTimeout(600_000)
  const page = await kitchen.person(browser, 'Ilse Varrow')
  const found: string[] = []
  for (const path of await everyView(page)) {
    found.push(...(await faultsOnEverySize(page, path)))
    await page.setViewportSize({ width: SIZES[0][0], height: SIZES[0][1] })
    const papers: string[] = []
    for (const scheme of ['light', 'dark']) {
      await page.evaluate((chosen) => document.documentElement.setAttribute('data-theme', chosen), scheme)
      papers.push(await page.evaluate(() => getComputedStyle(document.body).backgroundColor))
      await expectAccessible(page, { colours: scheme === 'dark' })
    }
    // It was night indeed.
    expect(papers[0]).not.toBe(papers[1])
  }
  expect(found).toEqual([])
  await page.context().close()
})

if (isFull)
  test('the same in °F, with long names, in forced colours and without motion', async ({ browser }) => {
    const page = await kitchen.person(browser, 'Ilse Varrow')
    await page.emulateMedia({ forcedColors: 'active', reducedMotion: 'reduce' })
    await inMenu(page, /Show °F/)
    await page.route('**/api/line', async (route) => {
      const answer = await route.fetch()
      const text = await answer.text()
      await route.fulfill({
        response: answer,
        body: text.replaceAll(' custard"', ' custard with a name that goes on and on"'),
      })
    })
    const found: string[] = []
    for (const path of await everyView(page)) found.push(...(await faultsOnEverySize(page, path)))
    expect(found).toEqual([])
    await page.context().close()
  })

test('in a language 40 % longer nothing is left in English, and nothing is cut or covered', async ({ browser }) => {
  test.setTimeout(600_000)
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.evaluate(() => localStorage.setItem('lt.language', 'en-XA'))
  const { texts, words } = await given(page)
  const found: string[] = []
  for (const path of await everyView(page)) {
    await openView(page, `${kitchen.url}${path}`)
    for (const text of await textsOf(page)) {
      if (texts.has(text)) continue
      const plain = text.match(/[a-z]+(?=[^\p{L}]|$)/giu) ?? []
      const english = plain.filter(
        (word) => /[aceilnorsuyz]/i.test(word) && word.length > 2 && !words.has(word.toLowerCase()),
      )
      if (english.length) found.push(`${path}: "${text}" (${english.join(', ')})`)
    }
    for (const fault of await faults(page)) found.push(`${path}: ${fault}`)
  }
  expect(await page.locator('html').getAttribute('lang')).toBe('en-XA')
  expect([...new Set(found)]).toEqual([])
  await page.context().close()
})

async function everyView(page: Page): Promise<string[]> {
  return [...PATHS, ...(await oneOfEach(page, kitchen.url))]
}

/** Opens a view by its address and looks at it in every size. */
async function faultsOnEverySize(page: Page, path: string): Promise<string[]> {
  await openView(page, `${kitchen.url}${path}`)
  const found: string[] = []
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    await page.waitForTimeout(200)
    for (const fault of await faults(page)) found.push(`${width}x${height} ${path}: ${fault}`)
  }
  return found
}
