/** Where a piece of a page stands. */
export interface PiecePlace {
  /** Not the same for two pieces of a page. */
  readonly id: string;
  /** The piece that it stands in; null for the screen. */
  readonly within: string | null;
  /** True for an empty element that other pieces stand in. */
  readonly isOpen: boolean;
}

/** True for pieces that stand where the others stood, whatever their code is. */
export function standAlike(pieces: readonly PiecePlace[], others: readonly PiecePlace[]): boolean {
  return (
    pieces.length === others.length &&
    pieces.every(({ id, within, isOpen }, at) => {
      const other = others[at]!;
      return id === other.id && within === other.within && isOpen === other.isOpen;
    })
  );
}
