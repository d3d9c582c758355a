import type { Page } from '@playwright/test'

/** Every view that can be opened by its address alone, and one that is not there. */
export const PATHS = [
  '/',
  '/start',
  '/bench',
  '/round',
  '/lists',
  '/handover',
  '/store',
  '/store/list',
  '/store/round',
  '/store/bin',
  '/store/receive',
  '/log',
  '/log/review',
  '/log/changes',
  '/log/trends',
  '/log/week',
  '/log/packets',
  '/log/transcribed',
  '/methods',
  '/methods/new',
  '/limits',
  '/cooldown',
  '/temper',
  '/people',
  '/fitness',
  '/traces',
  '/instruments',
  '/settings',
  '/hours',
  '/more',
  '/nowhere',
]
/** A control is at least so large both ways, px. */
const LEAST = 44

/** What is wrong with what is in sight: wider than the screen, a control that is too small, or one that something covers. */
export async function faults(page: Page): Promise<string[]> {
  return page.evaluate((least) => {
    const said: string[] = []
    const { clientWidth, scrollWidth, clientHeight } = document.documentElement
    if (scrollWidth > clientWidth) said.push(`is ${scrollWidth} px wide`)
    const name = (element: Element) =>
      `${element.tagName.toLowerCase()} "${(element.getAttribute('aria-label') ?? element.textContent).trim().slice(0, 40)}"`
    const controls = document.querySelectorAll<HTMLElement>(
      'main button, main a[href], main input, main [role="combobox"], nav a[href]',
    )
    for (const control of controls) {
      const box = control.getBoundingClientRect()
      const style = getComputedStyle(control)
      // A picker keeps a hidden field for forms.
      if (box.width <= 1 || style.visibility === 'hidden' || style.pointerEvents === 'none') continue
      const inSight = (element: Element): boolean => {
        const outer = element.parentElement
        if (!outer) return true
        const { overflowX, overflowY } = getComputedStyle(outer)
        const frame = outer.getBoundingClientRect()
        const [x, y] = [box.left + box.width / 2, box.top + box.height / 2]
        // At the very edge it is as little in sight as beyond.
        if (overflowX !== 'visible' && (x <= frame.left + 1 || x >= frame.right - 1)) return false
        if (overflowY !== 'visible' && (y <= frame.top + 1 || y >= frame.bottom - 1)) return false
        return inSight(outer)
      }
      const [x, y] = [box.left + box.width / 2, box.top + box.height / 2]
      if (x < 0 || y < 0 || x >= clientWidth || y >= clientHeight || !inSight(control)) continue
      const isField = control instanceof HTMLInputElement
      const tapped = isField ? (control.closest('label, .field')?.getBoundingClientRect() ?? box) : box
      if (Math.min(tapped.width, tapped.height) < least)
        said.push(`${name(control)} is ${Math.round(tapped.width)} by ${Math.round(tapped.height)} px`)
      const top = document.elementFromPoint(x, y)
      if (top && !control.contains(top) && !top.contains(control)) said.push(`${name(control)} is under ${name(top)}`)
    }
    return said
  }, LEAST)
}

/**
 * Opens a view and waits for what it says and shows. On a page that is open already it goes there as a link does: to load the
 * program anew for each of forty views takes longer than to look at them.
 */
export async function openView(page: Page, address: string): Promise<void> {
  const [here, there] = [new URL(page.url()), new URL(address)]
  if (here.origin !== there.origin || here.pathname === there.pathname) await page.goto(address)
  else
    await page.evaluate((path) => {
      // The view before is not waited for.
      for (const view of document.querySelectorAll('main')) view.dataset['before'] = ''
      history.pushState({ idx: history.length }, '', path)
      dispatchEvent(new PopStateEvent('popstate', { state: history.state as unknown }))
    }, there.pathname)
  await page.locator('main:not([data-before])').first().waitFor({ state: 'attached' })
  await page.waitForTimeout(400)
}

/** A batch, a thing in the cold store and a method, opened from where they are listed. */
export async function oneOfEach(page: Page, url: string): Promise<string[]> {
  const paths: string[] = []
  for (const [list, link] of [
    ['/', 'a[href^="/bench/"]'],
    ['/store/list', 'a[href^="/store/item/"]'],
    ['/methods', 'a[href^="/methods/"]'],
    ['/store/receive', 'a[href^="/store/lineage/"]'],
    ['/log', 'a[href^="/log/batch/"]'],
    ['/log', 'a[href^="/store/unit/"]'],
    ['/people', 'a[href^="/people/"]'],
    // The most urgent of the demo's: it failed, and is looked back on.
    ['/instruments', 'main a[href^="/instruments/"]'],
  ] as const) {
    await openView(page, url + list)
    paths.push((await page.locator(link).first().getAttribute('href'))!)
  }
  const failed = paths.at(-1)!
  return [...paths, `${paths[2]!}/card`, `${paths[2]!}/plan`, `${failed}/check`, `${failed}/look-back`]
}
