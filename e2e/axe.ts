import AxeBuilder from '@axe-core/playwright';
import type { Page } from '@playwright/test';

/**
 * @param narrowed chooses the rules; all of axe's own where it is left out
 * @returns a line for each rule that a page breaks, with the elements that do
 */
export async function axeFindings(
  page: Page,
  narrowed: (axe: AxeBuilder) => AxeBuilder = (axe) => axe,
): Promise<string[]> {
  // No page has frames, so axe need not open one more page to join what it found in each.
  const axe = new AxeBuilder({ page }).setLegacyMode(true);
  const { violations } = await narrowed(axe).analyze();
  return violations.map(({ id, nodes }) => `${id}: ${nodes.map(({ html }) => html).join('\n')}`);
}
