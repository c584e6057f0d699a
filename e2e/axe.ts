import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/** What a screen reader would read twice alike: rows of one table, buttons and links of a page. */
export const namedAlike = (page: Page): Promise<string[]> =>
  page.evaluate(() => {
    const twice = (elements: NodeListOf<Element>) => {
      const names = Array.from(elements, (element) =>
        (element.getAttribute('aria-label') ?? element.textContent).trim(),
      );
      return names.filter((name, at) => name !== '' && names.indexOf(name) !== at);
    };
    const rows = Array.from(document.querySelectorAll('table'), (table) => twice(table.querySelectorAll('tbody th')));
    return [...rows.flat(), ...twice(document.querySelectorAll('button'))];
  });

/** Checks the current page. It has no frames, and collecting frames in a page of its own takes three times as long. */
const look = (page: Page) => new AxeBuilder({ page }).setLegacyMode();

/** Passed checks are not listed: naming each part of a drawing that passed takes longer than checking it. */
const ONLY_FAULTS = { resultTypes: ['violations' as const] };

/** Everything of a page that is too faint to read, as it is shown now. */
export async function faultsOfContrast(page: Page): Promise<string[]> {
  const { violations } = await look(page)
    .options({ ...ONLY_FAULTS, runOnly: ['color-contrast'] })
    .analyze();
  return violations.flatMap(({ nodes }) => nodes.map((node) => `contrast: ${node.target.join(' ')}`));
}

/**
 * Every fault that axe can find on a page, with where the first three of a kind are.
 *
 * @param within A part of the page, where the rest was looked at before: a drawing has thousands of parts.
 */
export async function faults(page: Page, within = 'html'): Promise<string[]> {
  const { violations } = await look(page)
    .include(within)
    .options({ ...ONLY_FAULTS, runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'best-practice'] })
    .analyze();
  return violations.map(
    ({ id, nodes }) =>
      `${id}: ${nodes
        .map((node) => node.target.join(' '))
        .slice(0, 3)
        .join(', ')}`,
  );
}
