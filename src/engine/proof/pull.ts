import type { Browser, Page } from 'playwright-core';
import { decodeText } from '../../core/read/decodeText';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** A page that runs no script and reaches no network. */
async function quietly<T>(
  browser: Browser,
  { width, height }: Size,
  work: (page: Page) => Promise<T>,
): Promise<T> {
  const context = await browser.newContext({
    viewport: { width, height },
    javaScriptEnabled: false,
    offline: true,
  });
  try {
    return await work(await context.newPage());
  } finally {
    await context.close();
  }
}

/** A built page as Chromium shows it at the mockup's size, PNG. `address`: a `file:` URL. */
export function pullPage(browser: Browser, address: string, size: Size): Promise<Buffer> {
  return quietly(browser, size, async (page) => {
    await page.goto(address);
    return page.screenshot({ clip: { x: 0, y: 0, ...size } });
  });
}

/**
 * A part of an SVG as the same Chromium shows it, PNG. As a picture it runs no script and fetches nothing (SVG 2, §2.2.1:
 * secure static mode).
 * @param sheet size that the whole SVG is shown at, px; where it says one itself, that holds to the fraction of a px
 * @param part where on the sheet the picture is taken, px
 */
export function pullSvg(
  browser: Browser,
  svg: Uint8Array,
  sheet: Size,
  part: Size & { readonly x: number; readonly y: number },
): Promise<Buffer> {
  const data = `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`;
  const whole = { width: Math.ceil(sheet.width), height: Math.ceil(sheet.height) };
  return quietly(browser, { width: part.width, height: part.height }, async (page) => {
    const size = saysSize(svg) ? '' : `;width:${sheet.width}px;height:${sheet.height}px`;
    const style = `position:absolute;left:${-part.x}px;top:${-part.y}px${size}`;
    await page.setContent(
      `<!doctype html><body style="margin:0;width:${whole.width}px;height:${whole.height}px;overflow:hidden"><img alt="" style="${style}" src="${data}">`,
      { waitUntil: 'load' },
    );
    return page.screenshot({ clip: { x: 0, y: 0, width: part.width, height: part.height } });
  });
}

const ROOT = /<(?:[\w.-]+:)?svg\b(?:"[^"]*"|'[^']*'|[^"'>])*>/;
const SIDES = ['width', 'height'].map((side) => new RegExp(`\\s${side}\\s*=\\s*["'][^"'%]*\\d[^"'%]*["']`));

/** True where the outermost element has a size of its own that depends on no window (SVG 2, §8.2). */
function saysSize(svg: Uint8Array): boolean {
  const [root = ''] = ROOT.exec(decodeText(svg)) ?? [];
  return SIDES.every((side) => side.test(root));
}
