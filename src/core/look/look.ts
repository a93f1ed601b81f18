import type { Edges } from '../mockup/box';
import type { BlendMode, FunctionEffect, Shadow } from '../mockup/layer';
import type { Point } from '../mockup/matrix';
import type { Radii } from '../mockup/outline';
import type { Colour, GradientStop } from '../mockup/paint';
import type { TypeStyle } from '../mockup/type';

/** A fill in px of the node's own box, its origin at the box's top left corner. */
export type LookFill =
  | { readonly kind: 'solid'; readonly colour: Colour }
  | {
      readonly kind: 'linear';
      /** Where the stops 0 and 1 stand; lines of one colour run square to the way from one to the other. */
      readonly from: Point;
      readonly to: Point;
      /** The box that is filled: CSS measures its direction and length from the middle of it. */
      readonly width: number;
      readonly height: number;
      readonly repeating: boolean;
      readonly stops: readonly GradientStop[];
    }
  | {
      readonly kind: 'radial';
      readonly centre: Point;
      readonly rx: number;
      readonly ry: number;
      readonly repeating: boolean;
      readonly stops: readonly GradientStop[];
    };

/** An even border inside the node's box. */
export interface Border {
  readonly width: number;
  readonly colour: Colour;
}

/** Borders of single sides, inside the node's box. */
export type Sides = Readonly<Partial<Record<'top' | 'right' | 'bottom' | 'left', Border>>>;

/** A filter function; lengths in px of the screen. */
export type LookFilter = FunctionEffect;

export interface LookShadow extends Shadow {
  /** True for a shadow that falls into the box. */
  readonly inset: boolean;
}

/** True for a shadow that is a line along the edges of its box. */
export function isLine({ deviation, dx, dy }: LookShadow): boolean {
  return deviation === 0 && dx === 0 && dy === 0;
}

/** What is cut off: everything outside the node's own rounded box, or outside a path in px of the box. */
export type LookClip =
  | { readonly kind: 'box' }
  | { readonly kind: 'path'; readonly d: string; readonly rule: 'nonzero' | 'evenodd' };

/** A shadow that letters throw (CSS Text Decoration 3, §4). */
export type TextShadow = Omit<Shadow, 'spread'>;

/** How letters look. Sizes in px of the screen. */
export interface TypeLook extends Pick<
  TypeStyle,
  'families' | 'size' | 'weight' | 'italic' | 'letterSpacing' | 'wordSpacing' | 'smallCaps' | 'exact'
> {
  readonly decorations: readonly ('underline' | 'overline' | 'line-through')[];
  readonly colour: Colour | null;
  readonly outline: Border | null;
  /** Px between baselines; null for letters inside a line whose height is already set. */
  readonly lineHeight: number | null;
  readonly align: 'start' | 'middle' | 'end';
  readonly rightToLeft: boolean;
  /** How far letters inside a line are raised above it. */
  readonly rise: number;
  /** Shadows of the letters, topmost first; absent for none. */
  readonly shadows?: readonly TextShadow[];
  /** True when the outline lies beneath the fill. */
  readonly outlineFirst: boolean;
  /** True when several spaces in a row count. */
  readonly keepsSpaces: boolean;
}

/** Typed appearance of a page node, never CSS text. What is absent is at its initial value. */
export interface Look {
  /** From bottom to top. */
  readonly fills?: readonly LookFill[];
  /** Px from the box's edge to where the fills end; absent for none. Only for what has nothing in it. */
  readonly fillInset?: number;
  readonly border?: Border;
  /** Instead of an even border. */
  readonly sides?: Sides;
  readonly radii?: Radii;
  /** Shadows of the box itself, topmost first. */
  readonly shadows?: readonly LookShadow[];
  readonly filters?: readonly LookFilter[];
  readonly opacity?: number;
  readonly blend?: BlendMode;
  readonly isolated?: boolean;
  readonly clip?: LookClip;
  readonly type?: TypeLook;
  /** Px between letters inside a line and the box around them; of other boxes the layout says it. */
  readonly padding?: Edges;
}

export function isPlain(look: Look): boolean {
  return Object.keys(look).length === 0;
}

/** How wide a border is on a page, px: a whole number, since browsers make it one (CSS Backgrounds 3, §3.3). */
export function pageBorder({ width }: Border): number {
  return Math.max(1, Math.round(width));
}

/** How far the look's borders reach into the node's box on a page, px. */
export function borderInsets({ border, sides }: Look): Edges {
  const inset = (side: Border | undefined) => (side ? pageBorder(side) : 0);
  const { top = border, right = border, bottom = border, left = border } = sides ?? {};
  return { top: inset(top), right: inset(right), bottom: inset(bottom), left: inset(left) };
}
