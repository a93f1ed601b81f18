import svgpath from 'svgpath';
import { bottom, boxOf, contains, right, transformBox, type Box } from './box';
import { applyTo, isUpright, quartered, type Matrix } from './matrix';
import { pathBox } from './pathBox';
import { printPath } from './printPath';

/** One rounded corner: how far the curve runs along each side, px. */
export interface Radius {
  readonly x: number;
  readonly y: number;
}

/** Top left, top right, bottom right, bottom left: the order of CSS `border-radius`. */
export type Radii = readonly [Radius, Radius, Radius, Radius];

export const SHARP: Radius = { x: 0, y: 0 };
export const NO_RADII: Radii = [SHARP, SHARP, SHARP, SHARP];

/** The geometry of a shape, in its layer's own coordinates. */
export type Outline =
  | { readonly kind: 'rect'; readonly box: Box; readonly radii: Radii }
  | { readonly kind: 'ellipse'; readonly box: Box }
  | {
      readonly kind: 'line';
      readonly x1: number;
      readonly y1: number;
      readonly x2: number;
      readonly y2: number;
    }
  | { readonly kind: 'path'; readonly d: string; readonly rule: 'nonzero' | 'evenodd' };

export function evenRadii(x: number, y: number): Radii {
  const radius = { x, y };
  return x > 0 && y > 0 ? [radius, radius, radius, radius] : NO_RADII;
}

export function hasRadii(radii: Radii): boolean {
  return radii.some((radius) => radius.x > 0 && radius.y > 0);
}

/** The radii with each corner changed by one function. */
export function mapRadii([tl, tr, br, bl]: Radii, change: (radius: Radius) => Radius): Radii {
  return [change(tl), change(tr), change(br), change(bl)];
}

/** True when the edges and corners of a rounded box cut off nothing of the inner box. */
export function containsRounded(outer: Box, radii: Radii, inner: Box): boolean {
  if (!contains(outer, inner)) return false;
  const [left, top] = [inner.x - outer.x, inner.y - outer.y];
  const [end, below] = [right(outer) - right(inner), bottom(outer) - bottom(inner)];
  const corners = [
    [left, top],
    [end, top],
    [end, below],
    [left, below],
  ] as const;
  return radii.every(({ x, y }, at) => {
    const [across, down] = corners[at]!;
    if (x === 0 || y === 0 || across >= x || down >= y) return true;
    return ((x - across) / x) ** 2 + ((y - down) / y) ** 2 <= 1;
  });
}

/** The exact box around the geometry, without its stroke; null for a path that draws nothing. */
export function outlineBox(outline: Outline): Box | null {
  switch (outline.kind) {
    case 'rect':
    case 'ellipse':
      return outline.box;
    case 'line':
      return boxOf(
        Math.min(outline.x1, outline.x2),
        Math.min(outline.y1, outline.y2),
        Math.max(outline.x1, outline.x2),
        Math.max(outline.y1, outline.y2),
      );
    case 'path':
      return pathBox(outline.d);
  }
}

/** The box around the geometry after `matrix`: exact for paths, also when turned. */
export function transformedBox(outline: Outline, matrix: Matrix): Box | null {
  if (isUpright(matrix)) {
    const box = outlineBox(outline);
    return box && transformBox(matrix, box);
  }
  return pathBox(printPath(svgpath(pathData(outline)).matrix([...matrix])));
}

/** The geometry as path data (SVG 2, §9.3). Ellipses and corners become arcs, as SVG 2 §10 defines them. */
export function pathData(outline: Outline): string {
  switch (outline.kind) {
    case 'path':
      return outline.d;
    case 'line':
      return `M${outline.x1} ${outline.y1}L${outline.x2} ${outline.y2}`;
    case 'ellipse': {
      const { x, y, width, height } = outline.box;
      const [rx, ry, cy] = [width / 2, height / 2, y + height / 2];
      return `M${x} ${cy}A${rx} ${ry} 0 0 1 ${x + width} ${cy}A${rx} ${ry} 0 0 1 ${x} ${cy}Z`;
    }
    case 'rect':
      return rectPath(outline.box, outline.radii);
  }
}

function rectPath({ x, y, width, height }: Box, [tl, tr, br, bl]: Radii): string {
  const arc = (radius: Radius, toX: number, toY: number) =>
    radius.x > 0 && radius.y > 0 ? `A${radius.x} ${radius.y} 0 0 1 ${toX} ${toY}` : '';
  return [
    `M${x + tl.x} ${y}`,
    `H${x + width - tr.x}`,
    arc(tr, x + width, y + tr.y),
    `V${y + height - br.y}`,
    arc(br, x + width - br.x, y + height),
    `H${x + bl.x}`,
    arc(bl, x, y + height - bl.y),
    `V${y + tl.y}`,
    arc(tl, x + tl.x, y),
    'Z',
  ].join('');
}

/** The geometry moved through a transform; rectangles and ellipses that do not stay upright become paths. */
export function transformOutline(outline: Outline, matrix: Matrix): Outline {
  if (outline.kind === 'line') {
    const from = applyTo(matrix, { x: outline.x1, y: outline.y1 });
    const to = applyTo(matrix, { x: outline.x2, y: outline.y2 });
    return { kind: 'line', x1: from.x, y1: from.y, x2: to.x, y2: to.y };
  }
  if (quartered(matrix)) {
    if (outline.kind === 'ellipse') return { kind: 'ellipse', box: transformBox(matrix, outline.box) };
    if (outline.kind === 'rect')
      return {
        kind: 'rect',
        box: transformBox(matrix, outline.box),
        radii: transformRadii(outline.radii, matrix),
      };
  }
  const d = printPath(svgpath(pathData(outline)).matrix([...matrix]));
  return { kind: 'path', d, rule: outline.kind === 'path' ? outline.rule : 'nonzero' };
}

/** The corners' directions from the middle, in the order of the radii. */
const CORNERS = [
  { x: -1, y: -1 },
  { x: 1, y: -1 },
  { x: 1, y: 1 },
  { x: -1, y: 1 },
] as const;

/** The radii of a rectangle that is mirrored or turned by quarters, in their new order. */
function transformRadii(radii: Radii, [a, b, c, d]: Matrix): Radii {
  const moved: [Radius, Radius, Radius, Radius] = [...radii];
  radii.forEach(({ x, y }, at) => {
    const from = CORNERS[at]!;
    const to = { x: Math.sign(a * from.x + c * from.y), y: Math.sign(b * from.x + d * from.y) };
    moved[CORNERS.findIndex((corner) => corner.x === to.x && corner.y === to.y)] = {
      x: Math.abs(a) * x + Math.abs(c) * y,
      y: Math.abs(b) * x + Math.abs(d) * y,
    };
  });
  return moved;
}
