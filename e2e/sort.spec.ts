import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { PIER } from './support/pier';
import { openDemo, readMockup, svgOf } from './support/shelf';
import { row, saved } from './support/worksheet';

test('shows the outcome of every layer with its reason', async ({ page }) => {
  await openDemo(page);
  await expect(row(page, 'harbour-photo')).toContainText('raster picture: a bitmap shown at 1320×300 px');
  await expect(row(page, 'header')).toContainText('header');
  await expectAccessible(page);
});

test('keyboard alone: outcome, role, class and name are set, saved, and there after a reload', async ({
  page,
}) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  const { keyboard } = page;

  // The second row is the deck: into Becomes, and P for picture.
  await keyboard.press('ArrowDown');
  await keyboard.press('ArrowRight');
  await keyboard.press('p');
  await expect(row(page, 'deck')).toContainText('picture: set by you');
  await saved(page);
  await keyboard.press('Delete');
  await expect(row(page, 'deck')).toContainText('CSS says this exactly');

  // Its role, from the list.
  await keyboard.press('ArrowRight');
  await keyboard.press('Enter');
  await page.getByRole('menuitem', { name: 'section' }).press('Enter');
  await expect(row(page, 'deck')).toContainText('section');

  // Its classes and its name, written.
  await keyboard.press('ArrowRight');
  await keyboard.press('F2');
  await page.getByRole('textbox', { name: 'Classes' }).fill('wood wide');
  await keyboard.press('Enter');
  // Past the state.
  await keyboard.press('ArrowRight');
  await keyboard.press('ArrowRight');
  await keyboard.press('Enter');
  await page.getByRole('textbox', { name: 'Output name' }).fill('Long plank');
  await keyboard.press('Enter');
  await expect(row(page, 'deck')).toContainText('long-plank');
  await expect(page.getByLabel('HTML code')).toContainText('<section class="wood wide long-plank"');
  await saved(page);

  await page.reload();
  await expect(row(page, 'deck')).toContainText('section');
  await expect(row(page, 'deck')).toContainText('wood wide');
  await expect(row(page, 'deck')).toContainText('long-plank');

  // Undo works after the reload, step by step, and so does redo.
  await page.getByRole('treegrid').focus();
  await keyboard.press('Control+z');
  await expect(row(page, 'deck')).not.toContainText('long-plank');
  await keyboard.press('Control+z');
  await expect(row(page, 'deck')).not.toContainText('wood wide');
  await keyboard.press('Control+Shift+z');
  await expect(row(page, 'deck')).toContainText('wood wide');
  await saved(page);
});

test('one edit sets a whole selection', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  const { keyboard } = page;
  await keyboard.press('ArrowDown');
  await keyboard.press('ArrowRight');
  await keyboard.press('Shift+ArrowDown');
  await keyboard.press('Shift+ArrowDown');
  await expect(page.getByText('3 selected')).toBeVisible();
  await keyboard.press('-');
  for (const name of ['deck', 'gull', 'sign “Mind the gap”'])
    await expect(row(page, name)).toContainText('aside: set by you');
  await keyboard.press('Control+z');
  for (const name of ['deck', 'gull', 'sign “Mind the gap”'])
    await expect(row(page, name)).not.toContainText('set by you');
});

test('groups fold, and the arrows lead to parents', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  const { keyboard } = page;
  await expect(page.getByRole('treegrid')).toHaveAttribute('aria-rowcount', '5');
  await keyboard.press('ArrowLeft');
  await expect(page.getByRole('treegrid')).toHaveAttribute('aria-rowcount', '2');
  await keyboard.press('ArrowRight');
  await keyboard.press('End');
  await expect(row(page, 'sign “Mind the gap”')).toHaveAttribute('aria-selected', 'true');
  await keyboard.press('ArrowLeft');
  await expect(row(page, 'pier')).toHaveAttribute('aria-selected', 'true');
});

test('thousands of layers: few rows in the document, and the last one is a key away', async ({ page }) => {
  test.setTimeout(120_000);
  const rects = Array.from(
    { length: 2500 },
    (_, at) =>
      `<rect id="tile-a${at}b" x="${(at % 50) * 8}" y="${Math.floor(at / 50) * 6}" width="7" height="5"/>`,
  );
  await readMockup(page, 'tiles.svg', svgOf(rects.join('')));
  await expect(page.getByRole('treegrid')).toHaveAttribute('aria-rowcount', '2501');
  expect(await page.getByRole('row').count()).toBeLessThan(90);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('End');
  await expect(row(page, 'tile-a2499b')).toBeVisible();
  expect(await page.getByRole('row').count()).toBeLessThan(90);
});

test('layers are found by their properties, with the keyboard alone', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('/');
  await page.keyboard.type('role:item under:sailing-list');
  await expect(page.getByText('6 found')).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /sailing-1/, selected: true })).toBeVisible();
  await page.getByLabel('Matches only').check();
  await expect(page.getByRole('row')).toHaveCount(1 + 2 + 6);
  await expectAccessible(page);
  await page.getByLabel('Find layers').focus();
  await page.keyboard.press('Escape');
  await page.keyboard.press('n');
  await page.getByLabel('Find layers').fill('colour:red');
  await expect(page.getByText('"colour" cannot be asked for')).toBeVisible();
});

test('every action is listed with its key', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('.');
  await expect(page.getByRole('option', { name: 'Find layers /' })).toBeVisible();
  await expectAccessible(page);
  await page.keyboard.type('pictures');
  await page.keyboard.press('Enter');
  await expect(page.getByText('6 found')).toBeVisible();
});

test('a tag on one layer holds for all like-built ones; copied tags are pasted', async ({ page }) => {
  const row = (name: string, y: number) =>
    `<g id="${name}" transform="translate(0 ${y})"><rect width="300" height="40" fill="#eee"/><circle cx="20" cy="20" r="8" fill="#246"/><text x="40" y="25">${name}</text><text x="200" y="25">${y}</text></g>`;
  await readMockup(page, 'boats.svg', svgOf(row('auk', 0) + row('fulmar', 50) + row('petrel', 100)));
  await page.getByRole('rowheader', { name: /^auk/ }).first().click();
  await expect(page.getByText('tags hold for all 3 alike')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('-');
  await expect(page.getByText('aside: set by you of one that is built like it').first()).toBeVisible();
  await page
    .getByRole('rowheader', { name: /^petrel/ })
    .first()
    .click();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('e');
  await expect(page.getByText('element: set by you', { exact: true }).first()).toBeVisible();
  await page.keyboard.press('c');
  await page.getByRole('rowheader', { name: /^auk/ }).first().click();
  await page.keyboard.press('v');
  await expect(page.getByText('element: set by you', { exact: true })).toHaveCount(2);
});

test('names are found, replaced and seen before they are given', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.press('r');
  await page.getByLabel('Find', { exact: true }).fill('deck');
  await page.getByLabel('Replace with').fill('Planks');
  await page.getByLabel('Put before').fill('quay ');
  await expect(page.getByText('quay-planks')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Rename 4' }).click();
  await expect(row(page, 'deck')).toContainText('quay-planks');
  await saved(page);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('Control+z');
  await expect(row(page, 'deck')).not.toContainText('quay-planks');
});

test('several layers become one picture and are taken apart again; a drag chooses them', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  const mockup = (await page.getByAltText('The mockup pier').boundingBox())!;
  const scale = mockup.width / 400;
  const at = (x: number, y: number) => [mockup.x + x * scale, mockup.y + y * scale] as const;
  await page.mouse.move(...at(402, 90));
  await page.mouse.down();
  await page.mouse.move(...at(-2, 230), { steps: 4 });
  await page.mouse.up();
  await expect(page.getByText('2 selected')).toBeVisible();
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('m');
  await expect(row(page, 'sign “Mind the gap”')).toContainText('2 layers of the one picture deck-merged');
  await saved(page);
  await page.keyboard.press('x');
  await expect(row(page, 'deck')).toContainText('CSS says this exactly');
});

test('everything that can be said stands in one panel, for all that is chosen', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('Control+a');
  await expect(page.getByRole('form', { name: 'Tags of the selection' })).toContainText('mixed');
  await row(page, 'deck').getByRole('rowheader').click();
  await page.getByLabel('Link to').fill('https://ternholm.example/');
  await page.keyboard.press('Enter');
  await expect(row(page, 'deck')).toContainText('link');
  await page.getByLabel('Note').fill('can be code, confirm');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('HTML code')).toContainText('<!-- can be code, confirm -->');
  await expectAccessible(page);
  await saved(page);
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    (async () => {
      await page.getByRole('treegrid').focus();
      await page.keyboard.press('.');
      await page.keyboard.type('export');
      await page.keyboard.press('Enter');
    })(),
  ]);
  expect(download.suggestedFilename()).toBe('pier.tagged.svg');
  expect(readFileSync((await download.path())!, 'utf8')).toContain(
    'data-note=&quot;can be code, confirm&quot;',
  );
});

test('the layouts that parts could have are weighed, and another is chosen and dropped again', async ({
  page,
}) => {
  const berth = (at: number) =>
    `<g id="berth${at}"><rect x="${20 + at * 80}" y="20" width="60" height="40" fill="#fff"/><text x="${30 + at * 80}" y="44" font-size="14">Holm</text></g>`;
  await readMockup(
    page,
    'berths.svg',
    svgOf(`<g id="pier"><rect width="400" height="80" fill="#eee"/>${berth(0)}${berth(1)}${berth(2)}</g>`),
  );
  await page.getByRole('button', { name: 'flow', exact: true }).click();
  await row(page, 'pier').getByRole('rowheader').click();
  const layouts = page.getByRole('group', { name: 'Layouts of its parts' });
  const column = layouts.getByRole('button', { name: /^in a column/ });
  await expect(column).toContainText('moves 2 by up to');
  await expectAccessible(page);
  await column.click();
  await expect(column).toHaveAttribute('aria-pressed', 'true');
  await expect(page.getByLabel('CSS code')).toContainText('flex-direction: column');
  await layouts.getByRole('button', { name: /^exactly as drawn/ }).click();
  await expect(page.getByLabel('CSS code')).toContainText('position: absolute');
  await layouts.getByRole('button', { name: 'Automatic' }).click();
  await expect(page.getByLabel('CSS code')).not.toContainText('position: absolute');
});

test('a query is kept as a view, and dropped again', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByLabel('Find layers').fill('kind:text role:heading');
  await page.getByRole('button', { name: 'Save as a view' }).click();
  await expect(page.getByRole('button', { name: 'Remove this view' })).toBeVisible();
  await page.reload();
  await page.getByRole('combobox', { name: 'View' }).click();
  await page.getByRole('option', { name: 'kind:text role:heading' }).click();
  await expect(page.getByText('1 found')).toBeVisible();
  await page.getByRole('button', { name: 'Remove this view' }).click();
  await expect(page.getByRole('button', { name: 'Save as a view' })).toBeVisible();
});
