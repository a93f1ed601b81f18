import { expect, test } from '@playwright/test';
import { expectAccessible } from './support/axe';
import { readMockup, svgOf } from './support/shelf';

test('the demo is among the projects', async ({ page }) => {
  await page.goto('/');
  const card = page
    .getByRole('listitem')
    .filter({ has: page.getByRole('link', { name: 'harbour', exact: true }) });
  await expect(card.last()).toContainText('141 layers');
  const picture = card.last().locator('img');
  await expect.poll(() => picture.evaluate((image: HTMLImageElement) => image.naturalHeight)).toBe(240);
  await expectAccessible(page);
});

test('a file becomes a project, which is renamed, duplicated, found and deleted', async ({ page }) => {
  await readMockup(page, 'mooring.svg', svgOf('<rect id="plank" width="40" height="20"/>'));
  await expect(page.getByRole('heading', { name: 'mooring' })).toBeVisible();
  await page.getByRole('link', { name: 'Orden' }).click();
  await page.getByRole('button', { name: 'Actions for mooring' }).click();
  await expectAccessible(page);
  await page.getByRole('menuitem', { name: 'Rename…' }).click();
  await page.getByRole('textbox', { name: 'Name' }).fill('long mooring');
  await expectAccessible(page);
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Actions for long mooring' }).click();
  await page.getByRole('menuitem', { name: 'Duplicate' }).click();
  await expect(page.getByRole('link', { name: 'long mooring copy' })).toBeVisible();
  await page.getByLabel('Order of the projects').selectOption('name');
  for (const name of ['long mooring copy', 'long mooring']) {
    await page.getByRole('button', { name: `Actions for ${name}`, exact: true }).click();
    await page.getByRole('menuitem', { name: 'Delete…' }).click();
    await expectAccessible(page);
    await page.getByRole('button', { name: 'Delete', exact: true }).click();
    await expect(page.getByRole('link', { name, exact: true })).toHaveCount(0);
  }
});

test('a dropped file is read as a chosen one is', async ({ page }) => {
  await page.goto('/');
  const transfer = await page.evaluateHandle((svg) => {
    const data = new DataTransfer();
    data.items.add(new File([svg], 'dropped.svg', { type: 'image/svg+xml' }));
    return data;
  }, svgOf('<rect width="40" height="20"/>'));
  const place = page.getByRole('main');
  await place.dispatchEvent('dragenter', { dataTransfer: transfer });
  await place.dispatchEvent('drop', { dataTransfer: transfer });
  await page.waitForURL(/\/readings\/[\w-]+$/);
});

test('a broken file is refused in one sentence, and nothing is stored', async ({ page, request }) => {
  await page.goto('/');
  await page
    .getByLabel('Mockup file')
    .setInputFiles({ name: 'torn.svg', mimeType: 'image/svg+xml', buffer: Buffer.from('<svg>\n<g></svg>') });
  await expect(page.locator('.MuiAlert-root')).toContainText('torn.svg: The XML is broken at line 2, column');
  await expectAccessible(page);
  const { projects } = (await (await request.get('/api/projects')).json()) as {
    projects: { fileName: string }[];
  };
  expect(projects.filter(({ fileName }) => fileName === 'torn.svg')).toEqual([]);
});

const REFUSED = [
  ['an empty file', '', 422, 'The file is empty; choose a mockup with something in it.'],
  [
    'no SVG',
    'just words',
    422,
    'Orden cannot read this file: its bytes are no mockup. Choose an SVG, OpenRaster, PNG, JPEG or WebP mockup.',
  ],
  [
    'nothing to draw',
    svgOf(''),
    422,
    'There is nothing to draw in this file; choose a mockup with at least one visible layer.',
  ],
  [
    'an entity bomb',
    '<!DOCTYPE svg [<!ENTITY a "x"><!ENTITY b "&a;&a;">]><svg>&b;</svg>',
    422,
    /^The XML is broken at line 1, column \d+: .+\. Save the mockup again\.$/,
  ],
  ['nesting without end', '<g>'.repeat(100_000), 422, /^The layers are nested more than 400 deep/],
] as const;

for (const [what, body, status, message] of REFUSED) {
  test(`the server refuses ${what}`, async ({ request }) => {
    const response = await request.post('/api/readings?name=x.svg', {
      data: Buffer.from(body),
      headers: { 'content-type': 'image/svg+xml' },
    });
    expect(response.status()).toBe(status);
    const said = ((await response.json()) as { message: string }).message;
    if (typeof message === 'string') expect(said).toBe(message);
    else expect(said).toMatch(message);
  });
}

test('the server refuses an SVG of more than 64 MB', async ({ request }) => {
  const response = await request.post('/api/readings?name=x.svg', {
    data: Buffer.alloc(65 * 1024 * 1024, '<g/>'),
    headers: { 'content-type': 'image/svg+xml' },
    timeout: 60_000,
  });
  expect(response.status()).toBe(413);
  expect(((await response.json()) as { message: string }).message).toContain('Orden reads at most 64 MB');
});

test('wrong requests get a sentence and the right status', async ({ request }) => {
  const gone = await request.get('/api/mockups/00000000-0000-4000-8000-000000000000');
  expect([gone.status(), await gone.json()]).toEqual([
    404,
    { message: 'This mockup is not on the shelf any more; go back and choose another.' },
  ]);
  expect((await request.get('/api/mockups/nonsense')).status()).toBe(404);
  const { projects } = (await (await request.get('/api/projects')).json()) as {
    projects: { mockupId: string }[];
  };
  const address = `/api/mockups/${projects[0]!.mockupId}`;
  expect((await request.post(`${address}/edits`, { data: { wishes: [] } })).status()).toBe(400);
  expect(
    (
      await request.post(`${address}/edits`, {
        data: 'nonsense',
        headers: { 'content-type': 'application/json' },
      })
    ).status(),
  ).toBe(400);
  expect((await request.post(`${address}/builds`, { data: { arrangement: 'heap' } })).status()).toBe(400);
  expect(
    (
      await request.post(`${address}/edits`, {
        data: { wishes: [{ layer: 'a', facet: 'colour', value: 1 }] },
      })
    ).status(),
  ).toBe(400);
});
