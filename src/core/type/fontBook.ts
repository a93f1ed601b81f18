import type { FaceId, FontFace } from '../mockup/type';

/** The font properties that a text asks for. */
export interface FontQuery {
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

/** The fonts that Orden can measure with. The engine implements it, since the core has no font parser. */
export interface FontBook {
  /** The face that a browser on this machine would take for the query. */
  face(wish: FontQuery): FontFace;
  /** The advance of `text` in px at `size` px, kerned, without letter spacing. */
  advance(face: FaceId, text: string, size: number): number;
  /** The outlines of `text` as path data, px, its baseline starting at 0,0; null when the face has no outlines here. */
  outline(face: FaceId, text: string, size: number, letterSpacing: number): string | null;
  /** This book with the given fonts before all others. Unreadable ones are named in `broken`. */
  withFonts(fonts: readonly GivenFont[]): {
    readonly book: FontBook;
    readonly broken: readonly string[];
  };
}
