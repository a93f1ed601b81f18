import { existsSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import type { Browser, Page } from 'playwright-core';
import { measurePage, type MeasuredElement } from './measurePage';
import { screenshot } from './screenshot';
import { inFolder } from '../inFolder';
import { decodeText } from '../../core/read/decodeText';

export interface Size {
  readonly width: number;
  readonly height: number;
}

/** Runs `work` with a page that has no scripts and no network. */
async function withoutScripts<T>(
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

/** The origin that the page is given; a reserved name, which leads nowhere (RFC 6761, §6.4). */
const ORIGIN = 'http://page.invalid/';

/** A built page as the browser shows it. */
export interface PulledPage {
  /** A screenshot at the mockup's size, PNG. */
  readonly picture: Buffer;
  readonly elements: readonly MeasuredElement[];
}

/**
 * A screenshot of a built page at the mockup's size, and the places of its elements. The page gets the files of its
 * folder and nothing else: opened as a file, it could show any picture of the disk.
 * @param file the page's path in the folder
 * @param theme the class that its root is given; null for none
 */
export function pullPage(
  browser: Browser,
  folder: string,
  file: string,
  size: Size,
  theme: string | null = null,
): Promise<PulledPage> {
  return withoutScripts(browser, size, async (page) => {
    await page.route('**', async (route) => {
      const { href, pathname } = new URL(route.request().url());
      const asked = href.startsWith(ORIGIN) ? inFolder(folder, decodeURIComponent(pathname)) : null;
      if (asked === null || !existsSync(asked)) await route.abort();
      else if (theme !== null && route.request().isNavigationRequest())
        await route.fulfill({
          contentType: 'text/html',
          body: inTheme(await readFile(asked, 'utf8'), theme),
        });
      else await route.fulfill({ path: asked });
    });
    await page.goto(ORIGIN + file.split('/').map(encodeURIComponent).join('/'));
    const picture = await screenshot(page, { x: 0, y: 0, ...size });
    return { picture, elements: await measurePage(page) };
  });
}

/** A page whose root has the class of a theme. */
function inTheme(html: string, theme: string): string {
  return html.replace(/<html\b/, `<html class="${theme}"`);
}

/**
 * A screenshot of a part of an SVG in the same Chromium, PNG. As an image it runs no script and fetches
 * nothing (SVG 2, §2.2.1: secure static mode).
 * @param sheet display size of the whole SVG, px; its own size, if it has one, is kept exactly
 * @param part the area on the sheet, px
 */
export function pullSvg(
  browser: Browser,
  svg: Uint8Array,
  sheet: Size,
  part: Size & { readonly x: number; readonly y: number },
): Promise<Buffer> {
  const data = `data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}`;
  const whole = { width: Math.ceil(sheet.width), height: Math.ceil(sheet.height) };
  return withoutScripts(browser, { width: part.width, height: part.height }, async (page) => {
    const size = saysSize(svg) ? '' : `;width:${sheet.width}px;height:${sheet.height}px`;
    const style = `position:absolute;left:${-part.x}px;top:${-part.y}px${size}`;
    await page.setContent(
      `<!doctype html><body style="margin:0;width:${whole.width}px;height:${whole.height}px;overflow:hidden"><img alt="" style="${style}" src="${data}">`,
      { waitUntil: 'load' },
    );
    return screenshot(page, { x: 0, y: 0, width: part.width, height: part.height });
  });
}

const ROOT = /<(?:[\w.-]+:)?svg\b(?:"[^"]*"|'[^']*'|[^"'>])*>/;
const SIDES = ['width', 'height'].map((side) => new RegExp(`\\s${side}\\s*=\\s*["'][^"'%]*\\d[^"'%]*["']`));

/** True when the root element has an absolute size (SVG 2, §8.2). */
function saysSize(svg: Uint8Array): boolean {
  const [root = ''] = ROOT.exec(decodeText(svg)) ?? [];
  return SIDES.every((side) => side.test(root));
}
