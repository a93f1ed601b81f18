/**
 * An affine transform as CSS and SVG write it, `matrix(a, b, c, d, e, f)`:
 * x' = a·x + c·y + e, y' = b·x + d·y + f (CSS Transforms 1, §12).
 */
export type Matrix = readonly [a: number, b: number, c: number, d: number, e: number, f: number];

export interface Point {
  readonly x: number;
  readonly y: number;
}

export const IDENTITY: Matrix = [1, 0, 0, 1, 0, 0];

/** The transform that applies `inner` first and `outer` second. */
export function multiply(outer: Matrix, inner: Matrix): Matrix {
  // By index: destructuring allocates an iterator for each matrix, and each stage multiplies for every layer.
  return [
    outer[0] * inner[0] + outer[2] * inner[1],
    outer[1] * inner[0] + outer[3] * inner[1],
    outer[0] * inner[2] + outer[2] * inner[3],
    outer[1] * inner[2] + outer[3] * inner[3],
    outer[0] * inner[4] + outer[2] * inner[5] + outer[4],
    outer[1] * inner[4] + outer[3] * inner[5] + outer[5],
  ];
}

export function translation(x: number, y: number): Matrix {
  return [1, 0, 0, 1, x, y];
}

export function scaling(x: number, y: number): Matrix {
  return [x, 0, 0, y, 0, 0];
}

/** A turn by `degrees`, clockwise on screen. */
export function rotation(degrees: number): Matrix {
  const angle = (degrees * Math.PI) / 180;
  const cos = Math.cos(angle);
  const sin = Math.sin(angle);
  return [cos, sin, -sin, cos, 0, 0];
}

export function applyTo(matrix: Matrix, point: Point): Point {
  return {
    x: matrix[0] * point.x + matrix[2] * point.y + matrix[4],
    y: matrix[1] * point.x + matrix[3] * point.y + matrix[5],
  };
}

export function determinant(matrix: Matrix): number {
  return matrix[0] * matrix[3] - matrix[1] * matrix[2];
}

/** The inverse, or null when the transform flattens the plane. */
export function invert(matrix: Matrix): Matrix | null {
  const det = determinant(matrix);
  if (!Number.isFinite(det) || Math.abs(det) < 1e-12) return null;
  const [a, b, c, d, e, f] = matrix;
  return [d / det, -b / det, -c / det, a / det, (c * f - d * e) / det, (b * e - a * f) / det];
}

const EPSILON = 1e-6;

/** True when rectangles stay upright rectangles and are neither mirrored nor turned. */
export function isUpright(matrix: Matrix): boolean {
  return Math.abs(matrix[1]) < EPSILON && Math.abs(matrix[2]) < EPSILON && matrix[0] > 0 && matrix[3] > 0;
}

/**
 * Splits a transform that maps upright rectangles to upright rectangles into a mirror or quarter turn,
 * followed by a move and scale. Null for any other transform.
 */
export function quartered([a, b, c, d, e, f]: Matrix): {
  readonly quarters: Matrix;
  readonly rest: Matrix;
} | null {
  const isNone = (one: number, other: number) => Math.abs(one) < EPSILON && Math.abs(other) < EPSILON;
  if (a !== 0 && d !== 0 && isNone(b, c))
    return {
      quarters: [Math.sign(a), 0, 0, Math.sign(d), 0, 0],
      rest: [Math.abs(a), 0, 0, Math.abs(d), e, f],
    };
  if (b !== 0 && c !== 0 && isNone(a, d))
    return {
      quarters: [0, Math.sign(b), Math.sign(c), 0, 0, 0],
      rest: [Math.abs(c), 0, 0, Math.abs(b), e, f],
    };
  return null;
}

/** Scales that differ by at most this share look equal: half a px in a width of 500. */
const EVEN = 1e-3;

/** True for a transform that only moves and scales alike in both directions. */
export function isUniform(matrix: Matrix): boolean {
  return isUpright(matrix) && Math.abs(matrix[0] - matrix[3]) < EVEN * matrix[0];
}

export function isIdentity([a, b, c, d, e, f]: Matrix): boolean {
  const near = (one: number, other: number) => Math.abs(one - other) < EPSILON;
  return near(a, 1) && near(b, 0) && near(c, 0) && near(d, 1) && e === 0 && f === 0;
}

/** How much lengths grow on average: the square root of the area's growth. */
export function meanScale(matrix: Matrix): number {
  return Math.sqrt(Math.abs(determinant(matrix)));
}
