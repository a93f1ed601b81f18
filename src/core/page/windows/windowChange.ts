import type { Page } from '../frame';
import type { PageNode } from '../node';

/** The width of a column of a table, px: the least in which its cells still look as they are meant, and as drawn. */
export interface TableColumn {
  readonly least: number;
  readonly drawn: number;
}

/** Letters that grow with the window. */
export interface FluidLetters {
  /** Their size in a window of this width, and the drawn one, px. */
  readonly least: number;
  readonly window: number;
  readonly drawn: number;
  /** The height of a line for one px of size. */
  readonly lineHeight: number;
}

/** What a node does in windows in which it has not enough room; absent for what it does anyway. */
export interface WindowChange {
  /** How the parts of a row or grid stand then: under each other, in several lines, or in cells of a least width. */
  readonly parts?: 'column' | 'lines' | 'cells';
  /** The least width of a cell, px. */
  readonly cell?: number;
  /** True for less padding at the sides. */
  readonly isTight?: true;
  /** True for a part that takes the free space of its line, and no less than it needs. */
  readonly grows?: true;
  /** True for a part that takes the free space of its row, and gives as much as the others where there is none. */
  readonly shares?: true;
  /** True for a part that takes the width of its stack. */
  readonly fills?: true;
  /** Px that stay free at either side of one that takes all the width. */
  readonly sideRoom?: number;
  /** True for one that is never wider than what is around it. */
  readonly isCapped?: true;
  /** True for a part of a row that shrinks. */
  readonly shrinks?: true;
  /** True for a region beside the others that stands among them then. */
  readonly isStatic?: true;
  /** True for a part without the space before it. */
  readonly isFlush?: true;
  /** True for a part that reaches no further than what is around it. */
  readonly endsInside?: true;
  /** True for words whose spaces count, and for tables: they scroll in themselves. */
  readonly scrolls?: true;
  /** The columns of a table that do not fit as they were drawn. */
  readonly columns?: readonly TableColumn[];
  /** The least width of the rows of a table, px: where it scrolls they keep their columns. */
  readonly least?: number;
  /** True for words that wrap. */
  readonly wraps?: true;
  /** The size of letters with which a word fits into the window, px; they grow with the window up to the drawn size. */
  readonly letters?: FluidLetters;
  /** True for words that break inside where they do not fit. */
  readonly breaks?: true;
  /** True for a height that its content gives. */
  readonly isFree?: true;
}

/** A window that a page is to fit into, and what is noted of it. */
export interface WindowTrial {
  /** Px. */
  readonly width: number;
  readonly changes: Map<PageNode | Page, WindowChange>;
  /** The changes of the wider windows. */
  readonly wider: ReadonlyMap<PageNode | Page, WindowChange>;
}

/** Adds to what a node does in a window. */
export function note({ changes }: WindowTrial, node: PageNode | Page, change: WindowChange): void {
  changes.set(node, { ...changes.get(node), ...change });
}
