import { printHtml } from '../../markup/printHtml';
import { walkNodes } from '../../page/walk';
import { freeName } from '../../markup/freeName';
import { safeName } from '../../sort/outputNames';
import { nodeMarkup } from '../markup/nodeMarkup';
import type { EmittedFile, EmitInput } from '../target';
import { impliedClasses } from '../implied/impliedClasses';
import { linkContext } from '../markup/linkContext';
import { pageFile } from './pageFile';
import { unitOf } from '../css/sheetOptions';

/**
 * The furniture of several screens, each block in a file of its own that a build tool can put into the pages. A
 * screen on which it differs has a file with that screen's name.
 */
export function furnitureFiles(input: EmitInput): readonly EmittedFile[] {
  const names = new Map<string, string>();
  const first = new Map<string, string>();
  const files: EmittedFile[] = [];
  const { inMarkup } = impliedClasses(input);
  for (const page of input.pages) {
    const context = {
      ...input,
      unit: unitOf(input),
      ...linkContext(page, input.pages, pageFile),
      placed: !page.layout,
    };
    for (const node of walkNodes(page.children)) {
      const pattern = node.furniture?.pattern;
      if (pattern === undefined) continue;
      const taken = new Set(names.values());
      const name = names.get(pattern) ?? freeName(node.name, (each) => taken.has(each));
      names.set(pattern, name);
      const text = printHtml([inMarkup(nodeMarkup(node, context))]);
      const known = first.get(pattern);
      if (known === text) continue;
      first.set(pattern, known ?? text);
      const own = known === undefined ? name : `${name}.${safeName(page.name) || 'screen'}`;
      files.push({ path: `furniture/${own}.html`, text });
    }
  }
  return files;
}
