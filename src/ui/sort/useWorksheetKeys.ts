import { useEffect, useEffectEvent, type KeyboardEvent } from 'react';
import type { Outcome } from '../../core/sort/vocabulary';

import { isOverlaid, isTyping } from '../shared/isTyping';
import { ACTIONS, isPossible } from './actions';
import { useSort, useSortStore } from './SortContext';
import type { CellFacet, Column } from './store/state';

const OUTCOME_KEYS: Readonly<Record<string, Outcome>> = {
  e: 'element',
  p: 'picture',
  s: 'sample',
  '-': 'aside',
};
const PAGE = 15;
/** Actions with a single-character key. */
const LETTERS = ACTIONS.filter(({ keys }) => keys.length === 1);

export function facetOf(column: Column): CellFacet | null {
  return column === 'layer' || column === 'findings' || column === 'reason' ? null : column;
}

/** Spreadsheet keys of the worksheet; `edit` opens the cell under the cursor. */
export function useWorksheetKeys(edit: () => void): (event: KeyboardEvent) => void {
  const columns = useSort((state) => state.columns);
  const rows = useSort((state) => state.rows);
  const cursor = useSort((state) => state.cursor);
  const column = useSort((state) => state.column);
  const folded = useSort((state) => state.folded);
  const moveTo = useSort((state) => state.moveTo);
  const toggleFold = useSort((state) => state.toggleFold);
  const toggleSelected = useSort((state) => state.toggleSelected);
  const selectAll = useSort((state) => state.selectAll);
  const setFacet = useSort((state) => state.setFacet);
  const seek = useSort((state) => state.seek);
  const open = useSort((state) => state.open);
  const store = useSortStore();
  const moveBeside = useSort((state) => state.moveBeside);
  const undo = useSort((state) => state.undo);
  const redo = useSort((state) => state.redo);

  const at = rows.findIndex((row) => row.layer.id === cursor);
  const row = rows[at];

  const go = (to: number, extend: boolean) => {
    const target = rows[Math.min(rows.length - 1, Math.max(0, to))];
    if (target) moveTo(target.layer.id, column, extend);
  };
  const side = (by: number) => {
    const next = columns[columns.indexOf(column) + by];
    if (next && row) moveTo(row.layer.id, next, false);
  };
  const left = () => {
    if (column !== 'layer' || !row) side(-1);
    else if (row.hasChildren && !folded.has(row.layer.id)) toggleFold(row.layer.id);
    else if (row.parent !== null) moveTo(row.parent, column, false);
  };
  const rightward = () => {
    if (column === 'layer' && row?.hasChildren && folded.has(row.layer.id)) toggleFold(row.layer.id);
    else side(1);
  };

  const moves: Readonly<Record<string, (extend: boolean) => void>> = {
    ArrowUp: (extend) => go(at - 1, extend),
    ArrowDown: (extend) => go(at + 1, extend),
    PageUp: (extend) => go(at - PAGE, extend),
    PageDown: (extend) => go(at + PAGE, extend),
    Home: (extend) => go(0, extend),
    End: (extend) => go(rows.length - 1, extend),
    ArrowLeft: left,
    ArrowRight: rightward,
    Enter: edit,
    F2: edit,
    Escape: () => row && moveTo(row.layer.id, column, false),
    '.': () => open('actions'),
    N: () => seek(-1),
    ...Object.fromEntries(
      LETTERS.map((action) => [
        action.keys.toLowerCase(),
        () => isPossible(action, store.getState()) && action.run(store.getState()),
      ]),
    ),
    Delete: () => {
      const facet = facetOf(column);
      if (facet) setFacet(facet, null);
    },
  };
  const withControl: Readonly<Record<string, (shift: boolean) => void>> = {
    a: selectAll,
    z: (shift) => (shift ? redo() : undo()),
    y: redo,
    ' ': () => row && toggleSelected(row.layer.id),
  };

  const onKeyDown = (event: KeyPress) => {
    const control = event.ctrlKey || event.metaKey;
    if (event.altKey && (event.key === 'ArrowDown' || event.key === 'ArrowUp')) {
      moveBeside(event.key === 'ArrowDown' ? 1 : -1);
      event.preventDefault();
      return;
    }
    const move = control ? withControl[event.key.toLowerCase()] : moves[event.key];
    const outcome = control ? undefined : OUTCOME_KEYS[event.key.toLowerCase()];
    if (move) move(event.shiftKey);
    else if (outcome && column === 'outcome') setFacet('outcome', outcome);
    else return;
    event.preventDefault();
  };

  // Letters and Ctrl keys hold in the whole window; what moves and edits belongs to the worksheet.
  const onWindowKey = useEffectEvent((event: globalThis.KeyboardEvent) => {
    if (event.defaultPrevented || isTyping(event.target) || isOverlaid()) return;
    const nowhere = event.target === document.body;
    const control = event.ctrlKey || event.metaKey;
    if (nowhere || control || (event.key.length === 1 && event.key !== ' ')) onKeyDown(event);
  });
  useEffect(() => {
    const listener = (event: globalThis.KeyboardEvent) => onWindowKey(event);
    window.addEventListener('keydown', listener);
    return () => window.removeEventListener('keydown', listener);
  }, []);
  return onKeyDown;
}

/** A key press, of the worksheet or of the window. */
type KeyPress = Pick<KeyboardEvent, 'key' | 'altKey' | 'ctrlKey' | 'metaKey' | 'shiftKey' | 'preventDefault'>;
