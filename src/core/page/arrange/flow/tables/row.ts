import type { Box } from '../../../../mockup/box';
import type { BoxNode, PageNode } from '../../../node';
import { BY_HAND } from '../../../tolerances';

/** A row of a table, and its parts from left to right. */
export interface Row {
  readonly box: BoxNode;
  readonly cells: readonly Cell[];
}

/** A part of a row, with the box of what it shows. */
export interface Cell {
  readonly node: PageNode;
  readonly box: Box;
}

/** The edges of a column or a row, px. */
export interface Span {
  readonly start: number;
  readonly end: number;
}

/** True for edges that stand beside each other by the width of a border: a drawing has the borders of both cells. */
export function isNear(one: number, other: number): boolean {
  return Math.abs(one - other) <= BY_HAND.place;
}
