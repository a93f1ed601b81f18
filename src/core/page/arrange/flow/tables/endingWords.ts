import { right, spread } from '../../../../mockup/box';
import type { PageNode, TextNode } from '../../../node';
import { placedBox } from '../../../placed';
import { BY_HAND } from '../../../tolerances';
import type { Cell } from './row';

/** Where the words of a column begin that stand in no boxes and end at one edge, px; null for any other column. */
export function startOfEnding(cells: readonly Cell[]): number | null {
  if (!cells.every(({ node }) => isLine(node))) return null;
  const [starts, ends] = [cells.map(({ box }) => box.x), cells.map(({ box }) => right(box))];
  const areEnding = spread(ends) <= BY_HAND.place && spread(starts) > BY_HAND.place;
  return areEnding ? Math.min(...starts) : null;
}

function isLine(node: PageNode): node is TextNode {
  return node.kind === 'text' && node.lines.length === 1 && !node.place.linear;
}

/** Words that end where they ended, in a room that begins at an edge, px; at their own where that is before it. */
export function endingFrom(text: TextNode, edge: number): TextNode {
  const { type } = text.look;
  const left = Math.min(text.place.x, edge);
  const place = { ...text.place, x: left, width: right(placedBox(text.place)) - left };
  return { ...text, place, look: { ...text.look, ...(type && { type: { ...type, align: 'end' } }) } };
}
