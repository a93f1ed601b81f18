import { boxOf, bottom, right, type Box } from '../../../mockup/box';
import { memoizeByObject } from '../../../mockup/memoize';
import { mapRadii, type Radii } from '../../../mockup/outline';
import type { Look } from '../../../look/look';
import type { Page } from '../../frame';
import { withChildren } from '../../mapBoxes';
import type { PageNode, TextNode } from '../../node';

/** Px that the lines of a paragraph may drift apart for a line height of whole px. */
const MOST_DRIFT = 1;

/**
 * Edges, line heights and corners on whole px, as somebody writes them: a drawing has half px from scaling and
 * centring. Equal edges stay equal, so gaps and paddings are whole as well. Places are px of the screen.
 */
export function wholePx(page: Page): Page {
  return { ...page, children: page.children.map(onWholePx) };
}

const onWholePx = memoizeByObject((node: PageNode): PageNode => {
  if (node.place.linear) return node;
  if (node.kind === 'text') return wholeText(node);
  const place = { ...node.place, ...wholeBox(node.place) };
  const look = wholeCorners(node.look);
  if (node.kind === 'picture') return { ...node, place, look };
  return withChildren({ ...node, place, look }, node.children.map(onWholePx));
});

/** The nearest box of whole px; no side that is seen vanishes. */
function wholeBox(box: Box): Box {
  const [left, top] = [Math.round(box.x), Math.round(box.y)];
  const end = (start: number, edge: number, length: number) =>
    length > 0 ? Math.max(start + 1, Math.round(edge)) : start;
  return boxOf(left, top, end(left, right(box), box.width), end(top, bottom(box), box.height));
}

function wholeText(node: TextNode): TextNode {
  const { place, look, lines } = node;
  const before = look.type?.lineHeight ?? null;
  const height = before === null ? null : wholeLineHeight(before, lines.length);
  // The leading is halved above and below the letters, and browsers round the upper half down (CSS Inline 3, §5.3).
  const above = height === null || before === null ? 0 : Math.floor((height - before) / 2);
  const [x, y] = [Math.round(place.x), Math.round(place.y - above)];
  return {
    ...node,
    baseline: node.baseline + above,
    look: height === null || !look.type ? look : { ...look, type: { ...look.type, lineHeight: height } },
    place: {
      ...place,
      x,
      y,
      width: Math.max(1, Math.round(right(place)) - x, lines.length > 1 ? Math.ceil(place.width) : 0),
      height:
        height === null || node.lines.some(({ at }) => at !== null) ? place.height : height * lines.length,
    },
  };
}

function wholeLineHeight(height: number, lines: number): number {
  const whole = Math.round(height);
  return Math.abs(whole - height) * (lines - 1) <= MOST_DRIFT ? whole : height;
}

/** Corners that are rounder than a px, by whole px. */
function wholeCorners(look: Look): Look {
  if (!look.radii) return look;
  const whole = (length: number) => (length > 1 ? Math.round(length) : length);
  const radii: Radii = mapRadii(look.radii, ({ x, y }) => ({ x: whole(x), y: whole(y) }));
  return { ...look, radii };
}
