/** How letters look, as the mockup asks for it. Sizes in px of the layer's own coordinates. */
export interface TypeStyle {
  /** Family names in order of preference, as written, generic names included. */
  readonly families: readonly string[];
  readonly size: number;
  /** 1–1000 (CSS Fonts 4, §2.4). */
  readonly weight: number;
  readonly italic: boolean;
  readonly letterSpacing: number;
  readonly wordSpacing: number;
  readonly underline: boolean;
  readonly overline: boolean;
  readonly lineThrough: boolean;
  /** Small letters as small capitals (`font-variant: small-caps`). */
  readonly smallCaps: boolean;
  /** True when letters keep their exact shape and advance at any size (`text-rendering: geometricPrecision`). */
  readonly exact: boolean;
}

/** A face's name inside a mockup: family, weight and slant. */
export type FaceId = string;

/** Where a face comes from: inside the mockup, added by a person, shipped with Orden, this machine, or a table of well-known metrics. */
export type FaceSource = 'embedded' | 'added' | 'shipped' | 'system' | 'known';

/** Metrics of one face, in units of its em square, y upwards: ascent positive, descent positive below. */
export interface FaceMetrics {
  readonly unitsPerEm: number;
  readonly ascent: number;
  readonly descent: number;
  readonly lineGap: number;
  readonly xHeight: number;
  /** The advance of a space. */
  readonly space: number;
}

export interface FontFace {
  readonly id: FaceId;
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  readonly source: FaceSource;
  readonly metrics: FaceMetrics;
  /** The full and PostScript names of a face of this machine. */
  readonly localNames?: readonly string[];
  /** The asset of an embedded face, or the file of a shipped one. */
  readonly file?: string;
}

/** The share of added width that lies before the anchored end of a line, 0–1. */
export const SHARE_BEFORE = { start: 0, middle: 0.5, end: 1 } as const;
