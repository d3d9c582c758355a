import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/**
 * Nothing on this page breaks the accessibility guidelines, level AA, as far as a program can tell. `colours`: only what
 * can differ between day and night.
 */
export async function expectAccessible(page: Page, { colours = false } = {}): Promise<void> {
  // No frames are in it, so nothing has to be put together on a page beside it; what is right need not be told.
  const axe = new AxeBuilder({ page }).setLegacyMode().options({ resultTypes: ['violations'] })
  const asked = colours
    ? axe.withRules(['color-contrast'])
    : axe.withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
  const { violations } = await asked.analyze()
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([])
}
