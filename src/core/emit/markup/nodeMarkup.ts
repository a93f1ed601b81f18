import { element, type MarkupElement } from '../../markup/element';
import type { BoxNode, PageNode } from '../../page/node';
import { isCheckRole } from '../../sort/vocabulary';
import { isField, valueOf } from '../../page/fieldParts';
import type { MarkupContext } from './context';
import { type Inside, FLOW, insideOf, elementName } from './elementNames';
import { withNote, placeStyle, sharedAttributes, nameAttributes, ofNode } from './attributes';
import { inSections } from './tableSections';
import { textMarkup } from './textMarkup';
import { pictureMarkup } from './pictureMarkup';
import { checkMarkup, controlMarkup, emptyControlMarkup, fieldElementName } from './fieldMarkup';

/** One node as HTML elements. */
export function nodeMarkup(node: PageNode, context: MarkupContext, inside: Inside = FLOW): MarkupElement {
  switch (node.kind) {
    case 'box':
      return boxMarkup(node, context, inside);
    case 'text':
      return withNote(node, textMarkup(node, context, inside));
    case 'picture':
      return withNote(node, pictureMarkup(node, context));
  }
}

function boxMarkup(node: BoxNode, context: MarkupContext, inside: Inside): MarkupElement {
  const around = emptyBoxMarkup(node, context, inside);
  const within = insideOf(node, inside);
  const value = isField(node) ? valueOf(node) : null;
  const children = node.children.map((child) =>
    child === value
      ? withNote(child, controlMarkup(node, value, context))
      : nodeMarkup(child, context, within),
  );
  const own =
    isField(node) && !value
      ? [emptyControlMarkup(node, context)]
      : isCheckRole(node.role)
        ? [checkMarkup(node)]
        : [];
  return around.name === 'table'
    ? { ...around, children: inSections(node, children, (name, rows) => element(name, {}, rows)) }
    : { ...around, children: [...own, ...children] };
}

/** The element of a box without its children. */
export function emptyBoxMarkup(node: BoxNode, context: MarkupContext, inside: Inside): MarkupElement {
  const field = isField(node) ? fieldElementName(node, context, inside) : null;
  const name = field ?? elementName(node, inside);
  const style = placeStyle(node, context);
  const attributes = { ...sharedAttributes(node, context), ...nameAttributes(node, name), style };
  return withNote(node, ofNode(node, element(name, attributes)));
}
