import { bottom, boxAround, right, type Box } from '../../mockup/box';
import { placedBox } from '../placed';
import type { BoxNode, PageNode } from '../node';
import { isMeant } from './meaning';
import { soleColour } from './soleColour';

/** The sides of a frame, each a thin box in one colour. */
const SIDES = 4;
/** Px by which bars may miss the edges that they lie on. */
const SLACK = 0.02;

/** Four bars of one colour along the edges of a box are the border of one. Children in drawing order, places those of the screen. */
export function joinFrames(children: readonly PageNode[]): readonly PageNode[] {
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
  const colour = first && soleColour(first.look);
  if (!colour || bars.length < SIDES) return null;
  const mark = JSON.stringify(colour);
  if (others.some(({ look }) => JSON.stringify(soleColour(look)) !== mark)) return null;
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
  return node.kind === 'box' && node.children.length === 0 && node.place.turn === null && !isMeant(node);
}

/** The side along which a bar of this width lies; the corners may belong to either of two. */
function sideOf(bar: Box, around: Box, width: number): string | null {
  const near = (one: number, other: number, slack = SLACK) => Math.abs(one - other) <= slack;
  const across = near(bar.x, around.x, width + SLACK) && near(right(bar), right(around), width + SLACK);
  const down = near(bar.y, around.y, width + SLACK) && near(bottom(bar), bottom(around), width + SLACK);
  if (across && near(bar.height, width)) {
    if (near(bar.y, around.y)) return 'top';
    return near(bottom(bar), bottom(around)) ? 'bottom' : null;
  }
  if (!down || !near(bar.width, width)) return null;
  if (near(bar.x, around.x)) return 'left';
  return near(right(bar), right(around)) ? 'right' : null;
}
