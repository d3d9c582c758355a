import { expect, test, type Page } from '@playwright/test'
import { RunningKitchen } from './kitchen'

/** Every view, on a tablet and a phone each day; on every size in a full run. 640 by 400 is a small screen at twice the zoom. */
const DAILY = [
  [1280, 800],
  [390, 844],
] as const
const ALL = [...DAILY, [800, 1280], [1600, 1000], [640, 400]] as const
const SIZES = Number(process.env.LT_TIMES ?? 1) > 1 ? ALL : DAILY
const PATHS = [
  '/',
  '/start',
  '/bench',
  '/round',
  '/handover',
  '/store',
  '/store/list',
  '/store/round',
  '/store/bin',
  '/store/receive',
  '/methods',
  '/limits',
  '/cooldown',
  '/temper',
  '/people',
  '/more',
  '/nowhere',
]
/** A control is at least so large both ways, px. */
const LEAST = 44

let kitchen: RunningKitchen
test.beforeAll(async () => {
  kitchen = await RunningKitchen.open()
})
test.afterAll(() => kitchen.close())

test('on every view and size nothing is off the side, covered, or too small to tap', async ({ browser }) => {
  const page = await kitchen.person(browser, 'Ilse Varrow')
  const found: string[] = []
  for (const [width, height] of SIZES) {
    await page.setViewportSize({ width, height })
    for (const path of PATHS) {
      await page.goto(`${kitchen.url}${path}`)
      await page.getByRole('heading', { level: 1 }).waitFor({ state: 'attached' })
      await page.waitForTimeout(400)
      for (const fault of await faults(page)) found.push(`${width}x${height} ${path}: ${fault}`)
    }
  }
  expect(found).toEqual([])
  await page.context().close()
})

/** What is wrong with what is in sight: wider than the screen, a control that is too small, or one that something covers. */
async function faults(page: Page): Promise<string[]> {
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
        if (overflowX !== 'visible' && (x <= frame.left || x >= frame.right)) return false
        if (overflowY !== 'visible' && (y <= frame.top || y >= frame.bottom)) return false
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
