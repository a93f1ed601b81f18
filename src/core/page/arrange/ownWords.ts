import { rememberOf } from '../../mockup/remember';
import type { Look, TypeLook } from '../../look/look';
import type { Align, BoxNode, FlowPlace, Layout, Page, PageNode, TextNode } from '../node';
import { STACK } from './flow/stand';

/**
 * In the flow, a box that only words stand in has them itself: a button, a badge or a cell is one element with its padding,
 * and not a box around another one.
 */
export function withOwnWords(page: Page): Page {
  return page.layout ? { ...page, children: page.children.map(own) } : page;
}

const own = rememberOf((node: PageNode): PageNode => {
  if (node.kind !== 'box') return node;
  const [text, ...more] = node.children;
  const worded = text?.kind === 'text' && more.length === 0 ? wordedBox(node, text) : null;
  if (worded) return worded;
  const children = node.children.map(own);
  return children.every((child, at) => child === node.children[at]) ? node : { ...node, children };
});

/** What a box means beside being one, words can mean as well. */
const WORDLESS: ReadonlySet<string> = new Set(['field', 'picture', 'list', 'table']);

function wordedBox(box: BoxNode, text: TextNode): TextNode | null {
  const { layout, scroll, children: _, kind: __, made, states, ...shell } = box;
  if (!layout || scroll || WORDLESS.has(box.role) || !isJustWords(text)) return null;
  const { place } = text;
  if (place.kind !== 'flow' || !isHugging(place)) return null;
  const role = box.role === 'box' ? text.role : box.role;
  const isPlain = text.role === 'text' || text.role === 'paragraph' || box.role === 'box';
  if (!isPlain) return null;
  const { margin } = place;
  if (margin.left === null || margin.right === null) return null;
  const { top, right, bottom, left } = layout.padding;
  const padding = {
    top: top + margin.top,
    right: right + margin.right,
    bottom: bottom + margin.bottom,
    left: left + margin.left,
  };
  const align = place.align ?? layout.align;
  const type =
    text.look.type && isCentredLine(text, layout, align) ? centred(text.look.type) : text.look.type;
  const words: Look = { ...text.look, ...(type && { type }) };
  const isStacked = layout.direction === 'column' && layout.justify === 'start';
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
    layout:
      isStacked && align !== 'end'
        ? { ...STACK, direction: 'words', padding }
        : { ...layout, align, padding },
  };
}

/** A line in the middle of a column is in the middle of its own width as well. */
function isCentredLine({ lines }: TextNode, { direction }: Layout, align: Align): boolean {
  return direction === 'column' && align === 'middle' && lines.length === 1;
}

function centred(type: TypeLook): TypeLook {
  return { ...type, align: 'middle' };
}

/** Letters in their type, without a look, a state or a turn of their own. */
function isJustWords({ look, states, hidden, href, label, lines, place, note, slot }: TextNode): boolean {
  const { type: _, ...others } = look;
  const isBare = Object.keys(others).length === 0 && !place.turn && lines.every(({ at }) => at === null);
  const isMeant = states !== undefined || hidden || href !== undefined || label !== undefined;
  return isBare && !isMeant && note === undefined && slot === undefined;
}

function isHugging({ wide, high }: FlowPlace): boolean {
  return (wide === 'hug' || wide === 'fill') && high === 'hug';
}
