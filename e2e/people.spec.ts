import { expect, test } from '@playwright/test';
import { PIER } from './support/pier';
import { readMockup } from './support/shelf';
import { row, saved } from './support/worksheet';

test('another tab sees an edit within moments, and edits wait for a server that is away', async ({
  page,
  context,
}) => {
  await readMockup(page, 'pier.svg', PIER);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('treegrid')).toBeVisible();
  await page.bringToFront();
  await row(page, 'deck').getByRole('gridcell').first().click();
  await page.keyboard.press('-');
  await saved(page);
  await other.bringToFront();
  await expect(row(other, 'deck')).toContainText('aside: set by you', { timeout: 3000 });

  await page.bringToFront();
  await context.setOffline(true);
  await page.keyboard.press('p');
  await expect(page.getByText('Waiting for the server')).toBeVisible();
  await context.setOffline(false);
  await saved(page);
  await page.reload();
  await expect(row(page, 'deck')).toContainText('picture: set by you');
});

test('two people who set the same are both heard', async ({ page, context }) => {
  await readMockup(page, 'pier.svg', PIER);
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(row(other, 'deck')).toContainText('element');
  // The other window does not hear of the edit before it makes its own.
  await other.route('**/edits?after=*', (route) => route.abort());
  await page.bringToFront();
  await row(page, 'deck').getByRole('gridcell').first().click();
  await page.keyboard.press('p');
  await saved(page);
  await other.bringToFront();
  await row(other, 'deck').getByRole('gridcell').first().click();
  await other.keyboard.press('-');
  await expect(other.getByRole('alert').filter({ hasText: 'set' })).toContainText(
    'set Becomes of deck to “picture” while you set it to “aside”',
  );
  await expect(row(other, 'deck')).toContainText('picture: set by you');
  await other.unroute('**/edits?after=*');
  await other.getByRole('button', { name: 'Take “aside”' }).click();
  await expect(row(other, 'deck')).toContainText('aside: set by you');
  await expect(row(page, 'deck')).toContainText('aside: set by you', { timeout: 3000 });
});
