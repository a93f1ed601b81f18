import { isPlain, type Look } from '../../look/look';
import type { Edges } from '../../mockup/box';
import { ofBoxes, withChildren } from '../ofBoxes';
import type { Role } from '../../sort/vocabulary';
import type { BoxNode, FlowPlace, Margin, Page, TextNode } from '../node';
import { extraAcross } from './flow/spacing';
import { STACK } from './flow/stand';
import { isMeantOtherwise } from './meaning';

/**
 * In the flow, a box that only words stand in has them itself: a button, a badge or a cell is one element with its padding,
 * and not a box around another one.
 */
export function withOwnWords(page: Page): Page {
  return page.layout ? { ...page, children: page.children.map(own) } : page;
}

const own = ofBoxes((node) => {
  const [text, ...more] = node.children;
  const worded = text?.kind === 'text' && more.length === 0 ? wordedBox(node, text) : null;
  if (worded) return worded;
  return withChildren(node, node.children.map(own));
});

/** What a box means beside being one, words can mean as well. */
const WORDLESS: ReadonlySet<string> = new Set(['field', 'picture', 'list', 'table']);

function wordedBox(box: BoxNode, text: TextNode): TextNode | null {
  const { layout, children: _, kind: __, made, states, ...shell } = box;
  const role = commonRole(box, text);
  const { place, look } = text;
  if (!layout || !role || box.scroll || !isJustWords(text)) return null;
  if (place.kind !== 'flow' || !isHugging(place)) return null;
  const drawn = withMargin(layout.padding, place.margin);
  if (!drawn) return null;
  const padding = text.lines.length === 1 ? evenSides(drawn) : drawn;
  const align = place.align ?? layout.align;
  const isCentred = layout.direction === 'column' && align === 'middle' && text.lines.length === 1;
  // A line in the middle of a column is in the middle of its own width as well.
  const words: Look = isCentred && look.type ? { ...look, type: { ...look.type, align: 'middle' } } : look;
  const needsOrder = layout.direction !== 'column' || layout.justify !== 'start';
  const ends = look.type?.rightToLeft ? 'start' : 'end';
  const isOff = align === ends || (align === 'middle' && !isCentred);
  if ((needsOrder || isOff) && !isOneRun(text)) return null;
  return {
    ...text,
    ...shell,
    ...(made && { layer: text.layer }),
    role,
    merged: [...(made ? [] : [text.layer]), ...(text.merged ?? []), ...(box.merged ?? [])],
    ...(!box.named && text.named && { name: text.name, named: true }),
    classes: [...box.classes, ...text.classes],
    look: { ...box.look, ...words },
    ...(states && { states: states.map((state) => ({ ...state, look: { ...state.look, ...words } })) }),
    nudge: 0,
    layout: needsOrder || isOff ? { ...layout, align, padding } : { ...STACK, direction: 'words', padding },
  };
}

/** True for letters that an element with an order of its own does not take apart: runs and lines would each be put in order. */
function isOneRun({ lines }: TextNode): boolean {
  return lines.length === 1 && lines[0]!.spans.length === 1;
}

/** What both are; null where they mean different things. */
function commonRole(box: BoxNode, text: TextNode): Role | null {
  if (WORDLESS.has(box.role)) return null;
  if (box.role === 'box') return text.role;
  return text.role === 'text' || text.role === 'paragraph' ? box.role : null;
}

/** The padding with the margin of what is inside; null for one that takes what is free, and for what sticks out of the box. */
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

/** Px by which words in the middle of their box may miss it: they are measured to parts of a px. */
const MISS = 0.35;

/** The same padding on both sides of words that stand in the middle. */
function evenSides(padding: Edges): Edges {
  if (padding.left === 0 || Math.abs(padding.left - padding.right) > MISS) return padding;
  const side = extraAcross((padding.left + padding.right) / 2);
  return { ...padding, left: side, right: side };
}

/** Letters in their type, without a look, a meaning or a turn of their own; the box wears their classes. */
function isJustWords(text: TextNode): boolean {
  const { type: _, ...others } = text.look;
  const isBare = isPlain(others) && !text.place.turn && text.lines.every(({ at }) => at === null);
  return isBare && text.href === undefined && !isMeantOtherwise({ ...text, classes: [] });
}

function isHugging({ wide, high }: FlowPlace): boolean {
  return (wide === 'hug' || wide === 'fill') && high === 'hug';
}
