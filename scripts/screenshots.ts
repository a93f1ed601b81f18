import { launchChromium } from '../tests/support/chromium';

/** Takes the pictures of the README from a running Orden with the demo: `tsx scripts/screenshots.ts [ADDRESS]`. */
const address = process.argv[2] ?? 'http://127.0.0.1:3000';
const browser = await launchChromium();
const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
const shoot = (name: string) => page.screenshot({ path: `docs/screenshots/${name}.png` });
/** When all pictures on it are drawn. */
async function shootDrawn(name: string): Promise<void> {
  await page.waitForLoadState('networkidle');
  await page.getByText(/^Drawing the mockup/).waitFor({ state: 'detached', timeout: 60_000 });
  await page.waitForTimeout(1000);
  await shoot(name);
}

await page.goto(address);
await page.getByRole('link', { name: 'harbour', exact: true }).waitFor();
await page.waitForLoadState('networkidle');
await shootDrawn('shelf');

await page.getByRole('link', { name: 'harbour', exact: true }).last().click();
await page.getByText('141 layers').waitFor();
await page.getByRole('rowheader', { name: 'book-button', exact: true }).click();
await page.getByLabel('HTML code').getByText('button').first().waitFor();
await shootDrawn('sort');

await page.getByRole('button', { name: 'flow', exact: true }).click();
await page.getByRole('rowheader', { name: 'weather-strip', exact: true }).click();
await page.getByRole('group', { name: 'Layouts of its parts' }).waitFor();
await page.getByLabel('What the mockup shows').selectOption('page');
await page.frameLocator('iframe').getByText('Ternholm Ferries').first().waitFor();
await shootDrawn('live');

await page.goto(address);
await page.getByRole('link', { name: 'wheelhouse', exact: true }).last().click();
await page.getByRole('rowheader', { name: 'gauges', exact: true }).click();
await page.getByLabel('Looks of the mockup').selectOption('.fair');
await page.getByRole('img', { name: /^The mockup/ }).waitFor();
await shootDrawn('themes');

await page.getByRole('link', { name: 'Style', exact: true }).click();
await page.getByRole('list', { name: 'Classes' }).getByRole('button').first().waitFor();
await page
  .getByRole('button', { name: /\.plate/ })
  .first()
  .click();
await shootDrawn('style');
await page.getByRole('button', { name: /^Values/ }).click();
await shootDrawn('values');

await page.goto(address);
await page.getByRole('link', { name: 'harbour', exact: true }).last().click();
await page.getByRole('link', { name: 'Read', exact: true }).click();
await page.getByRole('region', { name: 'Screens' }).waitFor();
await page.waitForLoadState('networkidle');
await shootDrawn('read');

await page.getByRole('link', { name: 'Pictures', exact: true }).click();
await page.getByRole('button', { name: 'harbour-photo', exact: true }).click();
await page.waitForTimeout(3000);
await shootDrawn('pictures');
await page.getByRole('button', { name: 'Compare formats…' }).click();
await page.getByText('…', { exact: true }).first().waitFor({ state: 'detached', timeout: 60_000 });
await shootDrawn('formats');
await page.getByRole('button', { name: 'Cancel' }).click();

await page.getByRole('link', { name: 'Build' }).click();
await page.getByRole('button', { name: 'Build the page' }).click();
await page.getByRole('heading', { name: /^Page \(/ }).waitFor();
await page.waitForTimeout(3000);
await shoot('build');

await page.getByRole('tab', { name: 'Windows' }).click();
await page
  .getByText(/texts stand as they are meant|are cut off/)
  .last()
  .waitFor();
await page.waitForTimeout(1500);
await shoot('windows');

await page.getByRole('tab', { name: 'Proof' }).click();
await page.getByRole('img', { name: 'The mockup' }).waitFor();
await shootDrawn('proof');

await page.getByRole('tab', { name: 'Code, traced' }).click();
await page.getByRole('option', { name: 'book-button', exact: true }).click();
await page.waitForTimeout(1000);
await shoot('links');

await page.getByRole('tab', { name: /^Files/ }).click();
await page.getByText('doctype').waitFor();
await shootDrawn('files');

await page.getByRole('combobox', { name: 'Code' }).selectOption('react');
await page.getByRole('checkbox', { name: 'QML' }).check();
await page.getByRole('button', { name: 'Build the page' }).click();
await page.getByText(/^Built .*React/).waitFor({ timeout: 60_000 });
await page.getByRole('tab', { name: 'Code, traced' }).click();
await page.getByRole('option', { name: 'main-navigation', exact: true }).click();
await page.waitForTimeout(1500);
await shoot('components');
await page.getByRole('combobox', { name: 'Code' }).selectOption('html');

await page.goto(address);
await page.getByRole('link', { name: 'ticket', exact: true }).last().click();
await page.getByRole('link', { name: 'Build' }).click();
await page.getByLabel('Widths').selectOption('one');
await page.getByRole('button', { name: 'Build the page' }).click();
await page.getByRole('heading', { name: /^Page \(/ }).waitFor();
await page.getByRole('tab', { name: 'Code, traced' }).click();
await page.getByLabel('Screen', { exact: true }).selectOption({ label: 'ticket 390' });
await page.getByRole('option', { name: 'menu-button', exact: true }).click();
await page.waitForTimeout(1000);
await shoot('join');
await browser.close();
