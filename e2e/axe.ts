import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * Every fault that axe can find on a page, with where the first three of a kind are.
 *
 * @param within A part of the page, where the rest was looked at before: a drawing has thousands of parts.
 */
export async function faults(page: Page, within = 'html'): Promise<string[]> {
  const { violations } = await new AxeBuilder({ page })
    .include(within)
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'])
    .analyze();
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map((node) => node.target.join(' '))
        .slice(0, 3)
        .join(', ')}`,
  );
}
