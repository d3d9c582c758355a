import AxeBuilder from '@axe-core/playwright'
import { expect, type Page } from '@playwright/test'

/** Nothing on this page breaks the accessibility guidelines, level AA, as far as a program can tell. */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21aa', 'wcag22aa'])
    .analyze()
  expect(violations.map(({ id, nodes }) => `${id}: ${nodes[0]?.html}`)).toEqual([])
}
