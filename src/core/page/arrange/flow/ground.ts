import { contains } from '../../../mockup/box';
import type { Colour } from '../../../mockup/paint';
import { placedBox } from '../../lower';
import type { BoxNode, Page, PageNode } from '../../node';

/** A plain box behind everything is the page's ground. */
export function groundOf(page: Page): { readonly page: Page } {
  const [lowest, ...others] = page.children;
  if (!lowest) return { page };
  const colour = coverOf(lowest, page);
  if (colour) return groundOf({ ...page, ground: colour, children: others });
  if (lowest.kind !== 'box' || !isOpen(lowest)) return { page };
  const inner = groundOf({ ...page, children: lowest.children }).page;
  if (inner.children === lowest.children) return { page };
  const rest = { ...lowest, children: inner.children };
  const children = rest.children.length > 0 ? [rest, ...others] : others;
  return { page: { ...page, ground: inner.ground, children } };
}

/** The colour of an opaque box without anything inside that covers the whole screen. */
function coverOf(node: PageNode, { width, height }: Page): Colour | null {
  if (node.kind !== 'box' || node.children.length > 0 || node.hidden || node.place.turn) return null;
  const [fill, ...more] = node.look.fills ?? [];
  const sole = fill?.kind === 'solid' && fill.colour.alpha === 1 && more.length === 0;
  const plain = Object.keys(node.look).length === 1 && node.classes.length === 0 && node.note === undefined;
  if (!sole || !plain || !contains(placedBox(node.place), { x: 0, y: 0, width, height }, 1)) return null;
  return fill.colour;
}

function isOpen({ look }: BoxNode): boolean {
  return look.opacity === undefined && !look.filters && !look.blend && !look.clip;
}
