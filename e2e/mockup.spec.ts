import { expect, test } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { openDemo, readMockup, svgOf } from './support/shelf';
import { row } from './support/worksheet';

const PIER =
  svgOf(`<g id="pier"><rect id="deck" y="100" width="400" height="40" fill="#864"/><path id="gull" d="M10 10q10 -10 20 0q10 -10 20 0" fill="none" stroke="#222"/>
  <text id="sign" x="20" y="200" font-family="Commissioner" font-size="20">Mind the gap</text></g>`);

test('worksheet and mockup light each other up', async ({ page }) => {
  await openDemo(page);
  const mockup = page.getByAltText('The mockup harbour');
  const box = (await mockup.boundingBox())!;
  const scale = box.width / 1280;
  // The button in the header: its label lies on top, the box beneath.
  await page.mouse.click(box.x + 1160 * scale, box.y + 36 * scale);
  await expect(row(page, 'strong “Book a crossing”')).toHaveAttribute('aria-selected', 'true');
  await page.mouse.click(box.x + 1160 * scale, box.y + 36 * scale);
  await expect(page.getByLabel('HTML code')).toContainText('<button class="book-button');
  // The name in the header lights up its row.
  const before = await row(page, 'serif “Ternholm Ferries”').evaluate(
    (element) => getComputedStyle(element).backgroundColor,
  );
  await page.mouse.move(box.x + 180 * scale, box.y + 38 * scale);
  await expect(row(page, 'serif “Ternholm Ferries”')).not.toHaveCSS('background-color', before);
});

test('the code follows the arrangement, and says why it is so', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('ArrowDown');
  await expect(page.getByLabel('HTML code')).toContainText('class="hero"');
  await page.getByRole('button', { name: 'fixed' }).click();
  await expect(page.getByLabel('HTML code')).toContainText('class="hero"');
  await page.getByRole('button', { name: 'flow', exact: true }).click();
  await page.getByRole('rowheader', { name: 'header', exact: true }).click();
  const reasons = page.getByRole('list', { name: 'Reasons for the element' });
  await expect(reasons).toContainText('A row: its 4 parts are drawn beside each other.');
  await expect(reasons).toContainText('is the background of its group. From: box.');
  await expectAccessible(page);
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

test('the mockup is shown in the looks of its samples and in every theme, as its tags are now', async ({
  page,
}) => {
  const samples = `<g data-name="Looks [style]"><rect id="plank" x="500" width="9" height="9" fill="#00f"/>
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
  await expect.poll(fill, { timeout: 15_000 }).toBe('#888');
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

test('the selection goes to the clipboard as SVG and as PNG', async ({ page, context }) => {
  await context.grantPermissions(['clipboard-read', 'clipboard-write']);
  await readMockup(page, 'pier.svg', PIER);
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('ArrowDown');
  await page.keyboard.press('.');
  await page.keyboard.type('copy svg');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Copied as SVG.')).toBeVisible();
  expect(await page.evaluate(() => navigator.clipboard.readText())).toMatch(/^<svg [^>]*>.*#864/s);
  await page.keyboard.press('.');
  await page.keyboard.type('copy png');
  await page.keyboard.press('Enter');
  await expect(page.getByText('Copied as PNG.')).toBeVisible();
  const size = await page.evaluate(async () => {
    const [item] = await navigator.clipboard.read();
    const image = await createImageBitmap(await item!.getType('image/png'));
    return [image.width, image.height];
  });
  expect(size).toEqual([800, 80]);
});
