import { contains } from '../../../mockup/box';
import type { Colour } from '../../../mockup/paint';
import { placedBox } from '../../placed';
import type { BoxNode, PageNode } from '../../node';
import type { Page } from '../../frame';
import { hasSemantics } from '../../semantics';

/** Moves the plain box behind all content into the page's ground. */
export function withGround(page: Page): Page {
  const [lowest, ...others] = page.children;
  if (!lowest) return page;
  const colour = backgroundColourOf(lowest, page);
  if (colour) {
    const classes = [...(page.classes ?? []), ...lowest.classes];
    return withGround({
      ...page,
      ground: colour,
      groundLayer: lowest.layer,
      children: others,
      ...(classes.length > 0 && { classes }),
    });
  }
  if (lowest.kind !== 'box' || !isOpen(lowest)) return page;
  const { ground, groundLayer, classes, children } = withGround({ ...page, children: lowest.children });
  if (children === lowest.children) return page;
  const inside = children.length > 0 ? [{ ...lowest, children }, ...others] : others;
  return {
    ...page,
    ground,
    ...(groundLayer !== undefined && { groundLayer }),
    children: inside,
    ...(classes && { classes }),
  };
}

/** The colour of an opaque box without content that covers the whole screen. */
function backgroundColourOf(node: PageNode, { width, height }: Page): Colour | null {
  if (node.kind !== 'box' || node.children.length > 0 || node.place.linear) return null;
  // Classes belong to the look, so the page takes them.
  if (hasSemantics({ ...node, classes: [] })) return null;
  const [fill, ...more] = node.look.fills ?? [];
  const sole = fill?.kind === 'solid' && fill.colour.alpha === 1 && more.length === 0;
  const plain = Object.keys(node.look).length === 1;
  if (!sole || !plain || !contains(placedBox(node.place), { x: 0, y: 0, width, height }, 1)) return null;
  return fill.colour;
}

function isOpen({ look }: BoxNode): boolean {
  return look.opacity === undefined && !look.filters && !look.blend && !look.clip;
}
