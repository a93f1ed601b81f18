import type { LayerId } from '../mockup/layer';

/** A page in pieces, so that an edit prints only some of them. */
export interface PagePieces {
  /** The style sheet, rule by rule. */
  readonly rules: readonly string[];
  /** The element around all pieces, empty. */
  readonly screen: string;
  /** The pieces in the order of the code. */
  readonly parts: readonly PagePiece[];
}

/** The place of a piece on the page. */
export interface PiecePlace {
  /** Unique on the page. */
  readonly id: string;
  /** The parent piece; null for the screen. */
  readonly within: string | null;
  /** True for an empty element that holds other pieces. */
  readonly isOpen: boolean;
}

export interface PagePiece extends PiecePlace {
  /** The layer that it comes from. */
  readonly layer: LayerId;
  /** Its code, printed on request; an unchanged piece returns the same string. */
  readonly html: () => string;
}
