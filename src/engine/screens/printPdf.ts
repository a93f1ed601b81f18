import type { Browser } from 'playwright-core';
import type { DrawnScreen } from './screenFiles';

/**
 * A PDF with a page for each screen, of its size: a px of CSS is a 96th of an inch (CSS Values 4, §6.2), three quarters
 * of a point of PDF (ISO 32000-1, §8.3.2.3).
 */
export async function printPdf(browser: Browser, screens: readonly DrawnScreen[]): Promise<Uint8Array> {
  const context = await browser.newContext({ javaScriptEnabled: false, offline: true });
  try {
    const page = await context.newPage();
    const rules = screens.map(
      ({ width, height }, at) => `@page s${at}{size:${width}px ${height}px;margin:0}.s${at}{page:s${at}}`,
    );
    // As an image an SVG runs no script and fetches nothing (SVG 2, §2.2.1: secure static mode).
    const pages = screens.map(
      ({ svg, width, height }, at) =>
        `<div class="s${at}"><img alt="" style="width:${width}px;height:${height}px" src="data:image/svg+xml;base64,${Buffer.from(svg).toString('base64')}"></div>`,
    );
    await page.setContent(
      `<!doctype html><style>body{margin:0}div{break-inside:avoid}div+div{break-before:page}img{display:block}${rules.join('')}</style>${pages.join('')}`,
      { waitUntil: 'load' },
    );
    return await page.pdf({ printBackground: true, preferCSSPageSize: true });
  } finally {
    await context.close();
  }
}
