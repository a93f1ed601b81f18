import { element, type MarkupElement } from '../../markup/element';
import { lineText, type PageNode, type TextNode } from '../../page/node';
import type { Place } from '../../page/place';
import { roleEntry } from '../../sort/vocabulary';
import { isInteractive } from './elementNames';
import type { MarkupContext } from './context';
import { sharedAttributes, placeStyle, ofNode } from './attributes';

/**
 * True for a text that becomes the placeholder of a field; a button or a text with a background stands beside
 * it.
 */
export function isInput(node: PageNode): node is TextNode {
  if (node.kind !== 'text' || node.lines.length !== 1 || node.lines[0]?.at !== null) return false;
  return !isInteractive(roleEntry(node.role).element) && node.look.fills === undefined;
}

/**
 * The placeholder of a field. The input extends to the right edge with the same inset as on the left (HTML,
 * §4.10.5.3.10 the placeholder attribute).
 */
export function inputMarkup(node: TextNode, context: MarkupContext, field: Place): MarkupElement {
  const words = node.lines.map(lineText).join(' ');
  const width = Math.max(node.place.width, field.width - 2 * node.place.x);
  const place =
    node.place.kind === 'flow'
      ? ({ ...node.place, widthMode: 'full', heightMode: 'drawn' } as const)
      : { ...node.place, width, fitsContent: false };
  const attributes = {
    ...sharedAttributes(node, context),
    placeholder: words,
    'aria-label': node.label ?? words,
    style: placeStyle({ ...node, place }, context),
  };
  return ofNode(node, element('input', attributes));
}
