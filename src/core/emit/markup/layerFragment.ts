import { printCss } from '../../markup/printCss';
import type { MarkupElement } from '../../markup/element';
import type { LayerId } from '../../mockup/layer';
import { findNode } from '../../page/findNode';
import { walkNodes } from '../../page/walk';
import type { CodePart, Fragment, FragmentInput } from '../target';
import { bodyTypeOf } from '../css/bodyType';
import { withFontShorthand } from '../css/fontShorthand';
import { classSelector, modifiersOf } from '../css/modifiers';
import { placedClasses } from '../css/placedClasses';
import { impliedClasses } from '../implied/impliedClasses';
import { linkContext, type AddressOfPage } from './linkContext';
import { wornClasses } from '../css/wornClasses';
import { nodeMarkup } from './nodeMarkup';
import { drawnStateRules, stateRules } from '../css/stateRules';
import { asInSheet } from '../css/sheetTokens';
import { rulesInUnit } from '../css/units';
import { namesValues, unitOf } from '../css/sheetOptions';

/** The most elements to print: more would slow the view. */
const MOST_ELEMENTS = 200;

/** How the markup of a layer is printed. */
export interface MarkupPrinter extends Omit<CodePart, 'code'> {
  readonly print: (markup: MarkupElement) => string;
  readonly addressOfPage: AddressOfPage;
}

/**
 * The code of one layer as the page has it; the code of the group around a layer that was merged into it.
 */
export function layerFragment(
  input: FragmentInput,
  layer: LayerId,
  { print, addressOfPage, ...code }: MarkupPrinter,
): Fragment {
  const partsOf = (markup: string, css: string): readonly CodePart[] => [
    { ...code, code: markup },
    { title: 'CSS', language: 'css', code: css },
  ];
  const found = findNode(input.pages, input.decisions, layer);
  if (!found) return { shown: null, parts: partsOf('', '') };
  const { node, page } = found;
  const parts = walkNodes([node]);
  const shallow = parts.length > MOST_ELEMENTS && node.kind === 'box' ? { ...node, children: [] } : node;
  const modifiers = modifiersOf(input.sheet);
  const looks = new Set<string>();
  const placed = placedClasses(input);
  const worn = wornClasses(input.sheet, input.pages);
  const implied = impliedClasses(input);
  for (const part of walkNodes([shallow])) {
    looks.add(placed.classOf(part) ?? '');
    for (const { name } of worn.of(part)) looks.add(name);
    if (part.kind === 'text') {
      for (const span of part.lines.flatMap((line) => line.spans))
        looks.add(input.sheet.classFor(span.look) ?? '');
    }
  }
  const { declarations: type } = bodyTypeOf(input.sheet);
  const inherits = type.length > 0 && walkNodes([shallow]).some(({ kind }) => kind === 'text');
  const body = inherits ? [{ selector: 'body', declarations: withFontShorthand(type) }] : [];
  const rules = input.sheet.classes
    .filter(({ name }) => looks.has(name))
    .flatMap((each) => [
      { selector: classSelector(each), declarations: modifiers.declarationsOf(each) },
      ...drawnStateRules(input.sheet, [each]),
      ...stateRules(each, input),
    ])
    .concat(placed.rules.filter(({ selector }) => looks.has(selector.slice(1))));
  const markup = nodeMarkup(shallow, {
    ...input,
    unit: unitOf(input),
    ...linkContext(page, input.pages, addressOfPage),
    placed: !page.layout,
  });
  const said = implied.inSelectors([...body, ...rules]);
  const css = printCss(rulesInUnit(asInSheet(said, input, namesValues(input)), unitOf(input)));
  return { shown: node.layer, parts: partsOf(print(implied.inMarkup(markup)), css) };
}
