import { expect, test } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { PIER } from './support/pier';
import { openDemo, readMockup } from './support/shelf';
import { row, saved } from './support/worksheet';

test('a value that is refused stays in its field, with the nearest one that is taken', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await row(page, 'deck').getByRole('rowheader').click();
  const slot = page.getByRole('textbox', { name: 'Slot' });
  await slot.fill('cart total');
  await page.keyboard.press('Enter');
  await expect(slot).toHaveAttribute('aria-invalid', 'true');
  await expect(page.getByText('cart total is no slot name: letters, digits and hyphens only.')).toBeVisible();
  await expect(page.getByLabel('HTML code')).not.toContainText('cart total');
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Use cart-total' }).click();
  await expect(page.getByLabel('HTML code')).toContainText('data-slot="cart-total"');
  await page.getByRole('textbox', { name: 'Gap' }).fill('-5');
  await page.keyboard.press('Enter');
  await expect(page.getByText('A gap is 0 px or more.')).toBeVisible();
  await saved(page);
  await page.getByRole('button', { name: /^Reset Slot/ }).click();
  await expect(page.getByLabel('HTML code')).not.toContainText('data-slot');
});

test('keys hold on arrival and in the whole window, and say what they undid', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.reload();
  await expect(page.getByRole('treegrid')).toBeFocused();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('p');
  await expect(row(page, 'deck')).toContainText('picture: set by you');
  await saved(page);
  await page.getByRole('button', { name: 'Actions', exact: true }).focus();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Undone: Becomes of “deck”')).toBeVisible();
  await expect(row(page, 'deck')).not.toContainText('set by you');

  await page.keyboard.press('.');
  await page.keyboard.type('combine');
  await expect(page.getByRole('option', { name: /^Merge the selection/ })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(page.getByRole('treegrid')).toBeFocused();

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Help and keys' })).toContainText('Undo');
  await expectAccessible(page);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);
});

test('what can be done with a layer is in its menu, and columns are hidden and kept', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await row(page, 'gull').getByRole('rowheader').click({ button: 'right' });
  await expectAccessible(page);
  await page.getByRole('menuitem', { name: /^Becomes aside/ }).click();
  await expect(row(page, 'gull')).toHaveAttribute('aria-selected', 'true');
  await expect(row(page, 'gull')).toContainText('aside: set by you');
  await page.getByRole('button', { name: 'Columns' }).click();
  await page.getByRole('menuitem', { name: 'Classes' }).click();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('columnheader', { name: 'Classes' })).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('columnheader', { name: 'Role' })).toBeVisible();
  await expect(page.getByRole('columnheader', { name: 'Classes' })).toHaveCount(0);
});

test('focus is seen on every control, in both themes', async ({ page }) => {
  for (const scheme of ['light', 'dark'] as const) {
    await page.emulateMedia({ colorScheme: scheme });
    await openDemo(page);
    await page.getByRole('treegrid').focus();
    const unseen: string[] = [];
    for (let count = 0; count < 40; count++) {
      await page.keyboard.press('Tab');
      const focused = page.locator(':focus');
      if ((await focused.count()) === 0) continue;
      const box = await focused.boundingBox();
      if (!box) continue;
      const clip = {
        x: Math.max(0, box.x - 4),
        y: Math.max(0, box.y - 4),
        width: box.width + 8,
        height: box.height + 8,
      };
      const name = await focused.evaluate(
        (element) => element.getAttribute('aria-label') ?? element.textContent ?? '',
      );
      const shown = await page.screenshot({ clip, caret: 'hide' });
      await focused.evaluate((element: HTMLElement) => {
        element.blur();
        Object.assign(window, { last: element });
      });
      const bare = await page.screenshot({ clip, caret: 'hide' });
      await page.evaluate(() => (window as unknown as { last: HTMLElement }).last.focus());
      if (shown.equals(bare)) unseen.push(`${scheme}: ${name.slice(0, 40)}`);
    }
    expect(unseen).toEqual([]);
  }
});
