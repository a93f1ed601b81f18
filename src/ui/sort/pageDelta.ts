import type { PagePiece, PagePieces, PiecePlace } from '../../core/emit/preview';

/** A page in printed pieces. */
export interface ShownPage extends Omit<PagePieces, 'parts'> {
  readonly parts: readonly WrittenPiece[];
  /**
   * The pieces to show first; null for none. The code of the others may be older than the last edit until it
   * follows.
   */
  readonly urgent: ReadonlySet<string> | null;
}

export interface WrittenPiece extends PiecePlace {
  readonly html: string;
}

/**
 * The page as a difference from the last message: printing and copying thousands of pieces takes longer than
 * an edit may.
 */
export interface PageDelta extends Omit<PagePieces, 'parts'> {
  /** True when it replaces all earlier messages. */
  readonly isNew: boolean;
  /** Null when every piece keeps its place. */
  readonly order: readonly PiecePlace[] | null;
  /** The code of the changed pieces. */
  readonly changed: ReadonlyMap<string, string>;
  /** False when deferred pieces follow. */
  readonly isWhole: boolean;
}

/** The pieces of a page that were sent. */
export interface SentPage {
  readonly screen: string;
  readonly order: readonly PiecePlace[];
  readonly pieces: ReadonlyMap<string, Pick<WrittenPiece, 'isOpen' | 'html'>>;
}

/**
 * The difference between the page of a screen and the last message, and the new state.
 * @param canWait the sent pieces whose code is not printed yet
 */
export function pageDelta(
  sent: SentPage | null,
  screen: string,
  { parts, ...around }: PagePieces,
  canWait: (piece: PagePiece) => boolean,
): { readonly delta: PageDelta; readonly sent: SentPage } {
  const known = sent?.screen === screen ? sent.pieces : null;
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
  const isMoved = !sent || !known || !haveSamePlaces(order, sent.order);
  return {
    delta: { ...around, isNew: !known, order: isMoved ? order : null, changed, isWhole },
    sent: { screen, order, pieces },
  };
}

function haveSamePlaces(places: readonly PiecePlace[], others: readonly PiecePlace[]): boolean {
  return (
    places.length === others.length &&
    places.every(({ id, within, isOpen }, at) => {
      const other = others[at]!;
      return id === other.id && within === other.within && isOpen === other.isOpen;
    })
  );
}

/** The page after a difference; unchanged pieces stay the same objects. */
export function applyPageDelta(
  known: ShownPage | null,
  { isNew, order, changed, isWhole, rules, screen }: PageDelta,
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
