import type { Box } from './box';
import type { GroupLayer } from './layer';
import type { Point } from './matrix';
import type { Colour } from './paint';
import type { FaceId, FontFace } from './type';

/** A node of XML without anything that runs or fetches. */
export interface XmlElement {
  readonly name: string;
  readonly attributes: Readonly<Record<string, string>>;
  readonly children: readonly (XmlElement | string)[];
}

export type BitmapType = 'image/png' | 'image/jpeg' | 'image/webp' | 'image/gif' | 'image/svg+xml';

/** An embedded bitmap; its bytes are the asset of the same name. */
export interface Bitmap {
  readonly id: string;
  readonly type: BitmapType;
  /** Natural size in px. */
  readonly width: number;
  readonly height: number;
}

/** One page or view of a mockup. */
export interface Screen {
  readonly id: string;
  readonly name: string;
  readonly width: number;
  readonly height: number;
  /** Its top left corner on the sheet that it was drawn on, px. */
  readonly origin: Point;
  /** `whole`: the sheet itself; `found` by size and place; `said` by a person or a name. */
  readonly found: 'whole' | 'found' | 'said';
  /** The colour behind everything, null when the mockup leaves it open. */
  readonly ground: Colour | null;
  readonly root: GroupLayer;
}

/**
 * Version of the stored tree. Raise it when its shape or the readers' results change: older trees are then
 * read again.
 */
export const TREE_VERSION = 8;

/** A page of a document with several pages, on the sheet that holds them all. */
export interface DocumentPage {
  readonly name: string;
  /** Px of the sheet. */
  readonly box: Box;
}

/** A file read into Orden. Plain data: it can be stored as JSON and handed to a worker. */
export interface Mockup {
  readonly name: string;
  readonly format: 'svg' | 'openraster' | 'flat';
  readonly screens: readonly Screen[];
  /** The pages of a document that has several. */
  readonly pages?: readonly DocumentPage[];
  readonly bitmaps: Readonly<Record<string, Bitmap>>;
  /** The faces that its texts are set in. */
  readonly faces: Readonly<Record<FaceId, FontFace>>;
  /** Masks, patterns, filters and markers kept as they were drawn, by name. */
  readonly definitions: Readonly<Record<string, XmlElement>>;
}

/** Bytes that belong to a mockup, by name: bitmaps and embedded fonts. */
export type Assets = ReadonlyMap<string, Uint8Array>;
