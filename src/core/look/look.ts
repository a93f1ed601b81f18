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
      /** The points of stops 0 and 1. Lines of one colour are perpendicular to the segment between them. */
      readonly from: Point;
      readonly to: Point;
      /** Size of the filled box: CSS measures gradients from its middle. */
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
  /** True for a shadow inside the box. */
  readonly inset: boolean;
}

/** True for a shadow without blur and offset: a line along the edges of its box. */
export function isEdgeLine({ deviation, dx, dy }: LookShadow): boolean {
  return deviation === 0 && dx === 0 && dy === 0;
}

/** The clip of a node: outside its own rounded box, or outside a path in px of the box. */
export type LookClip =
  | { readonly kind: 'box' }
  | { readonly kind: 'path'; readonly d: string; readonly rule: 'nonzero' | 'evenodd' };

/** A shadow of letters (CSS Text Decoration 3, §4). */
export type TextShadow = Omit<Shadow, 'spread'>;

/** How letters look. Sizes in px of the screen. */
export interface TypeLook extends Pick<
  TypeStyle,
  'families' | 'size' | 'weight' | 'italic' | 'letterSpacing' | 'wordSpacing' | 'smallCaps' | 'exact'
> {
  readonly decorations: readonly ('underline' | 'overline' | 'line-through')[];
  readonly colour: Colour | null;
  readonly outline: Border | null;
  /** Px between baselines; null for a span inside a line whose height is already set. */
  readonly lineHeight: number | null;
  readonly align: 'start' | 'middle' | 'end';
  readonly rightToLeft: boolean;
  /** Baseline shift, px upwards. */
  readonly baselineShift: number;
  /** Shadows of the letters, topmost first; absent for none. */
  readonly shadows?: readonly TextShadow[];
  /** True when the outline lies beneath the fill. */
  readonly outlineFirst: boolean;
  /** True when several spaces in a row count. */
  readonly keepsSpaces: boolean;
  /** True for words that stay on one line, as in the cells of a table. Absent for others. */
  readonly keepsLine?: true;
}

/** Typed appearance of a page node, never CSS text. An absent property is at its initial value. */
export interface Look {
  /** From bottom to top. */
  readonly fills?: readonly LookFill[];
  /** Px from the box's edge to the end of the fills; absent for none. Only for boxes without content. */
  readonly fillInset?: number;
  readonly border?: Border;
  /** Borders of single sides, in place of an even border. */
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
  /** Px between the letters of an inline box and its edge. Other boxes have it in their layout. */
  readonly padding?: Edges;
}

export function isPlain(look: Look): boolean {
  return Object.keys(look).length === 0;
}

/** True for a look that shows the edges of its box. */
export function paints({ fills, border, sides, shadows, clip }: Look): boolean {
  return [fills, border, sides, shadows, clip].some((paint) => paint !== undefined);
}

/** The width of a border on a page, px: browsers round it to a whole number (CSS Backgrounds 3, §3.3). */
export function wholeBorderWidth({ width }: Border): number {
  return Math.max(1, Math.round(width));
}

/** How far the look's borders reach into the node's box on a page, px. */
export function borderInsets({ border, sides }: Look): Edges {
  const inset = (side: Border | undefined) => (side ? wholeBorderWidth(side) : 0);
  const { top = border, right = border, bottom = border, left = border } = sides ?? {};
  return { top: inset(top), right: inset(right), bottom: inset(bottom), left: inset(left) };
}
