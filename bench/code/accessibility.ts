import AxeBuilder from '@axe-core/playwright';
import type { Page } from 'playwright-core';

/** What axe finds in a page, by how grave it is. */
export interface AxeFigures {
  /** Elements with findings that are serious or critical. */
  readonly grave: number;
  readonly moderate: number;
  /** The rules that were broken, with the number of elements. */
  readonly rules: readonly string[];
}

/** Checks the page that is shown; contrast is the mockup's own. Pages have no frames: the legacy mode looks at the same things. */
export async function axeFigures(page: Page): Promise<AxeFigures> {
  const { violations } = await new AxeBuilder({ page })
    .setLegacyMode()
    .disableRules(['color-contrast'])
    .analyze();
  const count = (...impacts: readonly string[]) =>
    violations
      .filter(({ impact }) => impacts.includes(impact ?? ''))
      .reduce((all, { nodes }) => all + nodes.length, 0);
  return {
    grave: count('serious', 'critical'),
    moderate: count('moderate'),
    rules: violations.map(({ id, impact, nodes }) => `${id} (${impact}): ${nodes.length}`),
  };
}
