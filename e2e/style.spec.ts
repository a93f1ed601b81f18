import { expect, test } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { readMockup, svgOf } from './support/shelf';

const card = (y: number, ink: string) =>
  `<g><rect y="${y}" width="180" height="40" fill="#fff" stroke="#ccd"/><text x="10" y="${y + 24}" font-size="14" fill="${ink}">Sailing ${y}</text></g>`;
const QUAY = svgOf(
  `<rect width="400" height="300" fill="#f4f0e6"/>${card(10, '#222222')}${card(60, '#222222')}${card(110, '#232222')}`,
);

test('the style sheet is a book of specimens, in which classes and values get their names', async ({
  page,
}) => {
  await readMockup(page, 'quay.svg', QUAY);
  await page.getByRole('link', { name: 'Style', exact: true }).click();
  const classes = page.getByRole('list', { name: 'Classes' });
  await expect(classes.getByRole('button').first()).toBeVisible();
  await expectAccessible(page);

  await classes
    .getByRole('button', { name: /2 uses/ })
    .first()
    .click();
  const name = page.getByRole('textbox', { name: 'Name of the class' });
  await name.fill('1 bad');
  await name.press('Enter');
  await expect(page.getByText(/is no class name/)).toBeVisible();
  await name.fill('sailing-plate');
  await name.press('Enter');
  await expect(classes.getByText('.sailing-plate')).toBeVisible();
  await expect(page.getByRole('group', { name: 'Rules code' })).toContainText('.sailing-plate');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(classes.getByText('.sailing-plate')).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(classes.getByText('.sailing-plate')).toBeVisible();

  // Of two layers one is split off, and shares the class again; a name is refused.
  const worn = page.getByRole('region', { name: 'Where it is worn' });
  await worn.getByRole('checkbox').first().check();
  await worn.getByRole('textbox', { name: 'Class of its own for 1' }).fill('first-plate');
  await worn.getByRole('button', { name: 'Split off' }).click();
  await expect(classes.getByText('.first-plate')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(classes.getByText('.first-plate')).toHaveCount(0);
  await classes
    .getByRole('button', { name: /one use/ })
    .first()
    .click();
  await page.getByRole('combobox', { name: 'Merge into the class' }).fill('sailing-plate');
  await page.getByRole('option', { name: /sailing-plate/ }).click();
  await expect(page.getByText('They look alike now.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Another name' }).click();
  const forbidden = page.getByRole('region', { name: 'Names that no class may have' });
  await expect(forbidden).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(forbidden).toHaveCount(0);

  await page.getByRole('button', { name: /^Values/ }).click();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Use #222 for both' }).click();
  await expect(page.getByRole('region', { name: 'Merged values' })).toContainText('#232222');
  const ink = page.getByRole('textbox', { name: 'Name of #222' });
  await ink.fill('tide-ink');
  await ink.press('Enter');
  await expect(page.getByText('#222 was changed.')).toBeVisible();
  await page.getByRole('button', { name: 'Figures' }).click();
  await expect(page.getByRole('img', { name: 'Uses of colours' })).toBeVisible();
  await expectAccessible(page);

  // It goes along as a file, and comes back.
  await page.getByRole('button', { name: /^Classes/ }).click();
  const download = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Export' }).click();
  const file = await (await download).path();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(classes.getByText('.sailing-plate')).toHaveCount(0);
  await page.getByLabel('Style file').setInputFiles(file);
  await expect(page.getByText(/^2 taken from/)).toBeVisible();
  await expect(classes.getByText('.sailing-plate')).toBeVisible();
  await page.getByLabel('Style file').setInputFiles({
    name: 'old.json',
    mimeType: 'application/json',
    buffer: Buffer.from('{"version": 9}'),
  });
  await expect(page.getByText(/is of version 9/)).toBeVisible();

  // What is said here is in the files of the build.
  await page.getByRole('link', { name: 'Build', exact: true }).click();
  await page.getByRole('button', { name: 'Build the page' }).click();
  await page.getByRole('tab', { name: /Files/ }).click();
  await page.getByRole('button', { name: /styles\.css/ }).click();
  await expect(page.getByText('--tide-ink: #222;')).toBeVisible();
  await expect(page.getByText('.sailing-plate {')).toBeVisible();
});
