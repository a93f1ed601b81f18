import path from 'node:path';
import type { Plugin } from 'esbuild';
import { element } from '../../core/markup/element';
import { printHtml } from '../../core/markup/printHtml';
import { launchChromium } from '../proof/chromium';
import { bundle } from './bundle';
import type { Rendered, RenderInput } from './renderers';

/** The folder of the pages that show what components draw. */
const FOLDER = 'preview';

/**
 * Lets Chromium run the components of a build, and keeps what they made as plain pages.
 * @param mounting the module that shows the component of a file: imports, and a call that fills the element `root`
 */
export async function renderInBrowser(
  { folder, screens, language }: RenderInput,
  mounting: (file: string) => string,
  plugins: readonly Plugin[],
): Promise<Rendered> {
  const browser = await launchChromium();
  try {
    const context = await browser.newContext({ offline: true });
    const shown = new Map<string, string>();
    const files: { path: string; bytes: Uint8Array }[] = [];
    const encoder = new TextEncoder();
    for (const screen of screens) {
      const { script, css } = await bundle(folder, mounting(screen.file), 'browser', plugins, '../');
      const page = await context.newPage();
      await page.setContent('<!doctype html><div id="root"></div>');
      await page.addScriptTag({ content: script });
      const body = await page.evaluate(() => document.getElementById('root')!.innerHTML);
      await page.close();
      const name = path.basename(screen.file).replace(/\.\w+$/, '');
      files.push(
        {
          path: `${FOLDER}/${name}.html`,
          bytes: encoder.encode(pageAround(body, `${name}.css`, screen.name, language)),
        },
        { path: `${FOLDER}/${name}.css`, bytes: encoder.encode(css) },
      );
      shown.set(screen.id, `${FOLDER}/${name}.html`);
    }
    return { files, shown };
  } finally {
    await browser.close();
  }
}

function pageAround(body: string, sheet: string, title: string, language: string): string {
  const head = element('head', {}, [
    element('meta', { charset: 'utf-8' }),
    element('meta', { name: 'viewport', content: 'width=device-width, initial-scale=1' }),
    element('title', {}, [title]),
    element('link', { rel: 'stylesheet', href: sheet }),
  ]);
  const empty = printHtml([element('html', { lang: language }, [head, element('body')])]);
  return `<!doctype html>\n${empty.replace('<body></body>', () => `<body>${body}</body>`)}`;
}
