import type { FaceId, FontFace } from '../mockup/type';

/** What a text wishes to be set in. */
export interface FaceWish {
  readonly families: readonly string[];
  readonly weight: number;
  readonly italic: boolean;
}

/** A font that came inside a mockup, or that a person added. */
export interface GivenFont {
  readonly source: 'embedded' | 'added';
  readonly family: string;
  readonly weight: number;
  readonly italic: boolean;
  /** The asset's name. */
  readonly asset: string;
  readonly bytes: Uint8Array;
}

/**
 * The fonts that Orden can measure with. The core asks, the engine answers:
 * reading font files needs libraries that the core does not know.
 */
export interface FontBook {
  /** The face that a browser on this machine would take for the wish. */
  face(wish: FaceWish): FontFace;
  /** The advance of `text` in px at `size` px, kerned, without letter spacing. */
  advance(face: FaceId, text: string, size: number): number;
  /** The outlines of `text` as path data, px, its baseline starting at 0,0; null when the face has no outlines here. */
  outline(face: FaceId, text: string, size: number, letterSpacing: number): string | null;
  /** This book and, before everything else, these fonts. Unreadable ones are named in `broken`. */
  withFonts(fonts: readonly GivenFont[]): {
    readonly book: FontBook;
    readonly broken: readonly string[];
  };
}
