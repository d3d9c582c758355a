import type { Locator, Page } from '@playwright/test'

/** A row of the cold store. */
export function row(page: Page, name: string | RegExp): Locator {
  return page.locator('.store-row').filter({ hasText: name })
}

/** Types a number on the pad of that name, and takes it. */
export async function padded(page: Page, name: string | RegExp, value: string, take: string): Promise<void> {
  const pad = page.getByRole('group', { name })
  await pad.getByRole('textbox').fill(value)
  await pad.getByRole('button', { name: take }).click()
}
