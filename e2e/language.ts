import type { Page } from '@playwright/test'
import * as core from '@logged-thermal/core'

/** What people, documents or the calendar named, whole and word by word: dishes, lots, ingredients, rule sets, days. */
export async function given(page: Page): Promise<{ texts: Set<string>; words: Set<string> }> {
  const answers = await page.evaluate(() =>
    Promise.all(
      ['line', 'store', 'people', 'shift', `log/transcribed?from=${Date.now() - 1e10}&to=${Date.now()}`].map(
        async (path): Promise<unknown> => {
          const answer = await fetch(`/api/${path}`)
          return answer.ok ? answer.json() : null
        },
      ),
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

/** The texts on the screen and the names that only a screen reader says. */
export async function textsOf(page: Page): Promise<string[]> {
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
