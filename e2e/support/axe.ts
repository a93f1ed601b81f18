import AxeBuilder from '@axe-core/playwright';
import { expect, type Page } from '@playwright/test';

/**
 * axe finds nothing on the page as it stands, small targets included (WCAG 2.2, 2.5.8); pages built from mockups are
 * the mockup's own affair. Without frames its legacy mode looks at the same things, and opens no second page.
 */
export async function expectAccessible(page: Page): Promise<void> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .options({ rules: { 'target-size': { enabled: true } }, resultTypes: ['violations'] })
    .exclude('iframe')
    .analyze();
  expect(violations.map(({ id, help, nodes }) => `${id}: ${help} (${nodes[0]?.html.slice(0, 160)})`)).toEqual(
    [],
  );
}
