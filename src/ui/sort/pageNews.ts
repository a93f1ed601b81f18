import type { PagePiece, PagePieces } from '../../core/emit/html/pagePieces';
import { standAlike, type PiecePlace } from '../../core/emit/html/piecePlace';

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
  readonly order: readonly PiecePlace[];
  readonly html: ReadonlyMap<string, string>;
}

/**
 * What is news of the page of a screen, and what is told then.
 * @param canWait of pieces that were told and stand where they stood, those whose code is not written yet
 */
export function pageNews(
  told: ToldPage | null,
  screen: string,
  { parts, ...around }: PagePieces,
  canWait: (piece: PagePiece) => boolean,
): { readonly news: PageNews; readonly told: ToldPage } {
  const known = told?.screen === screen ? told : null;
  const order = parts.map(({ id, within, isOpen }) => ({ id, within, isOpen }));
  const written = known && standAlike(order, known.order) ? parts.filter((part) => !canWait(part)) : parts;
  const html = new Map(written.map((part) => [part.id, part.html()]));
  const changed = new Map([...html].filter(([id, text]) => known?.html.get(id) !== text));
  const isWhole = written.length === parts.length;
  return {
    news: { ...around, isNew: !known, order, changed, isWhole },
    told: { screen, order, html: isWhole ? html : new Map([...known!.html, ...html]) },
  };
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
