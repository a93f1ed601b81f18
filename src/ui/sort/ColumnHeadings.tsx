'use client';
import { Button, Checkbox, ListItemText, Menu, MenuItem } from '@mui/material';
import { useState, type KeyboardEvent, type PointerEvent } from 'react';
import { COLUMN_ENTRIES, HIDEABLE, type Columns } from './columns';
import type { Column } from './store/state';

/** The row of headings: columns are made wider by dragging or with the arrow keys, and hidden in a menu. */
export function ColumnHeadings({ columns }: { readonly columns: Columns }) {
  const { shown } = columns;
  return (
    <div role="row" aria-rowindex={1} className="headings">
      <div role="presentation" />
      {shown.map((column) => (
        <div key={column} role="columnheader" className="heading" title={COLUMN_ENTRIES[column].title}>
          {COLUMN_ENTRIES[column].heading}
          {column === 'reason' ? (
            <ColumnMenu columns={columns} />
          ) : (
            <Grip column={column} columns={columns} />
          )}
        </div>
      ))}
    </div>
  );
}

const STEP = 10;

function Grip({ column, columns }: { readonly column: Column; readonly columns: Columns }) {
  const width = columns.widthOf(column);
  const onPointerDown = (event: PointerEvent<HTMLElement>) => {
    event.preventDefault();
    const grip = event.currentTarget;
    grip.setPointerCapture(event.pointerId);
    const own = grip.parentElement?.getBoundingClientRect().width ?? width;
    const start = event.clientX;
    grip.onpointermove = (moved) => columns.resize(column, own + moved.clientX - start);
    grip.onpointerup = () => (grip.onpointermove = null);
  };
  const onKeyDown = (event: KeyboardEvent) => {
    const by = { ArrowLeft: -STEP, ArrowRight: STEP }[event.key];
    if (by === undefined) return;
    event.preventDefault();
    event.stopPropagation();
    columns.resize(column, width + by);
  };
  return (
    <span
      role="separator"
      tabIndex={0}
      aria-orientation="vertical"
      aria-label={`Width of ${COLUMN_ENTRIES[column].title ?? COLUMN_ENTRIES[column].heading}`}
      aria-valuenow={width}
      className="grip"
      onPointerDown={onPointerDown}
      onKeyDown={onKeyDown}
    />
  );
}

function ColumnMenu({ columns }: { readonly columns: Columns }) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <>
      <Button
        color="inherit"
        className="columns"
        onClick={(event) => setAnchor(event.currentTarget)}
        sx={{ minWidth: 0, p: 0, px: 0.5, fontSize: 12 }}
      >
        Columns
      </Button>
      <Menu open={anchor !== null} anchorEl={anchor} onClose={() => setAnchor(null)} transitionDuration={0}>
        {HIDEABLE.map((column) => (
          <MenuItem key={column} dense onClick={() => columns.toggle(column)}>
            <Checkbox
              size="small"
              sx={{ p: 0, mr: 1 }}
              checked={columns.shown.includes(column)}
              tabIndex={-1}
              disableRipple
              slotProps={{
                input: { 'aria-label': COLUMN_ENTRIES[column].title ?? COLUMN_ENTRIES[column].heading },
              }}
            />
            <ListItemText>{COLUMN_ENTRIES[column].title ?? COLUMN_ENTRIES[column].heading}</ListItemText>
          </MenuItem>
        ))}
      </Menu>
    </>
  );
}
