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
  const data = await dataWords(page)
  const found: string[] = []
  for (const path of PATHS) {
    await openView(page, `${kitchen.url}${path}`)
    for (const text of await textsOf(page)) {
      const plain = text.match(/[a-z]+(?=[^\p{L}]|$)/giu) ?? []
      const english = plain.filter((word) => /[aceilnorsuyz]/i.test(word) && word.length > 2 && !isIn(data, text, word))
      if (english.length) found.push(`${path}: "${text}" (${english.join(', ')})`)
    }
    for (const fault of await faults(page)) found.push(`${path}: ${fault}`)
  }
  expect(await page.locator('html').getAttribute('lang')).toBe('en-XA')
  expect([...new Set(found)]).toEqual([])
  await page.context().close()
})

/** Words that people or documents gave: names of dishes, people, lots, ingredients, rule sets. */
async function dataWords(page: Page): Promise<Set<string>> {
  const answers = await page.evaluate(async () => {
    const paths = ['line', 'store', 'methods', 'people', 'shift']
    return Promise.all(paths.map(async (path) => (await fetch(`/api/${path}`)).text()))
  })
  const known = [...answers, JSON.stringify(core)].join(' ')
  return new Set(known.toLowerCase().match(/[a-z]+/g))
}

function isIn(data: Set<string>, text: string, word: string): boolean {
  return text !== word && data.has(word.toLowerCase())
}

/** The texts on the screen and the names that only a screen reader says. */
async function textsOf(page: Page): Promise<string[]> {
  return page.evaluate(() => {
    const texts: string[] = []
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT)
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement
      if (parent && !parent.closest('script, style, [aria-hidden="true"]'))
        texts.push(walker.currentNode.textContent ?? '')
    }
    for (const element of document.querySelectorAll('[aria-label]'))
      texts.push(element.getAttribute('aria-label') ?? '')
    return [...new Set(texts.map((text) => text.trim()).filter(Boolean))]
  })
}
