'use client';
import { useVirtualizer } from '@tanstack/react-virtual';
import { useCallback, useEffect, useRef, useState, type CSSProperties, type MouseEvent } from 'react';
import { CellEditor, type Editing } from './CellEditor';
import type { Row } from './rows';
import { useSort, useSortStore } from './SortContext';
import { useColumns } from './columns';
import { ColumnHeadings } from './ColumnHeadings';
import type { Column } from './store/state';
import { facetOf, useWorksheetKeys } from './useWorksheetKeys';
import { ROW_HEIGHT, Sheet } from './sheetLook';
import { cellId, WorksheetRow } from './WorksheetRow';

/** The tree table of layers with spreadsheet keys; only the visible rows are in the document. */
export function Worksheet() {
  const store = useSortStore();
  const { id: mockupId, picture } = useSort((state) => state.opened);
  const findings = useSort((state) => state.findings);
  const rows = useSort((state) => state.rows);
  const cursor = useSort((state) => state.cursor);
  const column = useSort((state) => state.column);
  const selection = useSort((state) => state.selection);
  const hovered = useSort((state) => state.hovered);
  const folded = useSort((state) => state.folded);
  const decisions = useSort((state) => state.result?.decisions);
  const tags = useSort((state) => state.tags);
  const moveTo = useSort((state) => state.moveTo);
  const toggleSelected = useSort((state) => state.toggleSelected);
  const toggleFold = useSort((state) => state.toggleFold);
  const hover = useSort((state) => state.hover);
  const setFacet = useSort((state) => state.setFacet);

  const openMenu = useSort((state) => state.openMenu);
  const columns = useColumns();

  const grid = useRef<HTMLDivElement>(null);
  const [editing, setEditing] = useState<Editing | null>(null);
  const virtual = useVirtualizer({
    count: rows.length,
    getScrollElement: () => grid.current,
    estimateSize: () => ROW_HEIGHT,
    overscan: 16,
    scrollPaddingStart: ROW_HEIGHT,
    // The header row lies above the first row.
    scrollMargin: ROW_HEIGHT,
  });

  const at = rows.findIndex((row) => row.layer.id === cursor);
  useEffect(() => {
    if (at >= 0) virtual.scrollToIndex(at);
  }, [at, virtual]);

  // Read on demand: a callback that changed with every edit would re-render every row.
  const edit = useCallback(() => {
    const { cursor: key, column: under, result } = store.getState();
    const facet = facetOf(under);
    const cell = key === null ? null : document.getElementById(cellId(key, under));
    if (facet && cell && key !== null) setEditing({ facet, cell, decision: result?.decisions.get(key) });
  }, [store]);
  const endEditing = () => {
    setEditing(null);
    grid.current?.focus();
  };
  const onKeyDown = useWorksheetKeys(edit);
  const onPick = useCallback(
    (row: Row, picked: Column, event: MouseEvent) => {
      // The menu is about the selection; on a layer outside of it, about that layer.
      if (event.button === 2 && store.getState().selection.has(row.layer.id)) return;
      if (event.ctrlKey || event.metaKey) toggleSelected(row.layer.id);
      else moveTo(row.layer.id, picked, event.shiftKey);
    },
    [moveTo, toggleSelected, store],
  );
  // Whoever arrives can use the keys at once.
  useEffect(() => {
    if (document.activeElement === document.body) grid.current?.focus({ preventScroll: true });
  }, []);
  const onMenu = (event: MouseEvent) => {
    event.preventDefault();
    openMenu({ x: event.clientX, y: event.clientY });
  };
  const onFold = useCallback((row: Row) => toggleFold(row.layer.id), [toggleFold]);
  const onHover = useCallback((row: Row | null) => hover(row?.layer.id ?? null), [hover]);

  return (
    <>
      <Sheet
        ref={grid}
        role="treegrid"
        aria-label="Worksheet"
        aria-rowcount={rows.length + 1}
        aria-multiselectable
        aria-activedescendant={cursor === null ? undefined : cellId(cursor, column)}
        tabIndex={0}
        onKeyDown={onKeyDown}
        onContextMenu={onMenu}
        style={{ '--tracks': columns.tracks, '--least': `${columns.least}px` } as CSSProperties}
        onMouseLeave={() => hover(null)}
      >
        <ColumnHeadings columns={columns} />
        <div role="rowgroup" className="rows" style={{ height: virtual.getTotalSize() }}>
          {virtual.getVirtualItems().map((item) => {
            const row = rows[item.index];
            if (!row) return null;
            const { id } = row.layer;
            return (
              <WorksheetRow
                key={id}
                row={row}
                index={item.index}
                top={item.start - ROW_HEIGHT}
                picture={`/api/mockups/${mockupId}/layer-picture?reading=${picture}&layer=${encodeURIComponent(id)}`}
                decision={decisions?.get(id)}
                findings={findings.get(id)}
                tag={tags.get(id)}
                folded={folded.has(id)}
                selected={selection.has(id)}
                hovered={hovered === id}
                cursor={cursor === id ? column : null}
                columns={columns.shown}
                onPick={onPick}
                onFold={onFold}
                onHover={onHover}
                onEdit={edit}
              />
            );
          })}
        </div>
      </Sheet>
      {editing && (
        <CellEditor
          editing={editing}
          count={selection.size}
          onCancel={endEditing}
          onDone={(value) => {
            setFacet(editing.facet, value);
            endEditing();
          }}
        />
      )}
    </>
  );
}
