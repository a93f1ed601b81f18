import { EXACT } from '../tolerances';
import { bottom, boxAround, right, type Box } from '../../mockup/box';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { hasSemantics } from '../semantics';
import { solidFillOnly } from './solidFill';

/** The number of bars of a frame. */
const SIDES = 4;

/**
 * Four bars of one colour along the edges of a box become its border. Children are in drawing order, places
 * are px of the screen.
 */
export function frameBarsToBorder(children: readonly PageNode[]): readonly PageNode[] {
  const joined: PageNode[] = [];
  for (let at = 0; at < children.length; at++) {
    const frame = isBar(children[at]!) ? frameOf(children.slice(at, at + SIDES)) : null;
    joined.push(frame ?? children[at]!);
    if (frame) at += SIDES - 1;
  }
  return joined;
}

function frameOf(nodes: readonly PageNode[]): BoxNode | null {
  const bars = nodes.filter(isBar);
  const [first, ...others] = bars;
  const colour = first && solidFillOnly(first.look);
  if (!colour || bars.length < SIDES) return null;
  const mark = JSON.stringify(colour);
  if (others.some(({ look }) => JSON.stringify(solidFillOnly(look)) !== mark)) return null;
  const boxes = bars.map(({ place }) => placedBox(place));
  const around = boxAround(boxes);
  const width = Math.min(boxes[0]!.width, boxes[0]!.height);
  const sides = new Set(boxes.map((box) => sideOf(box, around, width)));
  if (sides.has(null) || sides.size < SIDES || Math.min(around.width, around.height) <= 2 * width)
    return null;
  return {
    ...first,
    merged: [...(first.merged ?? []), ...others.map(({ layer }) => layer)],
    place: { ...first.place, ...around },
    look: { border: { width, colour } },
  };
}

function isBar(node: PageNode): node is BoxNode {
  return (
    node.kind === 'box' && node.children.length === 0 && node.place.linear === null && !hasSemantics(node)
  );
}

/** The side along which a bar of this width lies; a corner may belong to either side. */
function sideOf(bar: Box, around: Box, width: number): string | null {
  const near = (one: number, other: number, slack = EXACT) => Math.abs(one - other) <= slack;
  const across = near(bar.x, around.x, width + EXACT) && near(right(bar), right(around), width + EXACT);
  const down = near(bar.y, around.y, width + EXACT) && near(bottom(bar), bottom(around), width + EXACT);
  if (across && near(bar.height, width)) {
    if (near(bar.y, around.y)) return 'top';
    return near(bottom(bar), bottom(around)) ? 'bottom' : null;
  }
  if (!down || !near(bar.width, width)) return null;
  if (near(bar.x, around.x)) return 'left';
  return near(right(bar), right(around)) ? 'right' : null;
}
