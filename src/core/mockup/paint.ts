import type { Matrix } from './matrix';

/** An sRGB colour: channels 0–255, alpha 0–1. */
export interface Colour {
  readonly r: number;
  readonly g: number;
  readonly b: number;
  readonly alpha: number;
}

export interface GradientStop {
  /** Place along the gradient, 0–1, never falling. */
  readonly offset: number;
  readonly colour: Colour;
}

/** What happens outside the gradient's own span (SVG 2, §14.2.2, `spreadMethod`). */
export type Spread = 'pad' | 'repeat' | 'reflect';

/** Both ends in the layer's own coordinates, after `transform`. */
export interface LinearGradient {
  readonly kind: 'linear';
  readonly x1: number;
  readonly y1: number;
  readonly x2: number;
  readonly y2: number;
  readonly transform: Matrix;
  readonly spread: Spread;
  readonly stops: readonly GradientStop[];
}

/** Circle and focus in the layer's own coordinates, after `transform`. */
export interface RadialGradient {
  readonly kind: 'radial';
  readonly cx: number;
  readonly cy: number;
  readonly r: number;
  readonly fx: number;
  readonly fy: number;
  /** Radius of the focal circle, where the first stop stands. */
  readonly fr: number;
  readonly transform: Matrix;
  readonly spread: Spread;
  readonly stops: readonly GradientStop[];
}

export interface SolidPaint {
  readonly kind: 'solid';
  readonly colour: Colour;
}

/** A paint that is kept as it was drawn (a pattern), by its definition's name. */
export interface DefinedPaint {
  readonly kind: 'defined';
  readonly definition: string;
  readonly opacity: number;
}

export type Gradient = LinearGradient | RadialGradient;
export type Paint = SolidPaint | Gradient | DefinedPaint;

export interface Stroke {
  readonly paint: Paint;
  readonly width: number;
  readonly cap: 'butt' | 'round' | 'square';
  readonly join: 'miter' | 'round' | 'bevel';
  readonly miterLimit: number;
  /** Dash and gap lengths in px, empty for an unbroken line. */
  readonly dashes: readonly number[];
  readonly dashOffset: number;
  /** True when scaling leaves the width alone (`vector-effect: non-scaling-stroke`). */
  readonly fixedWidth: boolean;
}

export function isOpaque(paint: Paint): boolean {
  switch (paint.kind) {
    case 'solid':
      return paint.colour.alpha >= 1;
    case 'linear':
    case 'radial':
      return paint.stops.every((stop) => stop.colour.alpha >= 1);
    case 'defined':
      return false;
  }
}

/** The paint seen through one more layer of transparency. */
export function fadePaint(paint: Paint, opacity: number): Paint {
  if (opacity === 1) return paint;
  switch (paint.kind) {
    case 'solid':
      return { ...paint, colour: fade(paint.colour, opacity) };
    case 'linear':
    case 'radial':
      return {
        ...paint,
        stops: paint.stops.map((stop) => ({ ...stop, colour: fade(stop.colour, opacity) })),
      };
    case 'defined':
      return { ...paint, opacity: paint.opacity * opacity };
  }
}

export function fade(colour: Colour, opacity: number): Colour {
  return { ...colour, alpha: colour.alpha * opacity };
}
