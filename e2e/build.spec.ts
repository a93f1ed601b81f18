import { expect, test, type Page } from '@playwright/test';
import { unzipSync } from 'fflate';
import { readFile } from 'node:fs/promises';
import { expectAccessible } from './support/axe';
import { openDemo, readMockup, svgOf } from './support/shelf';
import { saved } from './support/worksheet';

/** Builds, and waits for the new page: an earlier one may be shown meanwhile. */
async function build(page: Page, arrangement: string): Promise<void> {
  const done = page.waitForResponse(
    async (response) =>
      /\/api\/builds\/[^/]+$/.test(response.url()) && (await response.text()).includes('"state":"done"'),
    { timeout: 40_000 },
  );
  await page.getByRole('button', { name: arrangement, exact: true }).click();
  await page.getByRole('button', { name: /^Build (the page|again)$/ }).click();
  await done;
  await expect(page.getByRole('heading', { name: `Page (${arrangement})` })).toBeVisible();
}

test('the page is built, shown beside the mockup, read, and taken away as a ZIP', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await page.getByRole('button', { name: 'Build the page' }).click();
  await expect(page.getByRole('heading', { name: 'Page (flow)' })).toBeVisible({
    timeout: 30_000,
  });
  const built = page.frameLocator('iframe[title="The built page"]');
  await expect(built.getByRole('heading', { name: 'Departures from Ternholm' })).toBeVisible();
  await expect(built.getByRole('button', { name: 'Book a crossing' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('tab', { name: /^Files/ }).click();
  await expect(page.getByRole('region', { name: 'index.html' })).toContainText('<h1>Departures');
  await page.getByRole('button', { name: /^pictures\/ferry-mark\.svg/ }).click();
  await expect(page.getByRole('img', { name: 'pictures/ferry-mark.svg' })).toBeVisible();
  await expectAccessible(page);

  await page.getByRole('tab', { name: /^Findings/ }).click();
  await page.getByRole('button', { name: /^Layers past the edge/ }).click();
  await expect(page.getByText(/reaches past the screen/)).toBeVisible();
  await expect(page.getByRole('link', { name: 'Show harbour-photo in Sort' })).toBeVisible();

  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('link', { name: 'Download as ZIP' }).click(),
  ]);
  expect(download.suggestedFilename()).toBe('harbour.zip');
  const files = unzipSync(new Uint8Array(await readFile((await download.path())!)));
  expect(Object.keys(files)).toEqual(
    expect.arrayContaining(['index.html', 'styles.css', 'orden.json', 'pictures/harbour-photo.jpg']),
  );
  const manifest = JSON.parse(new TextDecoder().decode(files['orden.json'])) as {
    files: { path: string; bytes: number }[];
  };
  for (const { path, bytes } of manifest.files) expect([path, files[path]?.length]).toEqual([path, bytes]);
});

test('the same screens are built for several targets, each shown as it is drawn', async ({ page }) => {
  await readMockup(page, 'pier.svg', await readFile('demo/harbour.svg'));
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await page.getByRole('combobox', { name: 'Code' }).selectOption('react');
  await page.getByRole('checkbox', { name: 'QML' }).check();
  await expectAccessible(page);
  await page.getByRole('button', { name: 'Build the page' }).click();
  await expect(page.getByText(/^Built .*React, flow/)).toBeVisible({ timeout: 40_000 });
  const built = page.frameLocator('iframe[title="The built page"]');
  await expect(built.getByRole('heading', { name: 'Departures from Ternholm' })).toBeVisible();

  await page.getByRole('tab', { name: 'Code, traced' }).click();
  await expect(page.getByRole('region', { name: /^screens\/.*tsx$/ })).toContainText(
    'mainNavigationLinks: readonly',
  );
  await page.getByRole('combobox', { name: 'Code' }).selectOption('qml');
  await expect(page.getByText(/^Built .*QML, flow/)).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('tab', { name: 'Windows' })).toBeHidden();
  await page.getByRole('tab', { name: 'Code, traced' }).click();
  await expect(page.getByRole('region', { name: /qml$/ })).toContainText('import QtQuick.Layouts');
  await expect(page.getByRole('img', { name: 'The screen as it is drawn' })).toBeVisible();
  await page.getByRole('option', { name: 'main-navigation' }).click();
  await expect(page.getByText(/^lines? \d+/)).toBeVisible();
  await expectAccessible(page);
});

test('the proof says how much differs, and wipes from mockup to page by keyboard', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await build(page, 'nested');
  await page.getByRole('tab', { name: 'Proof' }).click();
  await expect(page.getByText('of all pixels differ')).toBeVisible({ timeout: 40_000 });
  expect(
    parseFloat(
      await page
        .getByText(/^[\d.]+%$/)
        .first()
        .innerText(),
    ),
  ).toBeLessThan(0.2);
  await expect(page.getByText('Everything stands where it was drawn, within a px.')).toBeVisible();
  await expect(page.getByRole('img', { name: 'The mockup' })).toBeVisible();
  await page.getByRole('slider').focus();
  await page.keyboard.press('End');
  await expect(page.getByRole('slider')).toHaveAttribute('aria-valuenow', '100');
  await page.getByRole('button', { name: 'mockup and difference' }).click();
  await expect(page.getByRole('img', { name: 'The difference' })).toBeVisible();
  await expect(page.getByText('No layer differs')).toBeVisible();
  await expectAccessible(page);
});

test('the proof lists layers that are not on the page, and leads to them by keyboard', async ({ page }) => {
  await readMockup(
    page,
    'quay.svg',
    svgOf(
      '<rect id="quay" width="200" height="80" fill="#864"/><rect id="rope [-]" x="40" y="120" width="90" height="20" fill="#222"/>',
    ),
  );
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await build(page, 'nested');
  await page.getByRole('tab', { name: 'Proof' }).click();
  const rope = page
    .getByRole('list', { name: /Layers that differ/ })
    .getByRole('button', { name: /rope.*not on the page/ });
  await expect(rope).toBeVisible({ timeout: 40_000 });
  await rope.focus();
  await page.keyboard.press('Enter');
  await expect(rope).toHaveClass(/Mui-selected/);
  await expectAccessible(page);
});

test('layers, code and the live page light each other up', async ({ page }) => {
  // What is chosen while the page still loads is lit as soon as it is there.
  await page.route(/\/index\.html$/, async (route) => {
    if (route.request().resourceType() === 'document')
      await new Promise((resolve) => setTimeout(resolve, 1500));
    await route.continue();
  });
  await openDemo(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await build(page, 'flow');
  await page.getByRole('tab', { name: 'Code, traced' }).click();
  const built = page.frameLocator('iframe[title="The built page"]');
  await page.getByRole('option', { name: 'book-button', exact: true }).click();
  await expect(built.locator('[data-lit]')).toHaveText('Book a crossing');
  await expect(page.locator('.cm-lit').first()).toContainText('<button class=');

  await built.getByRole('heading', { name: 'Departures from Ternholm' }).click();
  await expect(page.locator('.cm-lit')).toContainText('Departures from Ternholm');
  await expect(
    page.getByRole('listbox', { name: 'Layers' }).getByRole('option', { selected: true }),
  ).toHaveText('serif “Departures from Ternholm”');

  await page.locator('.cm-line', { hasText: 'class="weather-strip"' }).click();
  await expect(
    page.getByRole('listbox', { name: 'Layers' }).getByRole('option', { selected: true }),
  ).toHaveText('weather-strip');

  await page.getByLabel('State that is shown').selectOption('hover');
  await expect(built.getByRole('button', { name: 'Book a crossing' })).toHaveCSS(
    'background-color',
    'rgb(156, 53, 34)',
  );
  await page.getByRole('slider').focus();
  await page.keyboard.press('Home');
  await expect(page.getByText('Window 320 px')).toBeVisible();
  await expectAccessible(page);
});

test('a page in the flow is seen in the windows of phones, tablets and large screens', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await build(page, 'flow');
  await page.getByRole('tab', { name: 'Windows' }).click();
  for (const width of [375, 768, 1280, 1920]) {
    const view = page.getByRole('region', { name: `A window of ${width} px` });
    await expect(view.getByText(/^All of \d+ texts stand as they are meant\.$/)).toBeVisible();
  }
  await expectAccessible(page);
});

test('two builds are compared line by line', async ({ page }) => {
  await openDemo(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await build(page, 'flow');
  await page.getByLabel('Units').selectOption('rem');
  await build(page, 'flow');
  await page.getByRole('tab', { name: /^Files/ }).click();
  await page.getByRole('button', { name: /^styles\.css/ }).click();
  await expect(page.getByRole('region', { name: 'styles.css' })).toContainText('rem');
  await page.getByLabel('Compare with an earlier build').selectOption({ index: 1 });
  const compared = page.getByRole('region', { name: 'styles.css of two builds' });
  await expect(compared.locator('.cm-changedLine').first()).toBeVisible();
  await expectAccessible(page);
});

test('a build keeps to the tags of its moment, and the newest is there after a reload', async ({ page }) => {
  await readMockup(
    page,
    'pier.svg',
    svgOf(
      '<rect id="deck" width="400" height="40" fill="#864"/><rect id="rail" y="60" width="400" height="4" fill="#222"/>',
    ),
  );
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('-');
  await expect(page.getByText('aside: set by you').first()).toBeVisible();
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await expect(page.getByText('Nothing is built yet')).toBeVisible();
  await page.getByRole('button', { name: 'fixed' }).click();
  await page.getByRole('button', { name: 'Build the page' }).click();
  await expect(page.getByRole('heading', { name: 'Page (fixed)' })).toBeVisible({
    timeout: 30_000,
  });
  const built = page.frameLocator('iframe[title="The built page"]');
  await expect(built.locator('.rail')).toBeVisible();
  await expect(built.locator('.deck')).toHaveCount(0);
  await page.reload();
  await expect(page.getByRole('heading', { name: 'Page (fixed)' })).toBeVisible();
});

test('a build says how old it is, and its options are those of Sort', async ({ page }) => {
  await readMockup(page, 'jetty.svg', svgOf('<rect id="deck" width="400" height="40" fill="#864"/>'));
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await build(page, 'nested');
  const age = page.getByRole('status').filter({ hasText: /^Built/ });
  await expect(age).toContainText('nested, px, up to date');
  await page.getByRole('link', { name: 'Sort', exact: true }).click();
  await expect(page.getByRole('button', { name: 'nested' })).toHaveAttribute('aria-pressed', 'true');
  await page.getByRole('treegrid').focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('-');
  await saved(page);
  await page.getByRole('link', { name: 'Build' }).click();
  await expect(age).toContainText('nested, px: old, one edit since');
  await expect(page.getByRole('link', { name: /^Download the old build of/ })).toBeVisible();
  await page.getByLabel('Units').selectOption('rem');
  await expect(age).toContainText('other options are chosen now');
  const title = page.getByRole('textbox', { name: 'Title' });
  await title.fill('The jetty');
  const kept = page.waitForResponse(
    (response) =>
      response.url().endsWith('/options') && Boolean(response.request().postData()?.includes('The jetty')),
  );
  await title.press('Enter');
  await expect(title).toBeFocused();
  await kept;
  await page.reload();
  await expect(page.getByLabel('Units')).toHaveValue('rem');
  await expect(title).toHaveValue('The jetty');
  await expectAccessible(page);
});

test('a running build is stopped, and nothing of it is kept', async ({ page, request }) => {
  test.setTimeout(120_000);
  const shapes = Array.from({ length: 400 }, (_, at) => {
    const x = (at % 20) * 60;
    const y = Math.floor(at / 20) * 40;
    const gradient = `<radialGradient id="g${at}" fx=".${1 + (at % 8)}"><stop stop-color="#${(100 + at).toString(16).padStart(3, '0')}"/><stop offset="1" stop-color="#fff"/></radialGradient>`;
    return `${gradient}<g filter="url(#f)"><circle cx="${x}" cy="${y}" r="${20 + (at % 7)}" fill="url(#g${at})"/><image x="${x}" y="${y}" width="${9 + at}" height="9" href="${PIXEL}"/></g>`;
  });
  await readMockup(
    page,
    'slow.svg',
    svgOf(
      `<filter id="f"><feTurbulence baseFrequency=".05" numOctaves="6"/><feComposite in2="SourceGraphic" operator="in"/></filter>${shapes.join('')}`,
      1200,
      800,
    ),
  );
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await page.getByRole('button', { name: 'Build the page' }).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByText('The build was stopped; nothing of it was kept.')).toBeVisible();
  const mockup = page.url().split('/').at(-2)!;
  const { builds } = (await (await request.get(`/api/mockups/${mockup}/builds`)).json()) as {
    builds: { id: string; state: string }[];
  };
  expect(builds[0]!.state).toBe('cancelled');
  expect((await request.get(`/api/builds/${builds[0]!.id}/files/index.html`)).status()).toBe(404);
});

const PIXEL =
  'data:image/png;base64,iVBORw0KGgoAAAANSUhEUgAAAAIAAAABCAYAAAD0In+KAAAAD0lEQVR42mP8z8BQz0AEAAAJAwEBTHNTgAAAAABJRU5ErkJggg==';

test('screens of one page at different widths become one page', async ({ page }) => {
  await openDemo(page, 'ticket');
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await page.getByLabel('Widths').selectOption('one');
  await build(page, 'flow');
  const built = page.frameLocator('iframe[title="The built page"]');
  await expect(built.getByRole('link', { name: 'Harbours' })).toBeVisible();
  await expect(built.getByRole('button', { name: 'Menu' })).toBeHidden();
  await page.getByLabel('Screen', { exact: true }).selectOption({ label: 'ticket 390' });
  await expect(built.getByRole('button', { name: 'Menu' })).toBeVisible();
  await expect(built.getByRole('link', { name: 'Harbours' })).toBeHidden();
  await expectAccessible(page);

  await page.getByRole('tab', { name: 'Proof' }).click();
  await expect(page.getByText('of all pixels differ')).toBeVisible({ timeout: 40_000 });
});

test('pictures are made by the recipes of the project, and listed with their reasons', async ({ page }) => {
  await readMockup(
    page,
    'gull.svg',
    svgOf('<path id="gull" d="M10 10q10 -10 20 0q10 -10 20 0" fill="none" stroke="#222"/>'),
  );
  await page.getByRole('link', { name: 'Build' }).click();
  await page.waitForURL(/\/build$/);
  await page.getByRole('button', { name: 'Recipes…' }).click();
  const recipes = page.getByRole('textbox', { name: 'Recipes' });
  await recipes.fill('[{"name": "shop", "files": [{"format": "bmp", "size": "1x"}]}]');
  await expect(page.getByText(/bmp is no format/)).toBeVisible();
  await recipes.fill(
    '[{"name": "shop", "files": [{"format": "webp", "size": "120w"}, {"format": "png", "size": "2x"}]}]',
  );
  await page.getByRole('button', { name: 'Keep the recipes' }).click();
  await page.getByLabel('Pictures', { exact: true }).selectOption('shop');
  await build(page, 'nested');
  await page.getByRole('tab', { name: /^Pictures/ }).click();
  const table = page.getByRole('table', { name: 'Files of pictures' });
  await expect(table).toContainText('pictures/gull-120w.webp');
  await expect(table).toContainText('by shop');
  await expectAccessible(page);
  await page.getByRole('searchbox', { name: 'Find a picture' }).fill('png');
  await expect(table).not.toContainText('webp');
});
