import { readFileSync } from 'node:fs';
import { expect, test, type Page } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { openDemo, readMockup, svgOf } from './support/shelf';

const PIER =
  svgOf(`<g id="pier"><rect id="deck" y="100" width="400" height="40" fill="#864"/><path id="gull" d="M10 10q10 -10 20 0q10 -10 20 0" fill="none" stroke="#222"/>
  <text id="sign" x="20" y="200" font-family="Commissioner" font-size="20">Mind the gap</text></g>`);

/** The row of a layer, and its cells by column. */
function row(page: Page, name: string) {
  return page.getByRole('row').filter({ has: page.getByRole('rowheader', { name, exact: true }) });
}

async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('status').filter({ hasText: /^Saved$/ })).toBeVisible();
}

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
  await expect(row(page, 'deck')).toContainText('picture: you said so');
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
  await expect(page.getByText('3 chosen', { exact: true })).toBeVisible();
  await keyboard.press('-');
  for (const name of ['deck', 'gull', 'Mind the gap'])
    await expect(row(page, name)).toContainText('aside: you said so');
  await keyboard.press('Control+z');
  for (const name of ['deck', 'gull', 'Mind the gap'])
    await expect(row(page, name)).not.toContainText('you said so');
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
  await expect(row(page, 'Mind the gap')).toHaveAttribute('aria-selected', 'true');
  await keyboard.press('ArrowLeft');
  await expect(row(page, 'pier')).toHaveAttribute('aria-selected', 'true');
});

test('worksheet and mockup light each other up', async ({ page }) => {
  await openDemo(page);
  const mockup = page.getByAltText('The mockup harbour');
  const box = (await mockup.boundingBox())!;
  const scale = box.width / 1280;
  // The button in the header: its label lies on top, the box beneath.
  await page.mouse.click(box.x + 1160 * scale, box.y + 36 * scale);
  await expect(row(page, 'Book a crossing')).toHaveAttribute('aria-selected', 'true');
  await page.mouse.click(box.x + 1160 * scale, box.y + 36 * scale);
  await expect(page.getByLabel('HTML code')).toContainText('<button class="book-button"');
  // The name in the header lights up its row.
  const before = await row(page, 'Ternholm Ferries').evaluate(
    (element) => getComputedStyle(element).backgroundColor,
  );
  await page.mouse.move(box.x + 180 * scale, box.y + 38 * scale);
  await expect(row(page, 'Ternholm Ferries')).not.toHaveCSS('background-color', before);
});

test('the code follows the arrangement', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('HTML code')).toContainText('class="hero"');
  await page.getByRole('button', { name: 'fixed' }).click();
  await expect(page.getByLabel('HTML code')).toContainText('class="hero"');
  await expectAccessible(page);
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
  await page.getByLabel('Only these').check();
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
  await expect(page.getByText('what is set here holds for all 3 alike')).toBeVisible();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('-');
  await expect(page.getByText('aside: you said so of one that is built like it').first()).toBeVisible();
  await page
    .getByRole('rowheader', { name: /^petrel/ })
    .first()
    .click();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('e');
  await expect(page.getByText('element: you said so', { exact: true }).first()).toBeVisible();
  await page.keyboard.press('c');
  await page.getByRole('rowheader', { name: /^auk/ }).first().click();
  await page.keyboard.press('v');
  await expect(page.getByText('element: you said so', { exact: true })).toHaveCount(2);
});

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
  await expect(row(other, 'deck')).toContainText('aside: you said so', { timeout: 3000 });

  await page.bringToFront();
  await context.setOffline(true);
  await page.keyboard.press('p');
  await expect(page.getByText('Waiting for the server')).toBeVisible();
  await context.setOffline(false);
  await saved(page);
  await page.reload();
  await expect(row(page, 'deck')).toContainText('picture: you said so');
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
  await expect(page.getByText('2 chosen', { exact: true })).toBeVisible();
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('m');
  await expect(row(page, 'Mind the gap')).toContainText('you made 2 layers into the one picture deck-merged');
  await saved(page);
  await page.keyboard.press('x');
  await expect(row(page, 'deck')).toContainText('CSS says this exactly');
});

test('everything that can be said stands in one panel, for all that is chosen', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('Control+a');
  await expect(page.getByRole('form', { name: 'Tags of what is chosen' })).toContainText('they differ');
  await row(page, 'deck').getByRole('rowheader').click();
  await page.getByLabel('Leads to').fill('https://ternholm.example/');
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
      await page.keyboard.type('take away');
      await page.keyboard.press('Enter');
    })(),
  ]);
  expect(download.suggestedFilename()).toBe('pier.tagged.svg');
  expect(readFileSync((await download.path())!, 'utf8')).toContain(
    'data-note=&quot;can be code, confirm&quot;',
  );
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
  await expect(row(other, 'deck')).toContainText('picture: you said so');
  await other.unroute('**/edits?after=*');
  await other.getByRole('button', { name: 'Take “aside”' }).click();
  await expect(row(other, 'deck')).toContainText('aside: you said so');
  await expect(row(page, 'deck')).toContainText('aside: you said so', { timeout: 3000 });
});

test('the mockup is zoomed by keyboard, shows the selection alone, and its outcomes in figures', async ({
  page,
}) => {
  await openDemo(page);
  const width = async () => (await page.getByAltText('The mockup harbour').boundingBox())!.width;
  const whole = await width();
  await page.getByRole('group', { name: 'Mockup' }).focus();
  await page.keyboard.press('1');
  await expect(page.getByText('100%', { exact: true })).toBeVisible();
  expect(await width()).toBeCloseTo(1280, 0);
  await page.keyboard.press('0');
  await expect.poll(width).toBeCloseTo(whole, 0);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('i');
  await expect(page.getByLabel('What the mockup shows')).toHaveValue('layers');
  await expect(page.getByAltText('The mockup harbour')).toHaveAttribute('src', /of=layers/);
  await page.keyboard.press('f');
  await expect(page.getByRole('table', { name: 'Layers and area by outcome' })).toContainText('element');
  await expectAccessible(page);
});

test('a query is kept as a view, and dropped again', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByLabel('Find layers').fill('kind:text role:text');
  await page.getByRole('button', { name: 'Keep as a view' }).click();
  await expect(page.getByRole('button', { name: 'Drop this view' })).toBeVisible();
  await page.reload();
  await page.getByRole('combobox', { name: 'View' }).click();
  await page.getByRole('option', { name: 'kind:text role:text' }).click();
  await expect(page.getByText('1 found')).toBeVisible();
  await page.getByRole('button', { name: 'Drop this view' }).click();
  await expect(page.getByRole('button', { name: 'Keep as a view' })).toBeVisible();
});

test('the mockup is shown in the looks of its samples and in every theme, as its tags are now', async ({
  page,
}) => {
  const samples = `<g data-name="Samples [style]"><rect id="plank" x="500" width="9" height="9" fill="#00f"/>
    <g data-name=".fog"><rect id="plank" x="500" y="20" width="9" height="9" fill="#888"/></g></g>`;
  await readMockup(page, 'pier.svg', PIER.replace('</svg>', `${samples}</svg>`));
  const looks = page.getByLabel('Looks of the mockup');
  const picture = page.getByRole('img', { name: /^The mockup/ });
  await expect(looks).toHaveValue('drawn');
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('y');
  await expect(looks).toHaveValue('all');
  await page.keyboard.press('y');
  await expect(looks).toHaveValue('.fog');
  const fill = async () => {
    const address = await picture.getAttribute('src');
    const drawn = await page.request.get(address ?? '');
    return /width="400" height="40"[^>]*fill="(#\w+)"/.exec(await drawn.text())?.[1];
  };
  await expect.poll(fill).toBe('#864');
  // The deck wears the plank as soon as a person says so.
  await looks.focus();
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('t');
  await page.getByRole('textbox', { name: 'Classes' }).fill('plank');
  await page.keyboard.press('Enter');
  await expect.poll(fill, { timeout: 5000 }).toBe('#888');
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('y');
  await expect(looks).toHaveValue('drawn');
});

test('the page is live, and an edit changes only its own part', async ({ page }) => {
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('l');
  await expect(page.getByLabel('What the mockup shows')).toHaveValue('page');
  const shown = page.frameLocator('iframe[title="The page of pier"]');
  await expect(shown.getByText('Mind the gap')).toBeVisible();
  await expect(shown.locator('.deck')).toHaveCSS('background-color', 'rgb(136, 102, 68)');
  const gull = shown.locator('img');
  await expect.poll(() => gull.evaluate((image: HTMLImageElement) => image.naturalWidth)).toBeGreaterThan(10);
  // What stays is the same element, not one like it.
  const sign = shown.getByText('Mind the gap');
  await sign.evaluate((text) => Object.assign(text, { isSeen: true }));
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('-');
  await expect(shown.locator('.deck')).toHaveCount(0);
  expect(await sign.evaluate((text) => 'isSeen' in text)).toBe(true);
  await page.keyboard.press('l');
  await expect(page.getByLabel('What the mockup shows')).toHaveValue('screen');
  await expectAccessible(page);
});
