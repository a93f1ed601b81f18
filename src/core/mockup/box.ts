import { applyTo, IDENTITY, multiply, scaling, translation, type Matrix } from './matrix';

/** An upright rectangle, px at 1x. */
export interface Box {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** Lengths at the four sides of a box, px. */
export interface Edges {
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
  readonly left: number;
}

export function right(box: Box): number {
  return box.x + box.width;
}

export function bottom(box: Box): number {
  return box.y + box.height;
}

export function area(box: Box): number {
  return box.width * box.height;
}

export function boxOf(left: number, top: number, rightEdge: number, bottomEdge: number): Box {
  return { x: left, y: top, width: rightEdge - left, height: bottomEdge - top };
}

/** The smallest box around both boxes. Null counts as an empty box. */
export function union(one: Box | null, other: Box | null): Box | null {
  if (!one) return other;
  if (!other) return one;
  return boxOf(
    Math.min(one.x, other.x),
    Math.min(one.y, other.y),
    Math.max(right(one), right(other)),
    Math.max(bottom(one), bottom(other)),
  );
}

/** The smallest box around several boxes. */
export function boxAround(boxes: readonly Box[]): Box {
  let [left, top, rightEdge, bottomEdge] = [Infinity, Infinity, -Infinity, -Infinity];
  for (const box of boxes) {
    left = Math.min(left, box.x);
    top = Math.min(top, box.y);
    rightEdge = Math.max(rightEdge, right(box));
    bottomEdge = Math.max(bottomEdge, bottom(box));
  }
  return boxOf(left, top, rightEdge, bottomEdge);
}

/** The intersection of two boxes, or null when they do not touch. */
export function intersection(one: Box, other: Box): Box | null {
  const shared = boxOf(
    Math.max(one.x, other.x),
    Math.max(one.y, other.y),
    Math.min(right(one), right(other)),
    Math.min(bottom(one), bottom(other)),
  );
  return shared.width >= 0 && shared.height >= 0 ? shared : null;
}

/** True for boxes that share at least an edge. */
export function touches(one: Box, other: Box): boolean {
  return one.x <= right(other) && other.x <= right(one) && one.y <= bottom(other) && other.y <= bottom(one);
}

/** True for boxes that share more than `by` px in both directions. */
export function overlaps(one: Box, other: Box, by: number): boolean {
  return (
    Math.min(right(one), right(other)) - Math.max(one.x, other.x) > by &&
    Math.min(bottom(one), bottom(other)) - Math.max(one.y, other.y) > by
  );
}

export function grow(box: Box, by: number): Box {
  return { x: box.x - by, y: box.y - by, width: box.width + 2 * by, height: box.height + 2 * by };
}

export function contains(outer: Box, inner: Box, tolerance = 0.01): boolean {
  return (
    inner.x >= outer.x - tolerance &&
    inner.y >= outer.y - tolerance &&
    right(inner) <= right(outer) + tolerance &&
    bottom(inner) <= bottom(outer) + tolerance
  );
}

export function sameBox(one: Box, other: Box, tolerance = 0.01): boolean {
  return contains(one, other, tolerance) && contains(other, one, tolerance);
}

/** The upright box around the transformed rectangle. */
export function transformBox(matrix: Matrix, { x, y, width, height }: Box): Box {
  // The signed lengths of the transformed sides, from the transformed origin.
  const { x: left, y: top } = applyTo(matrix, { x, y });
  const [acrossX, acrossY, downX, downY] = [
    matrix[0] * width,
    matrix[1] * width,
    matrix[2] * height,
    matrix[3] * height,
  ];
  return {
    x: left + Math.min(0, acrossX) + Math.min(0, downX),
    y: top + Math.min(0, acrossY) + Math.min(0, downY),
    width: Math.abs(acrossX) + Math.abs(downX),
    height: Math.abs(acrossY) + Math.abs(downY),
  };
}

/** The box grown to whole px, so that a picture of it stands sharp on the pixel grid. */
export function snapOut(box: Box): Box {
  const slack = 1e-4;
  return boxOf(
    Math.floor(box.x + slack),
    Math.floor(box.y + slack),
    Math.ceil(right(box) - slack),
    Math.ceil(bottom(box) - slack),
  );
}

export function moveBox(box: Box, dx: number, dy: number): Box {
  return { ...box, x: box.x + dx, y: box.y + dy };
}

/** How far the outermost of some lengths are apart; -Infinity for none. */
export function spread(lengths: readonly number[]): number {
  return Math.max(...lengths) - Math.min(...lengths);
}

/** True for boxes whose widths, and whose heights, differ by at most a length. */
export function areOneSize(boxes: readonly Pick<Box, 'width' | 'height'>[], within: number): boolean {
  return (['width', 'height'] as const).every((side) => spread(boxes.map((box) => box[side])) <= within);
}

/** True for boxes that follow each other along an axis in the given order, and overlap by at most a length. */
export function followEachOther(boxes: readonly Box[], axis: 'x' | 'y', overlap: number): boolean {
  const endOf = axis === 'x' ? right : bottom;
  return boxes.slice(1).every((box, at) => box[axis] >= endOf(boxes[at]!) - overlap);
}

/** The distance of an edge to the nearest whole px. */
export function distanceToWholePx(edge: number): number {
  return Math.abs(edge - Math.round(edge));
}

/** Left, right, top, bottom. */
export function edgesOf(box: Box): readonly number[] {
  return [box.x, right(box), box.y, bottom(box)];
}

/** True for a box whose edges lie on whole px. */
export function isOnPx(box: Box): boolean {
  return edgesOf(box).every((edge) => distanceToWholePx(edge) < 0.01);
}

/** The largest distance between corresponding edges of two boxes, px. */
export function largestEdgeDistance(one: Box, other: Box): number {
  const edges = edgesOf(other);
  return Math.max(...edgesOf(one).map((edge, at) => Math.abs(edge - edges[at]!)));
}

/** The transform from one box onto another; a side without length keeps its scale, and no box its place. */
export function betweenBoxes(from: Box | null, to: Box | null): Matrix {
  if (!from || !to) return IDENTITY;
  const ratio = (one: number, other: number) => (one > 0 && other > 0 ? other / one : 1);
  const scale = scaling(ratio(from.width, to.width), ratio(from.height, to.height));
  return multiply(translation(to.x, to.y), multiply(scale, translation(-from.x, -from.y)));
}
