'use client';
import { Box } from '@mui/material';
import type { MouseEvent } from 'react';
import { memo } from 'react';
import type { Decision } from '../../core/sort/decision';
import type { Tag } from '../../core/sort/tag';
import { OUTCOMES } from '../../core/sort/vocabulary';
import { MONO } from '../shared/theme';
import { layerLabel } from './layerLabel';
import type { Row } from './rows';
import { COLUMNS, type Column } from './store';

export const ROW_HEIGHT = 26;
export const GRID = '24px minmax(180px, 2.2fr) 72px 86px 80px 104px 56px minmax(150px, 3fr)';

interface WorksheetRowProps {
  readonly row: Row;
  readonly index: number;
  readonly top: number;
  readonly decision: Decision | undefined;
  readonly tag: Tag | undefined;
  readonly folded: boolean;
  readonly selected: boolean;
  readonly hovered: boolean;
  /** The column of the cursor when it stands in this row. */
  readonly cursor: Column | null;
  readonly onPick: (row: Row, column: Column, event: MouseEvent) => void;
  readonly onFold: (row: Row) => void;
  readonly onHover: (row: Row | null) => void;
  readonly onEdit: () => void;
}

export function cellId(key: string, column: Column): string {
  return `cell:${key}:${column}`;
}

/** A layer as a line of the worksheet. What a person settled stands in bold, what Orden decided does not. */
export const WorksheetRow = memo(function WorksheetRow(props: WorksheetRowProps) {
  const {
    row,
    index,
    top,
    decision,
    tag,
    folded,
    selected,
    hovered,
    cursor,
    onPick,
    onFold,
    onHover,
    onEdit,
  } = props;
  const { layer, level, hasChildren } = row;
  const label = layerLabel(layer);
  const off = decision?.outcome === 'aside';
  const within = decision?.within !== null && decision !== undefined;
  return (
    <Box
      role="row"
      aria-rowindex={index + 2}
      aria-level={level}
      aria-selected={selected}
      aria-expanded={hasChildren ? !folded : undefined}
      onMouseEnter={() => onHover(row)}
      sx={{
        position: 'absolute',
        top,
        left: 0,
        right: 0,
        height: ROW_HEIGHT,
        display: 'grid',
        gridTemplateColumns: GRID,
        alignItems: 'center',
        borderBottom: 1,
        borderColor: 'divider',
        bgcolor: selected ? 'action.selected' : hovered ? 'action.hover' : 'transparent',
        boxShadow: selected
          ? (theme) => `inset 3px 0 0 ${(theme.vars ?? theme).palette.primary.main}`
          : 'none',
        cursor: 'default',
        userSelect: 'none',
      }}
    >
      <OutcomeMark decision={decision} />
      {COLUMNS.map((column) => (
        <Box
          key={column}
          id={cellId(layer.key, column)}
          role={column === 'layer' ? 'rowheader' : 'gridcell'}
          onMouseDown={(event) => onPick(row, column, event)}
          onDoubleClick={onEdit}
          sx={{
            height: ROW_HEIGHT,
            lineHeight: `${ROW_HEIGHT}px`,
            px: 0.75,
            overflow: 'hidden',
            textOverflow: 'ellipsis',
            whiteSpace: 'nowrap',
            outline: cursor === column ? 2 : 0,
            outlineStyle: 'solid',
            outlineColor: (theme) => (theme.vars ?? theme).palette.primary.main,
            outlineOffset: -2,
            color: off || within ? 'text.secondary' : 'text.primary',
            fontWeight: isSettled(tag, column) ? 700 : 400,
            fontFamily: column === 'classes' || column === 'outputName' ? MONO : 'inherit',
            fontSize: column === 'classes' || column === 'outputName' ? 12 : 13,
            pl: column === 'layer' ? `${(level - 1) * 14 + 2}px` : 0.75,
            fontStyle: column === 'layer' && !label.own ? 'italic' : 'normal',
          }}
        >
          {column === 'layer' && (
            <Box
              component="span"
              aria-hidden
              onMouseDown={(event) => {
                if (!hasChildren) return;
                event.stopPropagation();
                onFold(row);
              }}
              sx={{ display: 'inline-block', width: 16, textAlign: 'center', color: 'text.secondary' }}
            >
              {hasChildren ? (folded ? '+' : '−') : ''}
            </Box>
          )}
          {cellText(column, row, decision)}
          {column === 'layer' && decision?.repeat && (
            <Box component="span" sx={{ color: 'text.secondary', fontSize: 11, ml: 0.75 }}>
              {decision.repeat.index + 1} of {decision.repeat.count} alike
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
});

function isSettled(tag: Tag | undefined, column: Column): boolean {
  return column !== 'layer' && column !== 'reason' && tag?.[column] !== undefined;
}

function cellText(column: Column, row: Row, decision: Decision | undefined): string {
  if (column === 'layer') return layerLabel(row.layer).text;
  if (!decision) return '';
  switch (column) {
    case 'outcome':
      return decision.outcome;
    case 'role':
      return decision.outcome === 'element' ? decision.role : '';
    case 'classes':
      return decision.classes.join(' ');
    case 'outputName':
      return decision.outcome === 'aside' || decision.within !== null ? '' : decision.outputName;
    case 'hidden':
      return decision.hidden ? 'hidden' : '';
    case 'reason':
      return decision.reason;
  }
}

/** The outcome as letter and shape: filled for an element, framed for a picture, bare for what is off the page. */
function OutcomeMark({ decision }: { readonly decision: Decision | undefined }) {
  const outcome = decision?.outcome ?? 'aside';
  const frame = {
    element: 'text.primary',
    picture: 'text.primary',
    sample: 'primary.main',
    aside: 'transparent',
  }[outcome];
  const filled = outcome === 'element';
  return (
    <Box
      role="presentation"
      sx={{
        width: 15,
        height: 15,
        lineHeight: '13px',
        ml: '6px',
        textAlign: 'center',
        fontSize: 10,
        fontWeight: 700,
        border: 1,
        borderColor: frame,
        borderRadius: outcome === 'sample' ? '50%' : 0,
        bgcolor: filled ? 'text.primary' : 'transparent',
        color: filled ? 'background.paper' : 'text.primary',
        opacity: decision?.within ? 0.45 : 1,
      }}
    >
      {OUTCOMES[outcome].letter}
    </Box>
  );
}
