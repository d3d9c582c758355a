import { expect, test, type Page } from '@playwright/test'
import * as core from '@logged-thermal/core'
import { RunningKitchen } from './kitchen'
import { faults, openView, PATHS } from './views'

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('in a language 40 % longer nothing is left in English, and nothing is cut or covered', async ({ browser }) => {
  test.setTimeout(180_000)
  const page = await kitchen.person(browser, 'Ilse Varrow')
  await page.evaluate(() => localStorage.setItem('lt.language', 'en-XA'))
  const { texts, words } = await given(page)
  const found: string[] = []
  for (const path of [...PATHS, ...(await oneOfEach(page))]) {
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

/** What people, documents or the calendar named, whole and word by word: dishes, lots, ingredients, rule sets, days. */
async function given(page: Page): Promise<{ texts: Set<string>; words: Set<string> }> {
  const answers = await page.evaluate(() =>
    Promise.all(
      ['line', 'store', 'people', 'shift'].map(async (path): Promise<unknown> => {
        const answer = await fetch(`/api/${path}`)
        return answer.ok ? answer.json() : null
      }),
    ),
  )
  const texts = [...stringsIn([...answers, core]), ...CALENDAR]
  return {
    texts: new Set(texts),
    words: new Set(
      texts
        .join(' ')
        .toLowerCase()
        .match(/[a-z]+/g),
    ),
  }
}

function stringsIn(value: unknown): string[] {
  if (typeof value === 'string') return [value]
  return value !== null && typeof value === 'object' ? Object.values(value).flatMap(stringsIn) : []
}

const CALENDAR =
  'Mon Tue Wed Thu Fri Sat Sun Jan Feb Mar Apr May Jun Jul Aug Sept Sep Oct Nov Dec YYYY Day Month Year Hours Minutes'
    .split(' ')
    .concat('Choose date', 'Choose time, selected time is')

/** A batch, a thing in the cold store and a method, opened from where they are listed. */
async function oneOfEach(page: Page): Promise<string[]> {
  const paths: string[] = []
  for (const [list, link] of [
    ['/', 'a[href^="/bench/"]'],
    ['/store/list', 'a[href^="/store/item/"]'],
    ['/methods', 'a[href^="/methods/"]'],
    ['/store/receive', 'a[href^="/store/lineage/"]'],
  ] as const) {
    await openView(page, kitchen.url + list)
    paths.push((await page.locator(link).first().getAttribute('href'))!)
  }
  return [...paths, `${paths[2]!}/card`]
}

/** The texts on the screen and the names that only a screen reader says. */
async function textsOf(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const texts: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement
      if (parent && !parent.closest('script, style, kbd, [aria-hidden="true"]'))
        texts.push(walker.currentNode.textContent ?? '')
    }
    for (const element of document.querySelectorAll('[aria-label]'))
      texts.push(element.getAttribute('aria-label') ?? '')
    return [...new Set(texts.map((text) => text.trim()).filter(Boolean))]
  })
}
