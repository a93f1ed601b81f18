import type { PagePiece, PagePieces, PiecePlace } from '../../core/emit/html/pagePieces';

/** A page in pieces, as they are written. */
export interface ShownPage extends Omit<PagePieces, 'parts'> {
  readonly parts: readonly WrittenPiece[];
  /** The pieces to be shown first; null where none is. The code of the others may be from before the last edit, until theirs comes. */
  readonly urgent: ReadonlySet<string> | null;
}

export interface WrittenPiece extends PiecePlace {
  readonly html: string;
}

/** The page as what differs from what was told last: writing and copying thousands of pieces takes longer than an edit may. */
export interface PageNews extends Omit<PagePieces, 'parts'> {
  /** True when nothing that was told before belongs to it. */
  readonly isNew: boolean;
  /** Null when every piece stands where it stood. */
  readonly order: readonly PiecePlace[] | null;
  /** The code of the pieces that are otherwise than they were told. */
  readonly changed: ReadonlyMap<string, string>;
  /** False while there may be others, which can wait. */
  readonly isWhole: boolean;
}

/** The pieces of a page that are told already. */
export interface ToldPage {
  readonly screen: string;
  readonly order: readonly PiecePlace[];
  readonly pieces: ReadonlyMap<string, Pick<WrittenPiece, 'isOpen' | 'html'>>;
}

/**
 * What is news of the page of a screen, and what is told then.
 * @param canWait of pieces that were told, those whose code is not written yet
 */
export function pageNews(
  told: ToldPage | null,
  screen: string,
  { parts, ...around }: PagePieces,
  canWait: (piece: PagePiece) => boolean,
): { readonly news: PageNews; readonly told: ToldPage } {
  const known = told?.screen === screen ? told.pieces : null;
  const pieces = new Map<string, Pick<WrittenPiece, 'isOpen' | 'html'>>();
  const changed = new Map<string, string>();
  let isWhole = true;
  for (const part of parts) {
    const { id, isOpen } = part;
    const last = known?.get(id);
    if (last?.isOpen === isOpen && canWait(part)) {
      pieces.set(id, last);
      isWhole = false;
      continue;
    }
    const html = part.html();
    if (last?.html !== html) changed.set(id, html);
    pieces.set(id, { isOpen, html });
  }
  const order = parts.map(({ id, within, isOpen }) => ({ id, within, isOpen }));
  const isMoved = !told || !known || !standAlike(order, told.order);
  return {
    news: { ...around, isNew: !known, order: isMoved ? order : null, changed, isWhole },
    told: { screen, order, pieces },
  };
}

function standAlike(places: readonly PiecePlace[], others: readonly PiecePlace[]): boolean {
  return (
    places.length === others.length &&
    places.every(({ id, within, isOpen }, at) => {
      const other = others[at]!;
      return id === other.id && within === other.within && isOpen === other.isOpen;
    })
  );
}

/** The page before with what is news; the pieces that are not are the very same. */
export function withPageNews(
  known: ShownPage | null,
  { isNew, order, changed, isWhole, rules, screen }: PageNews,
): ShownPage {
  const shown = isNew || !known ? [] : known.parts;
  const urgent = isWhole ? null : new Set(changed.keys());
  if (!order) {
    const parts = shown.map((piece) => {
      const html = changed.get(piece.id);
      return html === undefined ? piece : { ...piece, html };
    });
    return { rules, screen, parts, urgent };
  }
  const before = new Map(shown.map(({ id, html }) => [id, html]));
  const html = (id: string) => changed.get(id) ?? before.get(id) ?? '';
  return { rules, screen, parts: order.map((piece) => ({ ...piece, html: html(piece.id) })), urgent };
}
