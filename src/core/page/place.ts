import type { Point } from '../mockup/matrix';

/** The linear part of a transform about the node's top left corner: rotation, skew and scale. */
export type LinearTransform = readonly [a: number, b: number, c: number, d: number];

/**
 * The node's box in the mockup: px from the padding box of the parent, for nodes in the flow px of the
 * screen.
 */
interface Geometry {
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
  /** True when the content gives the size; width and height are then measured. */
  readonly fitsContent: boolean;
  readonly linear: LinearTransform | null;
  /**
   * Further px to the right for transformed nodes and stretched lines: browsers truncate fractions of a px
   * before the transform.
   */
  readonly subpixelShift?: number;
  readonly snapCompensation?: SnapCompensation;
}

/** The transform from the whole px where browsers draw the box to its exact place between px. */
export interface SnapCompensation {
  readonly move: Point;
  readonly scale: Point;
}

/** The edges of a growing parent to which a placed node keeps its distance; `both` stretches the node. */
export type Pin = 'start' | 'middle' | 'end' | 'both';

/** A node at fixed coordinates. */
export interface FixedPlace extends Geometry {
  readonly kind: 'fixed';
  /** The pins in a parent that may grow. Absent where boxes have a fixed size. */
  readonly pins?: {
    readonly x: Pin;
    readonly y: Pin;
    /** Px from the right and bottom edges of the parent's padding box. */
    readonly right: number;
    readonly bottom: number;
    /** `fit`: the width of the content; `max`: words that wrap at `width`. */
    readonly widthMode: 'fit' | 'drawn' | 'max';
    readonly heightMode: HeightMode;
  };
}

/**
 * The width of a node in the flow. `fit`: of its content; `drawn`: as in the mockup, shrinkable; `rigid`: as
 * in the mockup, not shrinkable; `rest`: the free width; `full`: all of the width; `max`: all of the width,
 * at most as in the mockup; `capped`: of its content, at most as in the mockup.
 */
export type WidthMode = 'fit' | 'drawn' | 'rigid' | 'rest' | 'full' | 'max' | 'capped';

/** The modes with a greatest width. */
export function hasGreatestWidth(mode: WidthMode): boolean {
  return mode === 'max' || mode === 'capped';
}

/** How the height of a node is set. */
export type HeightMode = 'fit' | 'drawn' | 'min';

export type Align = 'start' | 'middle' | 'end' | 'stretch' | 'baseline';

/** Extra space around a node in the flow, px; null takes all free space. */
export interface Margin {
  readonly top: number;
  readonly left: number | null;
  readonly right: number | null;
  readonly bottom: number;
}

export const NO_MARGIN: Margin = { top: 0, left: 0, right: 0, bottom: 0 };

/** A node placed by its parent's layout. */
export interface FlowPlace extends Geometry {
  readonly kind: 'flow';
  readonly widthMode: WidthMode;
  readonly heightMode: HeightMode;
  /** Alignment across the direction, where it differs from the parent's. */
  readonly align: Align | null;
  readonly margin: Margin;
}

/** The place of a node. */
export type Place = FixedPlace | FlowPlace;
