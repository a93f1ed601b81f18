import { useCallback, useState } from 'react';
import { useSort } from './SortContext';
import { COLUMNS, type Column } from './store/state';

/** A column's heading, and its width where nobody changed it, px. */
interface ColumnEntry {
  readonly heading: string;
  /** What the heading stands for, where it is short. */
  readonly title?: string;
  readonly width: number;
  /** True for a column that takes a share of the free width. */
  readonly grows?: boolean;
}

export const COLUMN_ENTRIES: Readonly<Record<Column, ColumnEntry>> = {
  layer: { heading: 'Layer', width: 250, grows: true },
  outcome: { heading: 'Becomes', width: 64 },
  role: { heading: 'Role', width: 74 },
  classes: { heading: 'Classes', width: 58 },
  state: { heading: 'State', width: 52 },
  outputName: { heading: 'Output name', width: 86 },
  hidden: { heading: 'Initially', width: 60 },
  findings: { heading: '!', title: 'Findings', width: 26 },
  reason: { heading: 'Why', width: 180, grows: true },
};

/** Columns that are always there. */
const FIXED: ReadonlySet<Column> = new Set(['layer', 'reason']);
export const HIDEABLE = COLUMNS.filter((column) => !FIXED.has(column));

/** What a person chose; kept in this browser. */
interface ColumnChoice {
  readonly hidden: readonly Column[];
  readonly widths: Readonly<Partial<Record<Column, number>>>;
}

const PLACE = 'orden-columns';
const USUAL: ColumnChoice = { hidden: ['hidden'], widths: {} };
const [LEAST, MOST] = [26, 800];
/** The share of its width that a growing column keeps. */
const NARROWEST = 0.68;

function kept(): ColumnChoice {
  try {
    const { hidden, widths } = JSON.parse(localStorage.getItem(PLACE) ?? 'null') as ColumnChoice;
    return { hidden: hidden.filter((column) => HIDEABLE.includes(column)), widths };
  } catch {
    return USUAL;
  }
}

export interface Columns {
  /** The columns in sight, in order. */
  readonly shown: readonly Column[];
  readonly widthOf: (column: Column) => number;
  readonly resize: (column: Column, width: number) => void;
  readonly toggle: (column: Column) => void;
  /** The tracks of a row for CSS `grid-template-columns`, and their least sum, px. */
  readonly tracks: string;
  readonly least: number;
}

/** The columns of the worksheet as the person wants them. */
export function useColumns(): Columns {
  const shown = useSort((state) => state.columns);
  const showColumns = useSort((state) => state.showColumns);
  const [widths, setWidths] = useState(() => kept().widths);
  const widthOf = useCallback((column: Column) => widths[column] ?? COLUMN_ENTRIES[column].width, [widths]);
  /** A growing column is narrower in a narrow window. */
  const leastOf = (column: Column) =>
    Math.round(widthOf(column) * (COLUMN_ENTRIES[column].grows ? NARROWEST : 1));
  const keep = (choice: ColumnChoice) => localStorage.setItem(PLACE, JSON.stringify(choice));
  const hidden = HIDEABLE.filter((column) => !shown.includes(column));
  const tracks = shown.map((column) =>
    COLUMN_ENTRIES[column].grows
      ? `minmax(${leastOf(column)}px, ${widthOf(column)}fr)`
      : `${widthOf(column)}px`,
  );
  return {
    shown,
    widthOf,
    resize(column, width) {
      const next = { ...widths, [column]: Math.min(MOST, Math.max(LEAST, Math.round(width))) };
      setWidths(next);
      keep({ hidden, widths: next });
    },
    toggle(column) {
      const next = hidden.includes(column) ? hidden.filter((each) => each !== column) : [...hidden, column];
      showColumns(columnsWithout(next));
      keep({ hidden: next, widths });
    },
    tracks: `${MARK}px ${tracks.join(' ')}`,
    least: MARK + shown.reduce((sum, column) => sum + leastOf(column), 0),
  };
}

/** The width of the outcome's letter before the columns, px. */
const MARK = 24;

function columnsWithout(hidden: readonly Column[]): readonly Column[] {
  return COLUMNS.filter((column) => !hidden.includes(column));
}

/** The columns as they were left last. */
export function keptColumns(): readonly Column[] {
  return columnsWithout(kept().hidden);
}
