import { expect, type Locator, type Page } from '@playwright/test'
import { tap } from './kitchen'

/** The block that says what to do now. */
export const slab = (page: Page): Locator => page.getByRole('region', { name: 'Do this now' })

export const check = (page: Page, key: string): Locator => page.locator(`[data-check="${key}"]`)

export const proven = (page: Page, key: string): Promise<void> =>
  expect(check(page, key)).toHaveAttribute('data-standing', 'proven')

/** A reading typed on a keyboard, °C. */
export async function type(page: Page, value: number): Promise<void> {
  await page.keyboard.type(value.toFixed(1))
  await page.keyboard.press('Enter')
  await expect(page.getByText(`${value.toFixed(1)}°C logged`)).toBeVisible()
}

/** Starts a batch of a method; `before` is done on the start view once the method is chosen. */
export async function begin(
  page: Page,
  url: string,
  method: string,
  before: () => Promise<void> = async () => {},
): Promise<void> {
  await page.goto(`${url}/start`)
  await page.getByPlaceholder(/Find by name/).fill(method)
  await page.getByRole('radio', { name: new RegExp(method) }).click()
  await before()
  await tap(page, /^Start \d/)
  await expect(page.getByRole('heading', { level: 1 })).toHaveText(method)
}
