import { IDENTITY, type Matrix } from './matrix';
import type { Box, Edges } from './box';
import type { Outline } from './outline';
import type { Colour, Paint, Stroke } from './paint';
import type { FaceId, TypeStyle } from './type';

/** A stable name for a layer inside its mockup, kept across revisions. */
export type LayerKey = string;

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

/** What cuts a layer, in the layer's own coordinates. `defined` ones are kept as they were drawn. */
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

/** Something done to the finished layer. Deviations are of the Gaussian, px in the layer's own coordinates. */
export type Effect =
  /** `linear`: colours are mixed as light, where CSS mixes them as sRGB has them. */
  | { readonly kind: 'blur'; readonly deviation: number; readonly linear: boolean }
  /** `outside`: the shadow is not drawn beneath the layer itself. */
  | ({ readonly kind: 'drop-shadow'; readonly outside: boolean } & Shadow)
  | ({ readonly kind: 'inner-shadow' } & Shadow)
  | { readonly kind: 'colour'; readonly function: ColourFunction; readonly amount: number }
  | { readonly kind: 'defined'; readonly definition: string; readonly reach: FilterReach };

/** How far a filter paints. */
export interface FilterReach {
  /** What is outside of it is cut off: shares of the layer's box where `byBox`, else px in the layer's own coordinates. */
  readonly region: Box;
  readonly byBox: boolean;
  /** Px in the layer's own coordinates by which it paints beyond what it is given; null for all of its region. */
  readonly beyond: Edges | null;
}

/** The effects that CSS has a filter function for (Filter Effects 1, §5). */
export type FunctionEffect = Exclude<Effect, { kind: 'defined' | 'inner-shadow' }>;

/** What the source itself says about meaning, beside the name. */
export interface SourceHints {
  readonly classes: readonly string[];
  readonly role?: string;
  readonly label?: string;
  readonly href?: string;
  readonly data: Readonly<Record<string, string>>;
}

interface LayerBase {
  readonly key: LayerKey;
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
  /** The same effects as the file has them: a CSS filter value whose references are definitions. */
  readonly filter: string | null;
  readonly hints: SourceHints;
}

export interface GroupLayer extends LayerBase {
  readonly kind: 'group';
  readonly isolated: boolean;
  /** The part of the file that it shows once more (`use`); null for a group of its own. Like instances have the same. */
  readonly instanceOf: string | null;
  readonly layers: readonly Layer[];
}

export interface ShapeLayer extends LayerBase {
  readonly kind: 'shape';
  readonly outline: Outline;
  readonly fill: Paint | null;
  readonly stroke: Stroke | null;
  readonly strokeFirst: boolean;
  /** True when its edges are not smoothed (`shape-rendering: crispEdges`). */
  readonly crisp: boolean;
  /** Marker definitions by place, kept as they were drawn. */
  readonly markers: Readonly<Partial<Record<'start' | 'mid' | 'end', string>>>;
  /** How far they reach from the points on which they stand, px in the layer's own coordinates. */
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
  /** How far the letters are raised above the line, px; negative ones hang below it. */
  readonly rise: number;
  /** Where a link around the letters leads. */
  readonly href?: string;
}

/** One line of letters: where it starts, and the baseline it stands on. */
export interface TextLine {
  /** Left end, px. The anchor has been worked in. */
  readonly x: number;
  readonly baseline: number;
  readonly width: number;
  /** Px of the white space that was cut off behind the last letter: a file may have lines centred together with it. */
  readonly hang: number;
  /** How much wider the letters are drawn than their font has them; `width` counts it in. */
  readonly stretch: number;
  /** From which end the file places the line; `x` and `width` have it worked in. */
  readonly anchor: 'start' | 'middle' | 'end';
  readonly runs: readonly TextRun[];
}

export interface TextLayer extends LayerBase {
  readonly kind: 'text';
  readonly align: 'start' | 'middle' | 'end';
  /** True when the text runs from right to left, and so begins at its right end. */
  readonly rightToLeft: boolean;
  readonly strokeFirst: boolean;
  readonly lines: readonly TextLine[];
  /** What the text does that Orden does not model yet (a text on a path, turned letters); empty for plain text. */
  readonly oddities: readonly string[];
  /** The definition of the text as it was drawn, kept when there are oddities. */
  readonly asDrawn: string | null;
}

export interface BitmapLayer extends LayerBase {
  readonly kind: 'bitmap';
  /** Where the bitmap is drawn, in the layer's own coordinates. */
  readonly box: Box;
  readonly bitmap: string;
  /** The part that is seen when the bitmap is cut to its box (`preserveAspectRatio … slice`). */
  readonly frame: Box;
}

export type Layer = GroupLayer | ShapeLayer | TextLayer | BitmapLayer;

export const NO_HINTS: SourceHints = { classes: [], data: {} };

/** The parts that every layer has, for one that nothing is said about but its name. */
export function bareLayer(key: LayerKey, sourceName: string | null): LayerBase {
  return {
    key,
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
