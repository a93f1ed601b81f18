import { MEASURED } from '../../tolerances';
import { isButton } from '../../../sort/vocabulary';
import type { FlowPlace } from '../../place';
import type { Layout } from '../../layout';
import type { PageNode } from '../../node';
import { NO_MARGIN } from '../../place';
import type { Part } from './parts';

/** Px by which the space before and after centred content may differ. */
export function centreTolerance({ node }: Part): number {
  return (isButton(node.role) ? MEASURED.buttonWords : MEASURED.middle) * 1.5;
}

/** The sizing and alignment that a part gets from its container. */
export type SizingConstraints = Pick<FlowPlace, 'widthMode' | 'heightMode' | 'align' | 'margin'> & {
  /** True when the container sets the width, not the content. */
  readonly isWidthGiven: boolean;
};

/** The size of the content. */
const FIT_CONTENT: SizingConstraints = {
  widthMode: 'fit',
  heightMode: 'fit',
  align: null,
  margin: NO_MARGIN,
  isWidthGiven: false,
};
/** The width of the window, or of the sized container. */
export const FILL_CONTAINER: SizingConstraints = { ...FIT_CONTENT, isWidthGiven: true };

/** Lays out a part with all of its content. */
export type LayOut = (part: Part, stand: SizingConstraints) => PageNode;

/** The result of laying out the content of a box. */
export interface LayoutResult {
  readonly layout: Layout;
  readonly children: readonly PageNode[];
}

/** A column as wide as its box. */
export const COLUMN_LAYOUT: Layout = {
  direction: 'column',
  tracks: [],
  gap: 0,
  rowGap: 0,
  padding: { top: 0, right: 0, bottom: 0, left: 0 },
  align: 'stretch',
  justify: 'start',
};
