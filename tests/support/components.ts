import { mkdirSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import path from 'node:path';
import { JSDOM } from 'jsdom';
import type { Conversion } from '../../src/core/convert';
import { markedPages } from '../../src/core/emit/components/marked';
import type { EmittedFile } from '../../src/core/emit/target';
import { printHtml } from '../../src/core/markup/printHtml';
import { withAnyMemo } from '../../src/core/mockup/memoize';
import { USUAL_LANGUAGE } from '../../src/core/page/frame';
import { bundle } from '../../src/engine/render/bundle';
import { vueFiles } from '../../src/engine/render/vueFiles';

/** The targets that write components for a browser. */
export const COMPONENT_TARGETS = ['react', 'vue'] as const;
export type ComponentTarget = (typeof COMPONENT_TARGETS)[number];

/** Writes the files of a build, as a developer gets them. */
export function writeSite(folder: string, files: readonly EmittedFile[]): void {
  for (const { path: file, text } of files) {
    const place = path.join(folder, file);
    mkdirSync(path.dirname(place), { recursive: true });
    writeFileSync(place, text);
  }
}

/** What renders all screens to text: React's and Vue's own renderers for servers. */
const RENDERING: Readonly<Record<ComponentTarget, string>> = {
  react: `import { renderToStaticMarkup } from 'react-dom/server';
    const render = ({ Screen }) => renderToStaticMarkup(<Screen {...fields} />);`,
  vue: `import { createSSRApp } from 'vue';
    import { renderToString } from 'vue/server-renderer';
    const render = ({ Screen }) => renderToString(createSSRApp(Screen, fields));`,
};

const nodeRequire = createRequire(path.resolve('package.json'));

/**
 * The screens of a build as their framework renders them on a server, HTML.
 * @param fields what is said of the fields of every screen
 */
export async function serverHtml(
  target: ComponentTarget,
  folder: string,
  fields: Readonly<Record<string, unknown>> = {},
): Promise<readonly string[]> {
  const code = `import { screens } from './screens';
    const fields = ${JSON.stringify(fields)};
    ${RENDERING[target]}
    export default Promise.all(screens.map(render));`;
  const { script } = await bundle(folder, code, 'node', target === 'vue' ? [vueFiles(true)] : []);
  const module = { exports: {} as { default?: Promise<readonly string[]> } };
  new Function('module', 'exports', 'require', script)(module, module.exports, nodeRequire);
  return (await module.exports.default) ?? [];
}

/** The screens of a conversion as the target for HTML writes them, with the addresses of a router. */
export function plainHtml(conversion: Conversion): readonly string[] {
  const input = { ...conversion, settings: {}, language: USUAL_LANGUAGE };
  return withAnyMemo(() => markedPages(input)).map(({ markup }) => printHtml([markup]));
}

/**
 * The elements of a screen, one a line: attributes by name, the classes of each by name, declarations and words without
 * further white space. What renderers add for themselves is left out: scopes of styles, and empty lists of classes.
 */
export function domLines(html: string): readonly string[] {
  const { document } = new JSDOM(html).window;
  const lines: string[] = [];
  const visit = (node: Node, margin: string): void => {
    if (node.nodeType === 3) {
      const words = (node.textContent ?? '').replace(/\s+/g, ' ');
      if (words.trim() !== '') lines.push(margin + words);
      return;
    }
    if (node.nodeType !== 1) return;
    const element = node as Element;
    element.normalize();
    lines.push(`${margin}${element.localName} ${attributesIn(element).join(' ')}`);
    for (const child of element.childNodes) visit(child, `${margin} `);
  };
  visit(document.querySelector('.screen, [class*="screen"]')!, '');
  return lines;
}

function attributesIn({ attributes }: Element): readonly string[] {
  return [...attributes]
    .filter(({ name, value }) => !name.startsWith('data-v-') && !(name === 'class' && value === ''))
    .map(({ name, value }) => {
      if (name === 'class') return `class=${value.split(' ').sort().join(' ')}`;
      if (name !== 'style') return `${name}=${value}`;
      const declarations = value.split(/;\s*/).filter((each) => each !== '');
      return `style=${declarations.map((each) => each.replace(/:\s*/, ': ')).join('; ')}`;
    })
    .sort();
}
