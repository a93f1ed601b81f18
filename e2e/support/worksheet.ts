import { expect, type Page } from '@playwright/test';

/** The row of a layer, and its cells by column. */
export function row(page: Page, name: string) {
  return page.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
}
