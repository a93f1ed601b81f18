import type { Identity } from './identity';
import { IDENTITY, type Matrix } from './matrix';
import type { Box, Edges } from './box';
import type { Outline } from './outline';
import type { Colour, Paint, Stroke } from './paint';
import type { FaceId, TypeStyle } from './type';

/** The opaque id of a layer inside its mockup, kept across revisions. */
export type LayerId = string;

/** CSS `mix-blend-mode` values (Compositing 1, §6.1; Compositing 2 for `plus-lighter`). */
export const BLEND_MODES = [
  'normal',
  'multiply',
  'screen',
  'overlay',
  'darken',
  'lighten',
  'color-dodge',
  'color-burn',
  'hard-light',
  'soft-light',
  'difference',
  'exclusion',
  'hue',
  'saturation',
  'color',
  'luminosity',
  'plus-lighter',
] as const;
export type BlendMode = (typeof BLEND_MODES)[number];

export function isBlendMode(value: string): value is BlendMode {
  return (BLEND_MODES as readonly string[]).includes(value);
}

/** The clip of a layer, in the layer's own coordinates. A `defined` clip is kept as it was drawn. */
export type Clip =
  | { readonly kind: 'outline'; readonly outline: Outline }
  | { readonly kind: 'defined'; readonly definition: string };

/** A shadow; the deviation is the Gaussian's, px. */
export interface Shadow {
  readonly dx: number;
  readonly dy: number;
  readonly deviation: number;
  /** How far the shape is grown before it is blurred, px. */
  readonly spread: number;
  readonly colour: Colour;
}

/** The filter functions of CSS that change colours (Filter Effects 1, §5); `hue-rotate` in degrees, the others 1 for all. */
export const COLOUR_FUNCTIONS = [
  'brightness',
  'contrast',
  'grayscale',
  'hue-rotate',
  'invert',
  'opacity',
  'saturate',
  'sepia',
] as const;
export type ColourFunction = (typeof COLOUR_FUNCTIONS)[number];

/** An effect on the finished layer. Deviations are of the Gaussian, px in the layer's own coordinates. */
export type Effect =
  /** `linear`: colours are mixed in linear light, where CSS mixes them in sRGB. */
  | { readonly kind: 'blur'; readonly deviation: number; readonly linear: boolean }
  /** `outside`: the shadow is not drawn beneath the layer itself. */
  | ({ readonly kind: 'drop-shadow'; readonly outside: boolean } & Shadow)
  | ({ readonly kind: 'inner-shadow' } & Shadow)
  | { readonly kind: 'colour'; readonly function: ColourFunction; readonly amount: number }
  | { readonly kind: 'defined'; readonly definition: string; readonly reach: FilterReach };

/** The extent of a filter. */
export interface FilterReach {
  /**
   * The filter region, which cuts the result: fractions of the layer's box where `byBox`, else px in the
   * layer's own coordinates.
   */
  readonly region: Box;
  readonly byBox: boolean;
  /**
   * Px in the layer's own coordinates by which the result extends beyond the input; null for the whole
   * region.
   */
  readonly beyond: Edges | null;
}

/** The effects that CSS has a filter function for (Filter Effects 1, §5). */
export type FunctionEffect = Exclude<Effect, { kind: 'defined' | 'inner-shadow' }>;

/** What the source says about meaning, beside the name. */
export interface SourceHints {
  readonly classes: readonly string[];
  /** The element's own id. */
  readonly id?: string;
  readonly role?: string;
  readonly label?: string;
  readonly href?: string;
  readonly data: Readonly<Record<string, string>>;
}

interface LayerBase extends Identity {
  /** The name given in the drawing program; null when there is none. */
  readonly sourceName: string | null;
  /** From the layer's own coordinates to its parent's. */
  readonly transform: Matrix;
  readonly visible: boolean;
  /** 0–1. */
  readonly opacity: number;
  readonly blend: BlendMode;
  readonly clip: Clip | null;
  /** The definition of a mask, kept as it was drawn. */
  readonly mask: string | null;
  readonly effects: readonly Effect[];
  /** The effects as a CSS filter value whose references are definitions. */
  readonly filter: string | null;
  readonly hints: SourceHints;
}

export interface GroupLayer extends LayerBase {
  readonly kind: 'group';
  readonly isolated: boolean;
  /**
   * The element of the file that this group repeats (`use`); null for a group of its own. Instances of one
   * element have the same value.
   */
  readonly instanceOf: string | null;
  readonly layers: readonly Layer[];
}

export interface ShapeLayer extends LayerBase {
  readonly kind: 'shape';
  readonly outline: Outline;
  readonly fill: Paint | null;
  readonly stroke: Stroke | null;
  readonly strokeFirst: boolean;
  /** True for `shape-rendering: crispEdges`. */
  readonly crisp: boolean;
  /** Marker definitions by place, kept as they were drawn. */
  readonly markers: Readonly<Partial<Record<'start' | 'mid' | 'end', string>>>;
  /** The extent of the markers around their points, px in the layer's own coordinates. */
  readonly markerReach: number;
}

/** A stretch of letters in one style. */
export interface TextRun {
  readonly text: string;
  readonly style: TypeStyle;
  readonly fill: Paint | null;
  readonly stroke: Stroke | null;
  /** The face that Orden measured with. */
  readonly face: FaceId;
  /** The advance in px, letter and word spacing included, without the line's stretch. */
  readonly width: number;
  /** Baseline shift, px upwards; negative values hang below the line. */
  readonly baselineShift: number;
  /** Where a link around the letters leads. */
  readonly href?: string;
}

/** One line of text: its left end and its baseline. */
export interface TextLine {
  /** Left end, px, after the anchor was applied. */
  readonly x: number;
  readonly baseline: number;
  readonly width: number;
  /** Px of collapsed white space after the last letter: some files centre lines together with it. */
  readonly trailingSpace: number;
  /** Horizontal stretch of the letters. `width` includes it. */
  readonly stretch: number;
  /** The end at which the file places the line. `x` and `width` already include it. */
  readonly anchor: 'start' | 'middle' | 'end';
  readonly runs: readonly TextRun[];
}

/** A letter that stands by itself. */
export interface PlacedLetter {
  readonly run: TextRun;
  /** From the letter's own coordinates, its origin on the baseline, to the layer's. */
  readonly matrix: Matrix;
}

export interface TextLayer extends LayerBase {
  readonly kind: 'text';
  readonly align: 'start' | 'middle' | 'end';
  /** True when the text runs from right to left, and so begins at its right end. */
  readonly rightToLeft: boolean;
  readonly strokeFirst: boolean;
  readonly lines: readonly TextLine[];
  /**
   * Features of the text that Orden does not model (a text on a path, turned letters); empty for plain text.
   */
  readonly oddities: readonly string[];
  /** The letters one by one, where they do not stand in lines; absent for plain text. */
  readonly placed?: readonly PlacedLetter[];
  /** The definition of the text as it was drawn, kept when there are oddities. */
  readonly asDrawn: string | null;
}

export interface BitmapLayer extends LayerBase {
  readonly kind: 'bitmap';
  /** Where the bitmap is drawn, in the layer's own coordinates. */
  readonly box: Box;
  readonly bitmap: string;
  /** The visible part when the bitmap is cut to its box (`preserveAspectRatio … slice`). */
  readonly frame: Box;
}

export type Layer = GroupLayer | ShapeLayer | TextLayer | BitmapLayer;

export const NO_HINTS: SourceHints = { classes: [], data: {} };

/** The common fields of a layer of which only the name is known. */
export function bareLayer({ id, path }: Identity, sourceName: string | null): LayerBase {
  return {
    id,
    path,
    sourceName,
    transform: IDENTITY,
    visible: true,
    opacity: 1,
    blend: 'normal',
    clip: null,
    mask: null,
    effects: [],
    filter: null,
    hints: NO_HINTS,
  };
}
