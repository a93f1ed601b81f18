import type { FlowPlace, Layout, PageNode } from '../../node';
import { NO_MARGIN } from '../../node';
import type { Part } from './parts';

/** Px by which edges may miss each other and still be meant as one line. */
export const EDGE = 0.5;
/** The same for middles, which browsers round. */
export const MIDDLE = 1;
/** The same for the words of a button: common practice, no source: they stand in its middle, whatever they were measured as. */
const MIDDLE_OF_BUTTON = 4;

/** Px by which the space before and after what stands in the middle of a part may differ. */
export function middleOf({ node }: Part): number {
  return (node.role === 'button' ? MIDDLE_OF_BUTTON : MIDDLE) * 1.5;
}

/** What a part takes from the layout around it. */
export type Stand = Pick<FlowPlace, 'wide' | 'high' | 'align' | 'margin'> & {
  /** True when the box around says how wide the part is, not its content. */
  readonly given: boolean;
};

/** As wide and high as its content. */
const HUGGING: Stand = { wide: 'hug', high: 'hug', align: null, margin: NO_MARGIN, given: false };
/** As wide as the window, or the set size, around it. */
export const WHOLE: Stand = { ...HUGGING, given: true };

/** Lays out one part, with all inside of it. */
export type LayOut = (part: Part, stand: Stand) => PageNode;

/** What a box gets from laying out its content. */
export interface Laid {
  readonly layout: Layout;
  readonly children: readonly PageNode[];
}

/** Things under each other, as wide as the box. */
export const STACK: Layout = {
  direction: 'column',
  tracks: [],
  gap: 0,
  rowGap: 0,
  padding: { top: 0, right: 0, bottom: 0, left: 0 },
  align: 'stretch',
  justify: 'start',
};
