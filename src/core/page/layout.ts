import type { Edges } from '../mockup/box';
import type { Align } from './place';

/**
 * One column of a grid: px that may shrink to the content, a share of the free width, or the width of the
 * content.
 */
export type Track =
  { readonly kind: 'px'; readonly width: number } | { readonly kind: 'share' } | { readonly kind: 'fit' };

/** The layout of a box's children. */
export interface Layout {
  /** `words`: inline content only, which needs no flex or grid layout. */
  readonly direction: 'row' | 'column' | 'grid' | 'words';
  /** The columns of a grid; empty for rows and columns. */
  readonly tracks: readonly Track[];
  /** Px between neighbours along the direction; of a grid, between columns. */
  readonly gap: number;
  /** Px between the rows of a grid; the same as `gap` elsewhere. */
  readonly rowGap: number;
  readonly padding: Edges;
  /** Across the direction. */
  readonly align: Align;
  /** Along the direction. */
  readonly justify: 'start' | 'middle' | 'end' | 'between';
}
