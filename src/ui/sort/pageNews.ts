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
  readonly order: readonly PiecePlace[];
  /** The code of the pieces that are otherwise than they were told. */
  readonly changed: ReadonlyMap<string, string>;
  /** False while there may be others, which can wait. */
  readonly isWhole: boolean;
}

/** The pieces of a page that are told already. */
export interface ToldPage {
  readonly screen: string;
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
  return { news: { ...around, isNew: !known, order, changed, isWhole }, told: { screen, pieces } };
}

/** The page before with what is news. */
export function withPageNews(
  known: ShownPage | null,
  { isNew, order, changed, isWhole, rules, screen }: PageNews,
): ShownPage {
  const before = new Map(isNew || !known ? [] : known.parts.map(({ id, html }) => [id, html]));
  const html = (id: string) => changed.get(id) ?? before.get(id) ?? '';
  const urgent = isWhole ? null : new Set(changed.keys());
  return { rules, screen, parts: order.map((piece) => ({ ...piece, html: html(piece.id) })), urgent };
}
