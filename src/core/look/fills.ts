import type { Box } from '../mockup/box';
import { applyTo, invert, multiply, type Matrix } from '../mockup/matrix';
import type { Gradient, GradientStop, LinearGradient, Paint, RadialGradient } from '../mockup/paint';
import type { LookFill } from './look';

/**
 * A paint as a fill of a box; null when it paints nothing or CSS has no exact fill for it.
 * @param matrix from the paint's coordinates to those of `box`
 */
export function fillOf(paint: Paint, matrix: Matrix, box: Box): LookFill | null {
  switch (paint.kind) {
    case 'solid':
      return { kind: 'solid', colour: paint.colour };
    case 'linear':
      return linearFill(paint, multiply(matrix, paint.transform), box);
    case 'radial':
      return radialFill(paint, multiply(matrix, paint.transform), box);
    case 'defined':
      return null;
  }
}

/**
 * SVG transforms lines of one colour with the gradient, which may skew them; CSS draws them perpendicular to
 * its direction. The offset is therefore treated as an affine function t(p) = (M⁻¹p − p₁)·v / |v|² with v =
 * p₂ − p₁, whose gradient gives the direction (SVG 2, §14.2.2).
 */
function linearFill(paint: LinearGradient, matrix: Matrix, box: Box): LookFill | null {
  const inverse = invert(matrix);
  if (!inverse) return null;
  const v = { x: paint.x2 - paint.x1, y: paint.y2 - paint.y1 };
  const square = v.x * v.x + v.y * v.y;
  const slope = {
    x: (inverse[0] * v.x + inverse[1] * v.y) / square,
    y: (inverse[2] * v.x + inverse[3] * v.y) / square,
  };
  const steep = slope.x * slope.x + slope.y * slope.y;
  if (steep === 0) return null;
  const start = applyTo(matrix, { x: paint.x1, y: paint.y1 });
  const from = { x: start.x - box.x, y: start.y - box.y };
  return {
    kind: 'linear',
    from,
    to: { x: from.x + slope.x / steep, y: from.y + slope.y / steep },
    width: box.width,
    height: box.height,
    repeating: paint.spread === 'repeat',
    stops: evenBlend(paint.stops),
  };
}

function radialFill(paint: RadialGradient, matrix: Matrix, box: Box): LookFill {
  const centre = applyTo(matrix, { x: paint.cx, y: paint.cy });
  return {
    kind: 'radial',
    centre: { x: centre.x - box.x, y: centre.y - box.y },
    rx: paint.r * Math.hypot(matrix[0], matrix[2]),
    ry: paint.r * Math.hypot(matrix[1], matrix[3]),
    repeating: paint.spread === 'repeat',
    stops: evenBlend(paint.stops),
  };
}

const STEPS = 8;

/**
 * CSS blends colours multiplied with their alpha, SVG blends them apart (CSS Images 3, §3.4.3): where both
 * change, stops between keep the colours alike.
 */
function evenBlend(stops: Gradient['stops']): readonly GradientStop[] {
  return stops.flatMap((stop, at) => {
    const next = stops[at + 1];
    if (!next) return [stop];
    const { colour: one } = stop;
    const { colour: other } = next;
    const sameHue = one.r === other.r && one.g === other.g && one.b === other.b;
    if (sameHue || one.alpha === other.alpha) return [stop];
    const between = Array.from({ length: STEPS - 1 }, (_, step) => mix(stop, next, (step + 1) / STEPS));
    return [stop, ...between];
  });
}

function mix(one: GradientStop, other: GradientStop, share: number): GradientStop {
  const blend = (from: number, to: number) => from + (to - from) * share;
  const channel = (key: 'r' | 'g' | 'b') => Math.round(blend(one.colour[key], other.colour[key]));
  return {
    offset: blend(one.offset, other.offset),
    colour: {
      r: channel('r'),
      g: channel('g'),
      b: channel('b'),
      alpha: blend(one.colour.alpha, other.colour.alpha),
    },
  };
}
