import { readFileSync } from 'node:fs';
import { expect, test } from '@playwright/test';
import sharp from 'sharp';
import { expectAccessible } from './support/axe';
import { readMockup, readReport, svgOf } from './support/shelf';

const SHEET = svgOf(
  `<text x="40" y="40" font-family="Nowhere Grotesk">Sketches</text>
   <g id="harbour" transform="translate(40 60)"><rect width="1280" height="800" fill="#fff"/><rect id="quay" x="10.5" y="20" width="300" height="80" fill="#246"/><text x="40" y="200" font-family="Nowhere Grotesk">Departures</text></g>
   <g id="pocket" transform="translate(1360 60)"><rect width="390" height="844" fill="#fff"/><path id="wave" d="M0 300c60-40 80-40 140 0s80 40 140 0z" fill="#48a"/></g>`,
  1800,
  1000,
);

test('the report comes before the project', async ({ page, request }) => {
  const count = async () =>
    ((await (await request.get('/api/projects')).json()) as { projects: unknown[] }).projects.length;
  const before = await count();
  await readReport(page, 'sheet.svg', SHEET);
  expect(await count()).toBe(before);
  await expect(page.getByText('5 layers: ')).toBeVisible();
  await expect(page.getByRole('heading', { name: '2 screens' })).toBeVisible();
  await expect(page.getByRole('row', { name: /pocket 390×844/ })).toBeVisible();
  await expect(page.getByRole('button', { name: 'Layers beside the screens: 1' })).toBeVisible();
  await expect(page.getByRole('row', { name: /Nowhere Grotesk substituted/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Discard' }).click();
  await page.waitForURL(/\/$/);
  expect(await count()).toBe(before);
});

test('a finding leads to its layer', async ({ page }) => {
  await readMockup(page, 'sheet.svg', SHEET);
  await page.getByRole('link', { name: 'Read', exact: true }).click();
  await page.getByRole('button', { name: /Edges between two px: 1/ }).click();
  await expect(page.getByText('An edge lies 0.5 px beside a whole px')).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('link', { name: 'Show quay in Sort' }).click();
  await page.waitForURL(/\/sort\?layer=/);
  await expect(page.getByRole('row', { name: /quay/, selected: true })).toBeVisible();
});

test('a person says which groups are screens, and takes it back', async ({ page }) => {
  await readMockup(page, 'sheet.svg', SHEET);
  await expect(page.getByLabel('Screen', { exact: true })).toContainText('pocket');
  await page.getByRole('link', { name: 'Read', exact: true }).click();
  await page.getByRole('checkbox', { name: 'pocket is a screen' }).click();
  await expect(page.getByRole('heading', { name: 'One screen' })).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('heading', { name: '2 screens' })).toBeVisible();
  await expect(page.getByRole('checkbox', { name: 'pocket is a screen' })).toBeChecked();
});

test('screens are walked one by one, each with its own layers', async ({ page }) => {
  await readMockup(page, 'sheet.svg', SHEET);
  await expect(page.getByRole('row', { name: /quay/ })).toBeVisible();
  await page.getByLabel('Screen', { exact: true }).selectOption('pocket');
  await expect(page.getByRole('row', { name: /wave/ })).toBeVisible();
  await expect(page.getByRole('row', { name: /quay/ })).toHaveCount(0);
});

test('a font file that is added sets the texts that ask for it', async ({ page }) => {
  const font = readFileSync('node_modules/@fontsource/aleo/files/aleo-latin-700-normal.woff2');
  const content = svgOf('<text y="40" font-family="Aleo Sign, serif">Calm</text>');
  await readReport(page, 'sign.svg', content);
  await expect(page.getByRole('row', { name: /Aleo Sign substituted/ })).toBeVisible();
  await page
    .getByLabel('Font file')
    .setInputFiles({ name: 'torn.ttf', mimeType: 'font/ttf', buffer: Buffer.from('no font') });
  await expect(page.getByRole('alert').first()).toContainText(
    'torn.ttf: This is no font file that can be read',
  );
  await page
    .getByLabel('Font file')
    .setInputFiles({ name: 'aleo.woff2', mimeType: 'font/woff2', buffer: font });
  await expect(page.getByText('Aleo, weight 700, was added')).toBeVisible();
  await expect(page.getByRole('row', { name: /aleo\.woff2/ })).toBeVisible();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Remove aleo.woff2' }).click();
  await expect(page.getByText('Aleo was removed')).toBeVisible();
  await expect(page.getByRole('row', { name: /aleo\.woff2/ })).toHaveCount(0);
});

test('regions of a flat picture become layers, by dragging and by numbers', async ({ page }) => {
  const png = await sharp({ create: { width: 400, height: 300, channels: 3, background: '#dfe8ec' } })
    .png()
    .toBuffer();
  await readMockup(page, 'photo.png', png);
  await page.getByRole('link', { name: 'Read', exact: true }).click();
  const form = page.getByRole('form', { name: 'New region' });
  await form.getByLabel('Region name').fill('Buoy');
  for (const [label, value] of [
    ['From the left', '20'],
    ['From the top', '30'],
    ['Width', '100'],
    ['Height', '50'],
  ] as const)
    await form.getByLabel(label).fill(value);
  await form.getByRole('button', { name: 'Mark region' }).click();
  await expect(page.getByRole('row', { name: 'Buoy 20, 30 100×50' })).toBeVisible();

  const picture = (await page.getByRole('img', { name: 'The mockup as it was read' }).boundingBox())!;
  await page.mouse.move(picture.x + picture.width / 2, picture.y + picture.height / 2);
  await page.mouse.down();
  await page.mouse.move(picture.x + picture.width * 0.75, picture.y + picture.height * 0.8, { steps: 3 });
  await page.mouse.up();
  await expect(form.getByLabel('From the left')).toHaveValue('200');
  await form.getByLabel('Region name').fill('Wake');
  await expectAccessible(page);
  // While the server is slow, the second edit must not forget the first.
  await page.route('**/edits', async (route) => {
    await new Promise((resolve) => setTimeout(resolve, 600));
    await route.continue();
  });
  await form.getByRole('button', { name: 'Mark region' }).click();
  await page.getByRole('button', { name: 'Take back the region Buoy' }).click();
  await expect(page.getByRole('row', { name: /Buoy/ })).toHaveCount(0);
  await page.getByRole('link', { name: 'Sort', exact: true }).click();
  await expect(page.getByRole('row', { name: /Wake/ })).toBeVisible();
});

test('several files are read one after the other, each with its report', async ({ page }) => {
  await page.goto('/');
  const file = (name: string) => ({
    name,
    mimeType: 'image/svg+xml',
    buffer: Buffer.from(svgOf('<rect width="9" height="9"/>')),
  });
  await page.getByLabel('Mockup file').setInputFiles([file('one.svg'), file('two.svg')]);
  await expect(page.getByRole('link', { name: 'See the report of two.svg' })).toBeVisible();
  await page.getByRole('link', { name: 'See the report of one.svg' }).click();
  await expect(page.getByRole('heading', { name: 'one.svg' })).toBeVisible();
});

test('a long reading says how far it is, and can be stopped', async ({ page }) => {
  const rects = Array.from(
    { length: 60_000 },
    (_, at) => `<rect id="r${at}" x="${at % 300}" y="${at % 200}" width="3" height="3" fill="url(#g)"/>`,
  );
  const content = svgOf(
    `<linearGradient id="g"><stop/><stop offset="1" stop-color="#fff"/></linearGradient>${rects.join('')}`,
  );
  await page.goto('/');
  await page
    .getByLabel('Mockup file')
    .setInputFiles({ name: 'long.svg', mimeType: 'image/svg+xml', buffer: Buffer.from(content) });
  await expect(page.getByText(/Reading long\.svg: [\d,]+ of 60,/)).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('Reading long.svg')).toHaveCount(0);
  await expect(page).toHaveURL(/\/$/);
});
