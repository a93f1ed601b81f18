import { MEASURED } from '../tolerances';
import { isPlain, type Look } from '../../look/look';
import type { Edges } from '../../mockup/box';
import { mapBoxes, withChildren } from '../mapBoxes';
import { isCellRole, type Role } from '../../sort/vocabulary';
import type { BoxNode, TextNode } from '../node';
import type { FlowPlace, Margin } from '../place';
import type { Page } from '../frame';
import { COLUMN_LAYOUT } from './flow/sizing';
import { hasSemanticsBesidesLink } from '../semantics';

/**
 * In the flow, a box that holds only a text becomes a text with padding: a button, a badge or a cell is one
 * element, not a box around another one.
 */
export function inlineTextIntoBoxes(page: Page): Page {
  return page.layout ? { ...page, children: page.children.map(own) } : page;
}

const own = mapBoxes((node) => {
  const [text, ...more] = node.children;
  const worded = text?.kind === 'text' && more.length === 0 ? textBox(node, text) : null;
  if (worded) return worded;
  return withChildren(node, node.children.map(own));
});

/** Roles that a text node cannot have. */
const NEVER_TEXT: ReadonlySet<string> = new Set([
  'field',
  'select',
  'checkbox',
  'radio',
  'picture',
  'list',
  'ordered-list',
  'description-list',
  'table',
]);

function textBox(box: BoxNode, text: TextNode): TextNode | null {
  const { layout, children: _, kind: __, anonymous, states, ...shell } = box;
  const role = commonRole(box, text);
  const { place, look } = text;
  if (!layout || !role || box.scroll || !isJustWords(text)) return null;
  if (place.kind !== 'flow' || !hasContentSize(place)) return null;
  const drawn = withMargin(layout.padding, place.margin);
  if (!drawn) return null;
  const padding = text.lines.length === 1 ? evenSides(drawn, isCellRole(box.role)) : drawn;
  const align = place.align ?? layout.align;
  const isCentred = layout.direction === 'column' && align === 'middle' && text.lines.length === 1;
  // A centred line in a column is also centred in its own width.
  const words: Look = isCentred && look.type ? { ...look, type: { ...look.type, align: 'middle' } } : look;
  const needsOrder = layout.direction !== 'column' || layout.justify !== 'start';
  const ends = look.type?.rightToLeft ? 'start' : 'end';
  const isOff = align === ends || (align === 'middle' && !isCentred);
  if ((needsOrder || isOff) && !isOneRun(text)) return null;
  return {
    ...text,
    ...shell,
    ...(anonymous && { layer: text.layer }),
    role,
    merged: [...(anonymous ? [] : [text.layer]), ...(text.merged ?? []), ...(box.merged ?? [])],
    ...(!box.named && text.named && { name: text.name, named: true }),
    classes: [...box.classes, ...text.classes],
    look: { ...box.look, ...words },
    ...(states && { states: states.map((state) => ({ ...state, look: { ...state.look, ...words } })) }),
    baselineOffset: 0,
    layout:
      needsOrder || isOff ? { ...layout, align, padding } : { ...COLUMN_LAYOUT, direction: 'words', padding },
  };
}

/** True for letters in one span and line: flex containers lay out each span and line as an item. */
function isOneRun({ lines }: TextNode): boolean {
  return lines.length === 1 && lines[0]!.spans.length === 1;
}

/** The role of both; null where they mean different things. */
function commonRole(box: BoxNode, text: TextNode): Role | null {
  if (NEVER_TEXT.has(box.role)) return null;
  if (box.role === 'box') return text.role;
  return text.role === 'text' || text.role === 'paragraph' ? box.role : null;
}

/**
 * The padding with the margin of the content; null for a margin that takes free space, and for content that
 * sticks out.
 */
function withMargin(padding: Edges, { top, right, bottom, left }: Margin): Edges | null {
  if (left === null || right === null) return null;
  const sum = {
    top: padding.top + top,
    right: padding.right + right,
    bottom: padding.bottom + bottom,
    left: padding.left + left,
  };
  return Math.min(sum.top, sum.right, sum.bottom, sum.left) < 0 ? null : sum;
}

/**
 * Equal padding on both sides of centred words.
 * @param isSet true in a box whose width is set: in less room than they need its words would wrap
 */
function evenSides(padding: Edges, isSet: boolean): Edges {
  if (padding.left === 0 || Math.abs(padding.left - padding.right) > MEASURED.centre) return padding;
  const between = (padding.left + padding.right) / 2;
  const side = isSet ? Math.floor(between) : Math.round(between);
  return { ...padding, left: side, right: side };
}

/** True for a text without a look, semantics or transform of its own; the box takes its classes. */
function isJustWords(text: TextNode): boolean {
  const { type: _, ...others } = text.look;
  const isBare = isPlain(others) && !text.place.linear && text.lines.every(({ at }) => at === null);
  return isBare && text.href === undefined && !hasSemanticsBesidesLink({ ...text, classes: [] });
}

function hasContentSize({ widthMode, heightMode }: FlowPlace): boolean {
  return (widthMode === 'fit' || widthMode === 'rest') && heightMode === 'fit';
}
