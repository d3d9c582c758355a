import { expect, type Browser, type Page } from '@playwright/test'
import { proven } from './guidedBench'
import { type RunningKitchen, sent, signAs, tap, tapReading, typeDay } from './kitchen'
import { row } from './store'

/** What the making of every dessert has in common, from the door to the bin. */

export interface Delivery {
  lot: string
  celsius: string
  grams: string
  useInDays: number
  /** What it is, where the kind of delivery does not say. */
  is?: () => Promise<void>
  accept?: string
}

/** Comes in at the door, read and dated. */
export async function receive(
  kitchen: RunningKitchen,
  page: Page,
  what: string,
  { lot, celsius, grams, useInDays, is, accept }: Delivery,
) {
  const useBy = new Date(kitchen.now + useInDays * 86_400_000).toISOString().slice(0, 10)
  await page.goto(`${kitchen.url}/store/receive`)
  await tap(page, what)
  await page.getByLabel('Lot, as written on it').fill(lot)
  await page.getByLabel('From', { exact: true }).fill('Hollin Gate dairy')
  await typeDay(page, 'Use by', useBy)
  await page.getByLabel(/Read at the door/).fill(celsius)
  await page.getByLabel('How much, g').fill(grams)
  await is?.()
  await tap(page, accept ?? 'Accept it')
  await expect(page.locator(`[data-lot="${lot}"]`)).toBeVisible()
}

/** Says what came in. */
export async function named(page: Page, typed: string, name: string) {
  await page.getByLabel(/What it is/).fill(typed)
  await page.getByRole('button', { name, exact: true }).click()
}

/** Shell eggs of the open lot, as many as the method says. */
export async function cracks(page: Page) {
  await tap(page, 'Choose the lot')
  await tap(page, /T-2207/)
  await tap(page, /^Good: \d+, as the method says$/)
}

/** Somebody is at the tablet now and then: it does not lock. */
export async function waits(kitchen: RunningKitchen, page: Page, minutes: number) {
  for (let left = minutes; left > 0; left -= 50) await kitchen.passes(Math.min(left, 50), page)
}

/** Read often enough that it was hot all the while. */
export async function boils(kitchen: RunningKitchen, page: Page, ...others: Page[]) {
  await tapReading(page, 99)
  for (let again = 0; again < 6; again++) {
    await kitchen.passes(0.25, page, ...others)
    await tapReading(page, 99.1)
  }
}

/** Through both gates, read three times. */
export async function coolsOnIce(kitchen: RunningKitchen, page: Page) {
  await tap(page, /^Ice bath \+ stir/)
  await tap(page, 'Film on the surface')
  for (const [after, celsius] of [
    [6, 56.8],
    [40, 20.2],
    [120, 3.4],
  ] as const) {
    await waits(kitchen, page, after)
    await tapReading(page, celsius)
  }
  await proven(page, 'cool-first')
  await proven(page, 'cool-total')
}

/** All of it, or the rest, to where it belongs, with its label. */
export async function putAway(page: Page, all: RegExp = /^All \d+ portions/) {
  await tap(page, 'Put it away')
  await page.getByRole('dialog').getByRole('button', { name: all }).click()
  const label = page.getByRole('region', { name: 'Label', exact: true })
  const printed = page.waitForEvent('popup')
  await label.getByRole('button', { name: 'Print labels' }).click()
  await (await printed).close()
  await expect(label).toContainText('1 printed')
}

/** So many days later somebody finds it past its day, and bins it. */
export async function runsOut(
  kitchen: RunningKitchen,
  browser: Browser,
  page: Page,
  days: number,
  name: string | RegExp,
  because: string | RegExp,
) {
  await sent(page)
  await page.context().close()
  await kitchen.passes(days * 24 * 60)
  const later = await kitchen.person(browser, 'Teo Brandt')
  await later.goto(`${kitchen.url}/store`)
  const one = row(later, name).first()
  await expect(one).toContainText('Ran out at the end of')
  await expect(one).toContainText(because)
  const before = await row(later, name).count()
  await one.getByRole('button', { name: 'Discard' }).click()
  await expect(row(later, name)).toHaveCount(before - 1)
  await later.context().close()
}

/** Frozen fruit with no treatment known is held, and the lead lets it in to be boiled. */
export async function receivesFruit(kitchen: RunningKitchen, browser: Browser, page: Page, lot: string) {
  const is = async () => {
    await named(page, 'raspberry purée', 'Raspberry purée')
    await tap(page, 'Looks good')
  }
  const fruit = { lot, celsius: '-18', grams: '3000', useInDays: 90, is, accept: 'Hold it for the lead' }
  await receive(kitchen, page, 'Anything else', fruit)
  const lead = await kitchen.person(browser, 'Ilse Varrow')
  await lead.goto(`${kitchen.url}/store/receive`)
  const held = lead.locator(`[data-lot="${lot}"]`)
  await held.getByRole('button', { name: 'Accept' }).click()
  await lead.getByLabel('Why, in writing').fill('Boiled before it goes in')
  await signAs(lead, 'Ilse Varrow')
  await expect(held.getByRole('button')).toHaveCount(0)
  await lead.context().close()
}
