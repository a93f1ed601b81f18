import { readFile } from 'node:fs/promises';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { readMockup, svgOf } from './support/shelf';

const bird = (name: string, x: number, ink: string) =>
  `<g id="${name}" data-name="${name} [img]"><rect x="${x}.5" y="20" width="40" height="40" fill="#dde"/><path d="M${x + 4} 24l26 6l-20 22z" fill="${ink}"/></g>`;
const QUAY = svgOf(
  `<rect width="400" height="300" fill="#f4f0e6"/>${bird('gull', 20, '#246')}${bird('tern', 120, '#a52')}`,
);

test('pictures are seen before they are written, and made by recipes, boxes and qualities', async ({
  page,
}) => {
  test.setTimeout(90_000);
  await readMockup(page, 'quay.svg', QUAY);
  await page.getByRole('link', { name: 'Pictures', exact: true }).click();
  const table = page.getByRole('table', { name: 'Files of pictures' });
  await expect(table.getByRole('button', { name: 'gull' })).toBeVisible();
  await expect(page.getByText(/^2 pictures, 2 files, \d/)).toBeVisible();
  await expect(table.getByText('…')).toHaveCount(0);
  await expect(table.getByText(/^[1-9]\d?%$/)).toHaveCount(2);
  await expectAccessible(page);

  // Two pictures are set together.
  await page.getByRole('checkbox', { name: 'Choose all pictures' }).check();
  await page.getByRole('combobox', { name: 'A recipe' }).selectOption('web');
  await page.getByRole('button', { name: 'Use', exact: true }).click();
  await expect(table.getByText('pictures/tern@2x.png')).toBeVisible();
  await page.getByRole('combobox', { name: 'A recipe' }).selectOption('ios');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(table.getByText('ios/gull@3x.png')).toBeVisible();
  await page.getByRole('combobox', { name: 'A recipe' }).selectOption('symbols');
  await page.getByRole('button', { name: 'Add', exact: true }).click();
  await expect(table.getByRole('row').filter({ hasText: 'pictures/symbols.svg' })).toContainText(
    '2 pictures as symbols',
  );
  const box = page.getByRole('textbox', { name: 'Picture box' });
  await box.fill('wide');
  await box.press('Enter');
  await expect(page.getByText(/is no box: write seen/)).toBeVisible();
  await box.fill('64x64');
  await box.press('Enter');
  await expect(table.getByText('128×128').first()).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(table.getByText('128×128')).toHaveCount(0);

  // Soft edges are put on whole px.
  await expect(page.getByRole('region', { name: 'Soft edges' })).toContainText('0.50 px');
  await page.getByRole('button', { name: 'Put them on whole px' }).click();
  await expect(page.getByRole('region', { name: 'Soft edges' })).toHaveCount(0);

  // A format is chosen by its looks.
  await page.getByRole('button', { name: 'Compare formats…' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('…')).toHaveCount(0, { timeout: 40_000 });
  await expectAccessible(page);
  await dialog.getByRole('button', { name: /^Use WebP at/ }).click();
  await expect(table.getByText(/pictures\/gull\.webp q\d+/)).toBeVisible();

  // Whole screens are one PDF.
  await page.getByRole('button', { name: 'Whole screens…' }).click();
  await expectAccessible(page);
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Write the files' }).click();
  const file = await download;
  expect(file.suggestedFilename()).toBe('screens.pdf');
  expect((await readFile(await file.path())).subarray(0, 5).toString()).toBe('%PDF-');
});
