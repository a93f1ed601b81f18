import type { Box } from './box';
import { applyTo, type Matrix, type Point } from './matrix';

/** The corners of a box that may be turned or slanted, in order around it, px. */
export type Quad = readonly [Point, Point, Point, Point];

/** The corners of a box after a transform. */
export function quadOf(matrix: Matrix, { x, y, width, height }: Box): Quad {
  const at = (dx: number, dy: number) => applyTo(matrix, { x: x + dx, y: y + dy });
  return [at(0, 0), at(width, 0), at(width, height), at(0, height)];
}

/**
 * True for quads that share more than `by` px in every direction: no line along a side of either separates
 * them (separating axes; Gottschalk, Lin, Manocha: OBBTree, 1996, §5).
 */
export function quadsOverlap(one: Quad, other: Quad, by: number): boolean {
  return [...normalsOf(one), ...normalsOf(other)].every((normal) => {
    const [first, second] = [spanAlong(one, normal), spanAlong(other, normal)];
    return Math.min(first.to, second.to) - Math.max(first.from, second.from) > by;
  });
}

/** The unit normals of the sides of a quad; opposite sides share one. */
function normalsOf([corner, next, , last]: Quad): readonly Point[] {
  return [next, last].flatMap(({ x, y }) => {
    const [dx, dy] = [x - corner.x, y - corner.y];
    const length = Math.hypot(dx, dy);
    return length === 0 ? [] : [{ x: -dy / length, y: dx / length }];
  });
}

function spanAlong(quad: Quad, { x, y }: Point): { readonly from: number; readonly to: number } {
  const along = quad.map((corner) => corner.x * x + corner.y * y);
  return { from: Math.min(...along), to: Math.max(...along) };
}
