import { BLUR_REACH } from '../mockup/bounds';
import { boxAround, grow, moveBox, transformBox, union, type Box } from '../mockup/box';
import type { Shadow } from '../mockup/layer';
import { quadOf, type Quad } from '../mockup/quad';
import type { PageNode } from './node';
import type { Place, LinearTransform } from './place';

/** The upright box that a place covers. */
export function placedBox({ x, y, width, height, linear, subpixelShift = 0 }: Place): Box {
  if (!linear) return { x, y, width, height };
  return transformBox([...linear, x + subpixelShift, y], { x: 0, y: 0, width, height });
}

/** The corners of what a place covers. */
export function placedQuad({ x, y, width, height, linear, subpixelShift = 0 }: Place): Quad {
  return quadOf([...(linear ?? NO_TURN), x + subpixelShift, y], { x: 0, y: 0, width, height });
}

/** The linear part of no transform. */
export const NO_TURN: LinearTransform = [1, 0, 0, 1];

/** The box around all that a node and its content paint, with shadows and blurs, px of the screen. */
export function paintedBox(node: PageNode): Box {
  const { shadows = [], filters = [], clip } = node.look;
  const own = placedBox(node.place);
  const inside = node.kind === 'box' && !clip ? node.children.map(paintedBox) : [];
  const thrown = shadows.filter(({ inset }) => !inset).map((shadow) => fallen(own, shadow));
  return filters.reduce(
    (box, filter) => {
      if (filter.kind === 'blur') return grow(box, BLUR_REACH * filter.deviation);
      return filter.kind === 'drop-shadow' ? (union(box, fallen(box, filter)) ?? box) : box;
    },
    boxAround([own, ...inside, ...thrown]),
  );
}

function fallen(box: Box, { dx, dy, deviation, spread }: Shadow): Box {
  return moveBox(grow(box, spread + BLUR_REACH * deviation), dx, dy);
}

/** How far a node begins beneath the topmost of its row, px. */
export function depthInRow({ place }: PageNode, row: readonly PageNode[]): number {
  return place.y - Math.min(...row.map((each) => each.place.y));
}

/** True for what keeps its width in the flow, however wide the room around it is. */
export function hasOwnWidth({ place }: PageNode): boolean {
  return place.kind === 'flow' && (place.widthMode === 'drawn' || place.widthMode === 'rigid');
}
