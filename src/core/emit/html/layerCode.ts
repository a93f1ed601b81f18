import type { Conversion } from '../../convert';
import { printCss } from '../../markup/printCss';
import { printHtml } from '../../markup/printHtml';
import type { LayerKey } from '../../mockup/layer';
import { pageNodes, walkNodes, type PageNode } from '../../page/node';
import { classDeclarations } from './declarations';
import { nodeMarkup } from './pageMarkup';
import { stateRules } from './stateRules';

/** The code of one layer. */
export interface LayerCode {
  /** The layer of the element: the requested one, or the one that absorbed it. */
  readonly shown: LayerKey | null;
  readonly markup: string;
  readonly css: string;
}

/** The most elements to print: more would slow the view. */
const MOST_ELEMENTS = 200;

/** The code of one layer as the page has it; the code of the group around a layer that was merged into it. */
export function layerCode(
  conversion: Pick<Conversion, 'pages' | 'sheet' | 'plan' | 'decisions'>,
  key: LayerKey,
): LayerCode {
  const node = findNode(conversion, key);
  if (!node) return { shown: null, markup: '', css: '' };
  const parts = walkNodes([node]);
  const shallow = parts.length > MOST_ELEMENTS && node.kind === 'box' ? { ...node, children: [] } : node;
  const looks = new Set<string>();
  for (const part of walkNodes([shallow])) {
    looks.add(conversion.sheet.classOf(part)?.name ?? '');
    if (part.kind === 'text') {
      for (const span of part.lines.flatMap((line) => line.spans))
        looks.add(conversion.sheet.classFor(span.look) ?? '');
    }
  }
  const rules = conversion.sheet.classes
    .filter(({ name }) => looks.has(name))
    .flatMap((each) => [
      { selector: `.${each.name}`, declarations: classDeclarations(each) },
      ...stateRules(each, conversion),
    ]);
  return { shown: node.layer, markup: printHtml([nodeMarkup(shallow, conversion)]), css: printCss(rules) };
}

function findNode(
  { pages, decisions }: Pick<Conversion, 'pages' | 'decisions'>,
  key: LayerKey,
): PageNode | null {
  let wanted = key;
  // A part of a merged group lies in both.
  for (let within = decisions.get(key)?.within; within; within = decisions.get(within)?.within)
    wanted = within;
  for (const page of pages) {
    for (const node of pageNodes(page)) {
      if (node.layer === wanted || node.merged?.includes(wanted)) return node;
    }
  }
  return null;
}
